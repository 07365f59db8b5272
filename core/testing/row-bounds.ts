import { COMPONENTS, type Ingredient, totalKg, volumeLitres } from '../matter';
import { THICKENERS } from '../thickness';
import {
  ABV,
  APART,
  BY_GROUP,
  ETHANOL_KG_PER_L,
  PIECE,
  type Range,
  SALT,
  STARCH,
  STRENGTH,
  TEASPOON_G,
  TEASPOON_ML,
  WITH_BONES,
} from './data/row-bounds';

/** Which of them a food is, by what it is and how it is kept. */
function groupOf(row: Ingredient): string | null {
  const { water, fat } = row.perKg;
  const isDry = water < 0.2;
  switch (row.kind) {
    case 'vegetable':
      if (isDry) return 'dried vegetable';
      return row.share === 'liquid' || row.id === 'sauerkraut' ? 'preserved vegetable' : 'fresh vegetable';
    case 'pulse':
      return isDry ? 'dry pulse' : 'cooked pulse';
    case 'grain':
      if (isDry) return 'dry grain';
      return row.isReady ? 'cooked grain' : 'bread';
    case 'thickener':
      if (row.id === 'gelatine') return 'gelatine';
      if (!row.thickener) return 'ground leaf';
      return /flour/i.test(row.thickener) ? 'flour' : 'pure starch';
    case 'fat':
      return row.name.startsWith('Butter') ? 'butter' : 'fat';
    case 'dairy':
      if (fat > 0.15 && water > 0.44 && row.perKg.protein < 0.04) return 'cream';
      return water > 0.84 ? 'milk' : 'cheese';
    case 'meat':
    case 'poultry':
      if (row.out === 'bones') return 'bones';
      return row.perKg.salt > 0.01 ? 'cured meat' : 'raw meat';
    case 'fish':
      if (isDry) return 'dried fish';
      if (row.out === 'bones') return 'bones';
      return row.perKg.salt > 0.01 ? 'salted fish' : 'raw fish';
    case 'stock':
      return isDry ? 'stock powder' : 'stock';
    case 'seasoning':
      return row.perKg.sugars > 0.5 ? 'sweet seasoning' : null;
    case 'fruit':
      return water < 0.5 ? 'dried fruit' : 'fresh fruit';
    case 'herb':
      return isDry ? 'dry spice' : 'fresh herb';
    case 'spice':
      return isDry ? 'dry spice' : null;
    default:
      return row.kind;
  }
}

/** Body by itself once soft, grams of flour a kilogram, by the form it comes in. */
function bodyRange(row: Ingredient, group: string | null): Range {
  const id = row.id;
  switch (group) {
    case 'dry pulse':
      // without their skins they fall to a purée by themselves
      return id === 'red-lentil' ? [250, 600] : id === 'split-pea' ? [350, 600] : [20, 150];
    case 'cooked pulse':
      return [10, 60];
    case 'bread':
      return [300, 450];
    case 'cooked grain':
      return [10, 60];
    case 'dry grain':
      if (id === 'oats') return [500, 800];
      if (id === 'breadcrumbs') return [450, 600];
      if (id === 'semolina') return [800, 1000];
      return /noodle|pasta/.test(id) ? [20, 80] : [30, 200];
    case 'fresh vegetable':
      return [0, 30];
    default:
      return [0, 1600];
  }
}

/** What is wrong with a row, in words; none where it keeps within what its kind of food can be. */
export function offIn(row: Ingredient): string[] {
  const off: string[] = [];
  const ask = (what: string, value: number, [low, high]: Range) => {
    if (value < low - 1e-6 || value > high + 1e-6)
      off.push(`${what} ${value.toFixed(2)}, not ${low} to ${high}`);
  };
  const group = groupOf(row);
  if (group) {
    const bounds = {
      ...BY_GROUP[group],
      ...(STARCH[row.id] ? { starch: STARCH[row.id]! } : {}),
      ...APART[row.id],
    };
    for (const component of COMPONENTS)
      ask(component, 100 * row.perKg[component], bounds[component] ?? [0, 3]);
  }
  ask('body', row.bodyGPerKg ?? 0, bodyRange(row, group));
  const tables: readonly [string, Readonly<Record<string, Range>>, number][] = [
    ['salt', SALT, 100 * row.perKg.salt],
    ['a piece', PIECE, row.pieceG ?? 0],
    ['alcohol by volume', ABV, (100 * row.perKg.alcohol * row.densityKgPerL) / ETHANOL_KG_PER_L],
    ['a teaspoon', TEASPOON_G, TEASPOON_ML * row.looseKgPerL],
    ['eaten of it', WITH_BONES, 100 * row.yield],
  ];
  for (const [what, table, value] of tables)
    if (Object.hasOwn(table, row.id)) ask(what, value, table[row.id]!);
  if (row.thickener) ask('strength', THICKENERS[row.thickener].strength, STRENGTH[row.thickener]!);
  const said = /(\d+) % fat/.exec(row.name)?.[1];
  if (said) ask('fat by its name', 100 * row.perKg.fat, [Number(said) - 1, Number(said) + 1]);
  if (group === 'cooked pulse' || group === 'cooked grain') {
    if (row.drinks || row.soakH || row.softenMin) off.push('cooked, and yet to be soaked or cooked');
  }
  // a paste holds a little air
  if (row.share === 'liquid' && row.perKg.water > 0.4 && row.kind !== 'egg')
    ask('density', row.densityKgPerL, [
      0.92 / volumeLitres(row.perKg, 20),
      1.06 / volumeLitres(row.perKg, 20),
    ]);
  ask('all of it', totalKg(row.perKg), [1 - 1e-9, 1 + 1e-9]);
  return off;
}
