import * as v from 'valibot';
import { DIETS } from '../core/matter';
import {
  type Cure,
  type Recipe,
  type RecipeLine,
  SCALINGS,
  STAGE_KINDS,
  type Stage,
  type TasteProfile,
  type WrittenLine,
} from '../core/recipe';
import { SCALES } from '../core/taste';
import { thickenerSchema } from './batch-event';
import { countField, numberField, textField } from './number-field';

/** Shapes of a recipe as it is saved, sent and kept in files. The model's own types are what they must come to. */

const idField = (name: string) =>
  v.pipe(
    textField(name),
    v.regex(/^[a-z0-9][a-z0-9.:~_-]*$/i, `${name} may hold letters, figures, dots and dashes.`),
  );

const longText = (name: string, max: number) =>
  v.pipe(v.string(`${name} must be text.`), v.maxLength(max, `${name} must be at most ${max} characters.`));

const scaling = v.union(
  [
    v.picklist(SCALINGS),
    v.strictObject({
      sameAs: idField('The line it follows'),
      times: v.optional(numberField('How many times as much', 0.01, 100, '')),
    }),
  ],
  'How a line scales must be one of the known ways.',
);

const cure: v.GenericSchema<unknown, Cure> = v.strictObject({
  brinePercent: numberField('The brine', 0, 26, '%'),
  hours: numberField('Hours in it', 0, 240, 'h'),
  liquidPerKg: numberField('Brine to a kilogram', 0.1, 20, 'kg'),
  thicknessCm: numberField('How thick it is', 0.2, 30, 'cm'),
});

export const writtenLineSchema: v.GenericSchema<unknown, WrittenLine> = v.strictObject({
  id: idField('The line'),
  text: textField('The line', 200),
  ingredientId: v.optional(idField('The ingredient')),
  edibleG: v.optional(numberField('Its weight', 0, 500_000, 'g')),
  comesOut: v.optional(v.boolean('comesOut must be true or false.')),
  backStageId: v.optional(v.nullable(idField('The stage it goes back in at'))),
  settled: v.optional(textField('What was settled', 200)),
  soakH: v.optional(numberField('Its soaking', 0, 100, 'h')),
  scaling: v.optional(scaling),
  cure: v.optional(cure),
  parts: v.pipe(
    v.array(
      v.strictObject({ stageId: idField('The stage'), share: numberField('A share', 0, 1, '') }),
      'Where it goes in is missing.',
    ),
    v.minLength(1, 'Every line goes in somewhere.'),
    v.maxLength(8, 'A line may be split across eight stages at most.'),
    v.check(
      (parts) => Math.abs(parts.reduce((sum, part) => sum + part.share, 0) - 1) < 1e-6,
      'The parts of a line must add up to the whole of it.',
    ),
  ),
}) as v.GenericSchema<unknown, WrittenLine>;

const lineSchema = v.strictObject({
  id: idField('The line'),
  ingredientId: idField('The ingredient'),
  stageId: idField('The stage'),
  kg: numberField('Its weight', 0, 1000, 'kg'),
  scaling,
  tempC: numberField('Its temperature', -30, 110, '°C'),
  cut: v.optional(longText('The cut', 120)),
  thickener: v.optional(thickenerSchema),
  comesOut: v.optional(
    v.strictObject({
      word: textField('Its tag', 40),
      eachG: numberField('One of it', 0.001, 100_000, 'g'),
      backStageId: v.optional(idField('The stage it goes back in at')),
    }),
  ),
  soakH: v.optional(numberField('Its soaking', 0, 100, 'h')),
  cure: v.optional(cure),
  writtenId: v.optional(idField('The written line')),
}) as unknown as v.GenericSchema<unknown, RecipeLine>;

const heat = v.variant('kind', [
  v.strictObject({ kind: v.literal('burner'), fraction: numberField('The heat', 0, 1, 'of full') }),
  v.strictObject({
    kind: v.literal('hold'),
    simmer: v.picklist(['justUnder', 'barely', 'steady'], 'That simmer is not known.'),
  }),
]);

const ends = v.variant('rule', [
  v.strictObject({ rule: v.literal('minutes'), minutes: numberField('Its minutes', 0, 720, 'min') }),
  v.strictObject({ rule: v.literal('simmer') }),
  v.strictObject({ rule: v.literal('warm'), tempC: numberField('Its temperature', 30, 95, '°C') }),
  v.strictObject({
    rule: v.literal('soft'),
    edgeCm: numberField('The edge of a piece', 0.1, 20, 'cm'),
    softenMin: numberField('Its softening', 0, 600, 'min'),
  }),
  v.strictObject({
    rule: v.literal('fall'),
    fractionGone: numberField('The share that goes', 0.01, 0.9, ''),
  }),
  v.strictObject({ rule: v.literal('served') }),
]);

const attention = v.variant('kind', [
  v.strictObject({ kind: v.literal('handsOn') }),
  v.strictObject({ kind: v.literal('lookIn'), everyMin: numberField('Looking in', 0.25, 240, 'min') }),
  v.strictObject({ kind: v.literal('leave') }),
]);

const deed = v.variant('kind', [
  v.strictObject({
    kind: v.literal('puree'),
    share: numberField('The share puréed', 0, 1, ''),
    sieve: v.picklist(['none', 'coarse', 'fine'], 'That sieve is not known.'),
  }),
  v.strictObject({ kind: v.literal('strain') }),
  v.strictObject({ kind: v.literal('drain') }),
  v.strictObject({ kind: v.literal('skim'), share: numberField('The share skimmed', 0, 1, '') }),
]);

const stageSchema = v.strictObject({
  id: idField('The stage'),
  kind: v.optional(v.picklist(STAGE_KINDS, 'That kind of stage is not known.')),
  title: textField('The stage’s title', 80),
  act: longText('What is done', 1000),
  method: longText('The method', 80),
  methodId: v.optional(idField('The method')),
  methodReason: longText('Its reason', 400),
  heat,
  lid: v.picklist(['off', 'ajar', 'on'], 'The lid is off, ajar or on.'),
  ends,
  attention,
  cue: longText('The cue', 300),
  trouble: longText('The trouble', 300),
  caution: v.optional(longText('The caution', 300)),
  asksOut: v.optional(v.boolean('asksOut must be true or false.')),
  does: v.optional(deed),
  topTempC: v.optional(numberField('The top temperature', 30, 110, '°C')),
}) as unknown as v.GenericSchema<unknown, Stage>;

const openDoubt = v.variant('kind', [
  v.strictObject({ kind: v.literal('portions') }),
  v.strictObject({ kind: v.literal('minutes'), stageId: idField('The stage') }),
  v.strictObject({ kind: v.literal('mark'), stageId: idField('The stage') }),
  v.strictObject({ kind: v.literal('place'), lineId: idField('The line') }),
]);

/** Scales that are kept, and the most that any of them may be in its own measure. */
const RIGHT_MOST = 1000;
const tasteProfile = v.strictObject({
  right: v.strictObject(
    Object.fromEntries(
      SCALES.map((scale) => [
        scale,
        v.optional(
          v.strictObject({
            value: numberField('What was right', 0, RIGHT_MOST, ''),
            verdicts: countField('Its spoons', 1, 100_000),
          }),
        ),
      ]),
    ),
  ),
  fromBatchIds: v.pipe(
    v.array(idField('The batch it comes from')),
    v.maxLength(40, 'At most 40 batches are remembered.'),
  ),
}) as unknown as v.GenericSchema<unknown, TasteProfile>;

/** A recipe whole. Its parts are held against each other too: stages, shares, one serving at the end. */
export const recipeSchema: v.GenericSchema<unknown, Recipe> = v.pipe(
  v.strictObject({
    id: idField('The recipe'),
    version: countField('Its version', 1, 100_000),
    name: textField('The name', 100),
    litres: numberField('What it makes', 0.05, 500, 'L'),
    portionMl: numberField('A bowl', 5, 2000, 'mL'),
    bowl: v.strictObject({
      topDiameterCm: numberField('The bowl’s rim', 3, 60, 'cm'),
      bottomDiameterCm: numberField('The bowl’s foot', 1, 60, 'cm'),
      heightCm: numberField('The bowl’s height', 1, 40, 'cm'),
      headspaceCm: numberField('The headspace', 0, 20, 'cm'),
    }),
    targetBand: numberField('Thickness', 0, 6, ''),
    targetSaltPercent: numberField('Salt', 0, 5, '%'),
    colour: textField('The colour', 30),
    stages: v.pipe(
      v.array(stageSchema, 'A recipe has stages.'),
      v.minLength(1, 'A recipe has at least one stage.'),
      v.maxLength(40, 'At most 40 stages.'),
    ),
    lines: v.pipe(v.array(lineSchema, 'A recipe has lines.'), v.maxLength(120, 'At most 120 lines.')),
    written: v.optional(v.pipe(v.array(writtenLineSchema), v.maxLength(120, 'At most 120 lines.'))),
    open: v.optional(v.pipe(v.array(openDoubt), v.maxLength(60, 'At most 60 open questions.'))),
    claims: v.optional(v.array(v.picklist(DIETS, 'That claim is not known.'))),
    stocksAs: v.optional(idField('The base')),
    base: v.optional(idField('The kind of base')),
    best: v.optional(
      v.strictObject({
        fromH: v.optional(numberField('Best from', 0, 8760, 'h')),
        untilH: numberField('Best until', 1, 8760, 'h'),
        words: longText('How it keeps', 200),
      }),
    ),
    staysPieces: v.optional(v.boolean('staysPieces must be true or false.')),
    pattern: v.optional(
      v.array(
        v.strictObject({
          role: v.picklist(['vegetable', 'starch', 'liquid', 'bone'], 'That role is not known.'),
          writtenId: idField('The slot’s line'),
        }),
      ),
    ),
    keeps: v.optional(
      v.strictObject({
        hours: numberField('How long it keeps', 1, 8760, 'h'),
        advisory: longText('The advisory', 200),
      }),
    ),
    profile: v.optional(tasteProfile),
    spoonCm: v.optional(numberField('The spoon', 0.5, 6, 'cm')),
    note: v.optional(longText('The note', 2000)),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const recipe = dataset.value as Recipe;
    const stageIds = new Set(recipe.stages.map((stage) => stage.id));
    const say = (key: string, index: number, message: string) =>
      addIssue({
        message,
        path: [
          { type: 'object', origin: 'value', input: recipe as never, key, value: (recipe as never)[key] },
          {
            type: 'array',
            origin: 'value',
            input: (recipe as never)[key] as unknown[],
            key: index,
            value: ((recipe as never)[key] as unknown[])[index],
          },
        ],
      });
    if (stageIds.size !== recipe.stages.length) say('stages', 0, 'Two stages have the same id.');
    recipe.stages.forEach((stage, i) => {
      if ((stage.ends.rule === 'served') !== (i === recipe.stages.length - 1)) {
        say(
          'stages',
          i,
          i === recipe.stages.length - 1
            ? 'The last stage must be the serving.'
            : 'Only the last stage can be the serving.',
        );
      }
    });
    for (const [i, line] of (recipe.written ?? []).entries()) {
      for (const part of line.parts) {
        if (!stageIds.has(part.stageId))
          say('written', i, `“${line.text}” goes in at a stage that is not there.`);
      }
    }
    for (const [i, line] of recipe.lines.entries()) {
      if (!stageIds.has(line.stageId))
        say('lines', i, `A line goes in at a stage that is not there: “${line.stageId}”.`);
    }
  }),
) as v.GenericSchema<unknown, Recipe>;

/** Saving: over which version, so that two at once do not swallow each other. */
export const saveRecipeSchema = v.object({
  basedOn: v.optional(countField('The version it is based on', 1, 100_000)),
  recipe: recipeSchema,
});
export type SaveRecipe = v.InferOutput<typeof saveRecipeSchema>;
