/** Strength against glutamate and against inosinate, and what both do together. source: published: Yamaguchi 1971 */
export const UMAMI = { aspartate: 0.077, gmp: 2.3, amp: 0.18, synergy: 1218 } as const;
