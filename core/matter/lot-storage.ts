/** How food is kept. */
export const LOT_STORAGES = ['chilled', 'frozen', 'dry'] as const;
export type LotStorage = (typeof LOT_STORAGES)[number];
