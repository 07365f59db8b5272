/** What a page of paper leaves unsaid. source: common practice (soups are salted 0.7 to 1.1 %, household recipes serve six) */
export const USUAL = { saltPercent: 0.9, portions: 6, portionMl: 250 } as const;
