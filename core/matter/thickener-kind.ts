/** What binds a liquid, dry: flours, starches, and flour in a roux by its colour. */
export const THICKENER_KINDS = [
  'flour',
  'wholemealFlour',
  'rouxWhite',
  'rouxBlond',
  'rouxBrown',
  'rouxDark',
  'cornstarch',
  'arrowroot',
  'riceFlour',
  'tapioca',
  'potatoStarch',
] as const;
export type ThickenerKind = (typeof THICKENER_KINDS)[number];
