import { sentenceCase } from '../../../contract';
import type { DiscardReason } from '../../../core/batch';
import { INGREDIENT_BY_ID } from '../../../core/matter';
import type { PlanInput } from '../../../core/plan';
import { kindsOf, type PortionKind, type PortionWord } from '../../../core/portions';
import type { FreeWay } from '../../../core/service';
import type { Substitution } from '../../../core/substitute';
import { hourMinute, litres, portion } from '../amounts';
import { allergenNames } from './holds';

/** What portions are called, wherever they are named. */
const ONE: Readonly<Record<PortionWord, string>> = {
  bowl: 'bowl',
  cup: 'cup',
  tub: 'tub to go',
  staff: 'staff meal',
};
const MANY: Readonly<Record<PortionWord, string>> = {
  bowl: 'bowls',
  cup: 'cups',
  tub: 'tubs to go',
  staff: 'staff meals',
};

/** Why a portion went to no guest. */
export const DISCARD_WORDS: Readonly<Record<DiscardReason, string>> = {
  spilled: 'spilled',
  returned: 'sent back',
  overHeld: 'held too long',
  tasting: 'tasting',
  staff: 'staff',
};

export const portionWord = (word: PortionWord, count = 2): string => (count === 1 ? ONE : MANY)[word];

/** The size of a portion: what is a litre or more in litres. */
export const portionSize = (ml: number): string => (ml >= 1000 ? litres(ml / 1000) : portion(ml));

/** “bowls without celery”; with the size where a kitchen has several of a word. */
export function kindName(
  { word, ml, freeOf, laterMs }: Pick<PortionKind, 'word' | 'ml' | 'freeOf' | 'laterMs'>,
  { count = 2, isSized = false } = {},
): string {
  const size = isSized ? ` of ${portionSize(ml)}` : '';
  const later = laterMs === undefined ? '' : ' kept';
  return `${portionWord(word, count)}${size}${freeOf?.length ? ` without ${allergenNames(freeOf)}` : ''}${later}`;
}

/** How kinds of one order are told apart: by their word, and by their size where two share it. */
export function kindNames(kinds: readonly PortionKind[], count = 2): Map<string, string> {
  return new Map(
    kinds.map((kind) => {
      const isSized = kinds.some((one) => one.word === kind.word && one.ml !== kind.ml);
      return [kind.id, kindName(kind, { count, isSized })];
    }),
  );
}

/** “2 bowls, 1 cup” */
export function askedWords(
  items: readonly { kindId: string; count: number }[],
  kinds: readonly PortionKind[],
): string {
  return items
    .map(({ kindId, count }) => {
      const kind = kinds.find((one) => one.id === kindId) ?? kinds[0]!;
      return `${count} ${kindNames(kinds, count).get(kind.id)}`;
    })
    .join(', ');
}

/** Whether and how guests who may not eat all of a dish are served. */
export function freeWayWords(
  way: FreeWay,
  { freeOf = [] }: PortionKind,
  input: PlanInput,
  zone: string,
): string {
  const what = allergenNames(freeOf);
  const names = (lineIds: readonly string[]) => {
    const lines = input.recipe.lines.filter((line) => lineIds.includes(line.id));
    const found = lines.map((line) => input.ingredients[line.ingredientId]?.name.toLowerCase() ?? line.id);
    return [...new Set(found)].join(', ');
  };
  switch (way.way) {
    case 'asItIs':
      return `It holds no ${what}: serve them as it is. Clean ladle, clean board.`;
    case 'noGarnish':
      return `Leave off the ${names(way.lineIds)}: the soup itself holds no ${what}.`;
    case 'drawEarly': {
      const stage = input.recipe.stages.find((one) => one.id === way.stageId);
      const before = `before “${stage?.title ?? way.stageId}”, about ${hourMinute(way.atMs, zone)}`;
      const draw = `Draw off ${litres(way.litres)} ${before}: then comes ${names(way.lineIds)}.`;
      return way.changes.length > 0 ? `${draw} Before it, ${instead(way.changes, input)}.` : draw;
    }
    case 'substitute':
      return `${sentenceCase(instead(way.changes, input))}: then the whole pot holds no ${what}.`;
    case 'notAtAll':
      return `Not from this dish: nothing goes in instead of ${names(way.lineIds)}.`;
  }
}

/** “oil instead of butter” */
function instead(changes: readonly Substitution[], { recipe, ingredients }: PlanInput): string {
  return changes
    .flatMap((change) => {
      if (change.kind !== 'swap') return [];
      const line = recipe.lines.find((one) => one.id === change.lineId);
      const was = ingredients[line?.ingredientId ?? '']?.name ?? '';
      const is = INGREDIENT_BY_ID[change.byIngredientId]?.name ?? change.byIngredientId;
      return [`${is.toLowerCase()} instead of ${was.toLowerCase()}`];
    })
    .join(', ');
}

/** An order's portions in a line: “60 bowls, 12 cups and 3 staff meals”; litres where it was ordered by those. */
export function orderedWords(of: Pick<PlanInput, 'portions' | 'portionMl' | 'kinds'>): string {
  const kinds = kindsOf(of);
  if (!of.kinds && !Number.isInteger(of.portions)) return litres((of.portions * of.portionMl) / 1000);
  return kinds.map((kind) => `${kind.count} ${kindNames(kinds, kind.count).get(kind.id)}`).join(', ');
}
