/** Why an order cannot be planned: which field, and the quantities of it. The words are made at the edge. */
export type OrderRefusal = { field: string } & (
  | { code: 'unknownPot'; potId: string }
  | { code: 'unknownBurner'; burnerId: string }
  | { code: 'potNotOnBurner'; potName: string; burnerName: string }
  /** the model's own reason, naming the argument and its value */
  | { code: 'cannotBeCooked'; why: string }
);
