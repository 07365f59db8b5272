import * as v from 'valibot';
import {
  ALLERGENS,
  type Allergen,
  COMPONENTS,
  DIETS,
  INGREDIENT_KINDS,
  type Ingredient,
  STEEPING_WAYS,
  STORES,
} from '../core/matter';
import { thickenerSchema } from './batch-event';
import { numberField, textField } from './number-field';

/** A row of the table as it stands in a file: every field of its own type, and what it is made of adds up. */

const ALLERGEN_IDS = Object.keys(ALLERGENS) as [Allergen, ...Allergen[]];
const WAYS = Object.keys(STEEPING_WAYS) as [keyof typeof STEEPING_WAYS, ...(keyof typeof STEEPING_WAYS)[]];

const share = (name: string) => numberField(name, 0, 1, 'kg in a kg');
const words = (name: string, max: number) =>
  v.pipe(v.string(`${name} must be text.`), v.maxLength(max, `${name} must be at most ${max} characters.`));
const isSaid = (name: string) => v.boolean(`${name} must be true or false.`);
const idText = (name: string) =>
  v.pipe(
    textField(name, 60),
    v.regex(/^[a-z0-9][a-z0-9-]*$/, `${name} may hold small letters, figures and dashes.`),
  );

/** What it is made of is a kilogram, but for rounding. */
const ROUNDED_KG = 0.05;

const perKg = v.pipe(
  v.strictObject({
    water: share('Water'),
    fat: share('Fat'),
    protein: share('Protein'),
    sugars: share('Sugars'),
    starch: share('Starch'),
    other: share('What else is in it'),
    salt: share('Salt'),
    alcohol: share('Alcohol'),
  }),
  v.check(
    (masses) => Math.abs(COMPONENTS.reduce((sum, name) => sum + masses[name], 0) - 1) <= ROUNDED_KG,
    'What a kilogram of it is made of must add up to a kilogram.',
  ),
);

const gives = v.strictObject({
  way: v.picklist(WAYS, 'The way it gives is not known.'),
  halfMin: numberField('The half time', 0.1, 10_000, 'min'),
  protein: v.optional(share('Protein')),
  sugars: v.optional(share('Sugars')),
  other: v.optional(share('What else it gives')),
  fat: v.optional(share('Fat')),
  savour: v.optional(share('Savour')),
  gelatin: v.optional(share('Gelatin')),
  source: words('The source', 300),
});

const per100G = (name: string) => v.optional(numberField(name, 0, 20, 'g in 100 g'));

export const ingredientSchema = v.strictObject({
  id: idText('The food’s id'),
  name: textField('The food’s name', 80),
  kind: v.picklist(INGREDIENT_KINDS, 'That kind of food is not known.'),
  perKg,
  densityKgPerL: numberField('Its density', 0.1, 5, 'kg/L'),
  looseKgPerL: numberField('Its density as it lies', 0.01, 5, 'kg/L'),
  yield: numberField('What is left after trim', 0.01, 1, 'of a kg'),
  wholeInPot: v.optional(v.literal(true)),
  grainVaries: v.optional(v.literal(true)),
  pieceG: v.optional(numberField('One of it', 0.01, 50_000, 'g')),
  measures: v.optional(v.record(textField('A measure', 30), numberField('A measure', 0.0001, 50_000, 'g'))),
  aliases: v.optional(v.pipe(v.array(textField('A name', 80)), v.maxLength(40, 'At most 40 names.'))),
  share: v.picklist(['liquid', 'pieces'], 'It joins the liquid or stays pieces.'),
  thickener: v.optional(thickenerSchema),
  bodyGPerKg: v.optional(numberField('What it thickens like', 0, 2000, 'g of flour')),
  allergens: v.pipe(
    v.array(v.picklist(ALLERGEN_IDS, 'That allergen is not on the list.'), 'Allergens must be a list.'),
    v.maxLength(ALLERGEN_IDS.length, 'An allergen stands there twice.'),
  ),
  diet: v.picklist(DIETS, 'That diet is not known.'),
  hides: v.optional(words('What it hides', 200)),
  foams: v.optional(isSaid('foams')),
  store: v.picklist(STORES, 'That store is not known.'),
  softenMin: v.optional(numberField('Its softening', 0, 1000, 'min')),
  drinks: v.optional(numberField('What it drinks', 0, 20, 'kg')),
  soakH: v.optional(numberField('Its soaking', 0, 100, 'h')),
  rinse: v.optional(words('How it is rinsed', 200)),
  umami: v.optional(
    v.strictObject({
      glutamate: per100G('Glutamate'),
      aspartate: per100G('Aspartate'),
      imp: per100G('IMP'),
      gmp: per100G('GMP'),
      amp: per100G('AMP'),
    }),
  ),
  gelatin: v.optional(share('Gelatin')),
  gives: v.optional(gives),
  strength: v.optional(v.picklist(['pungent', 'strong', 'hot'], 'That strength is not known.')),
  woody: v.optional(isSaid('woody')),
  colour: v.optional(words('Its colour', 40)),
  browns: v.optional(isSaid('browns')),
  green: v.optional(isSaid('green')),
  out: v.optional(words('What comes out', 40)),
  driedOf: v.optional(idText('What it is the dried of')),
  tinnedOf: v.optional(idText('What it is the tinned of')),
  heatHurts: v.optional(v.picklist(['curdles', 'flat'], 'Heat curdles it or makes it flat.')),
  isReady: v.optional(v.literal(true)),
  goesWithSalt: v.optional(v.literal(true)),
  acidGPerKg: v.optional(numberField('Its acid', 0, 1000, 'g/kg')),
  checks: v.optional(
    v.array(v.picklist(['pinBones', 'shell', 'splinters'], 'What to look for is not known.')),
  ),
  caution: v.optional(words('Its caution', 300)),
  guessedFrom: v.optional(idText('What it was guessed from')),
  label: v.optional(words('Its label', 200)),
  source: words('Its source', 400),
}) as unknown as v.GenericSchema<unknown, Ingredient>;
