/**
 * Limits that cautions quote. source: published: FDA Food Code 2022, by section. They are the kitchen's default and
 * editable there; the local code and the licensed person in charge decide.
 */
export const FOOD_CODE = {
  hotHoldingC: { value: 57, section: '3-501.16' },
  coolFirstToC: { value: 21, section: '3-501.14' },
  coolFirstWithinH: { value: 2, section: '3-501.14' },
  coolToC: { value: 5, section: '3-501.14' },
  coolWithinH: { value: 6, section: '3-501.14' },
  reheatC: { value: 74, section: '3-403.11' },
  reheatHoldS: { value: 15, section: '3-403.11' },
  reheatWithinH: { value: 2, section: '3-403.11' },
  timeOnlyH: { value: 4, section: '3-501.19' },
  fishC: { value: 63, section: '3-401.11' },
  fishHoldS: { value: 15, section: '3-401.11' },
  groundMeatC: { value: 68, section: '3-401.11' },
  groundMeatHoldS: { value: 17, section: '3-401.11' },
  meatC: { value: 63, section: '3-401.11' },
  plantsC: { value: 57, section: '3-401.13' },
  coldHoldingC: { value: 5, section: '3-501.16' },
  poultryC: { value: 74, section: '3-401.11' },
  receivingC: { value: 5, section: '3-202.11' },
  dateMarkDays: { value: 7, section: '3-501.17' },
  shellfishTagDays: { value: 90, section: '3-203.12' },
} as const;
