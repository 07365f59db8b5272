import { atLeast, within } from '../check';
import type { Ingredient } from '../matter';
import { cookingStages, type Recipe, type RecipeLine } from '../recipe';
import { umamiGPer100g } from '../taste';
import { bodyG } from '../thickness';

import type { Substituted, Substitution, SubstitutionNote, SwapKeeps } from './substitution';

/** A gram of dried herb does what three of fresh do; common practice. */
const FRESH_PER_DRIED = 3;

/** Bouillon is dissolved this strong where its label says nothing, g a litre. Common practice. */
export const BOUILLON_G_PER_L = 20;

/**
 * Puts one food in the place of another.
 *
 * Half of a stock becomes another, or water with its aromatics in the pot, bouillon stands in for stock (the salt line pays for it, to nothing if it must),
 * starch for flour by strength, fresh tomatoes for tinned by solids, fresh herbs for dried, and a plant for what no
 * vegetarian eats so that the umami stays.
 *
 * @param recipe its lines name rows of `ingredients`
 * @param change share 0..1; gPerL 0 or above; fatPercent between that of the milk and of the cream
 * @returns the recipe with its lines changed, and what there is to say of it
 * @throws RangeError for a line or food that is not there, a share outside 0..1, or a fat percent out of reach
 * @source docs/model.md § 12; dried for fresh 1 : 3 common practice
 */
export function substitute(
  recipe: Recipe,
  change: Substitution,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  const { recipe: changed, notes } = changedBy(recipe, change, ingredients);
  return { recipe: { ...changed, lines: merged(changed.lines) }, notes };
}

function changedBy(
  recipe: Recipe,
  change: Substitution,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  switch (change.kind) {
    case 'swap':
      return swap(recipe, change, ingredients);
    case 'aromatics':
      return aromatics(recipe, change, ingredients);
    case 'bouillon':
      return bouillon(recipe, change, ingredients);
    case 'dairyFat':
      return dairyFat(recipe, change, ingredients);
    case 'makeUp':
      return makeUp(recipe, change, ingredients);
  }
}

/** The same swap made twice goes into the line it made the first time. */
function merged(lines: readonly RecipeLine[]): RecipeLine[] {
  const byId = new Map<string, RecipeLine>();
  for (const line of lines) {
    const before = byId.get(line.id);
    byId.set(line.id, before ? { ...before, kg: before.kg + line.kg } : line);
  }
  return [...byId.values()];
}

function swap(
  recipe: Recipe,
  change: Extract<Substitution, { kind: 'swap' }>,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  const line = lineOf(recipe, change.lineId);
  const share = within('share', change.share, 0, 1);
  const before = rowOf(ingredients, line.ingredientId);
  const after = rowOf(ingredients, change.byIngredientId);
  if (before.id === after.id || share === 0) return { recipe, notes: [] };
  const { factor, notes } = measured(before, after, line, change.keep);
  const moved: RecipeLine = {
    ...withoutTag(line),
    id: `${line.id}~${after.id}`,
    ingredientId: after.id,
    kg: line.kg * share * factor,
    // dosed by its own strength, what is solved by the plan goes on being solved
    ...(change.keep === 'umami' || !canSolve(line, after) ? { scaling: 'straight' as const } : {}),
    ...(after.thickener ? { thickener: after.thickener } : {}),
    ...(line.comesOut && after.out
      ? { comesOut: { word: after.out, eachG: after.pieceG ?? line.comesOut.eachG } }
      : {}),
  };
  const partner =
    change.keep === 'strength' && after.thickener !== 'flour' ? withoutRoux(recipe, line) : recipe;
  if (partner !== recipe) notes.push({ code: 'rouxFatGoes' });
  const kept = share < 1 ? [{ ...line, kg: line.kg * (1 - share) }] : [];
  return {
    recipe: {
      ...partner,
      lines: partner.lines.flatMap((one) => (one.id === line.id ? [...kept, moved] : [one])),
    },
    notes,
  };
}

/** Under this much salt a food salts nothing: a dish's salt is not made up with it. */
const SALTS_FROM = 0.3;

/** Whether a food can do what a solved line is for: salt a pot, thicken it, make up its litres. */
function canSolve({ scaling }: RecipeLine, food: Ingredient): boolean {
  if (scaling === 'toSalt') return food.perKg.salt >= SALTS_FROM;
  if (scaling === 'toThickness') return food.thickener !== undefined || (food.bodyGPerKg ?? 0) > 0;
  if (scaling === 'toYield') return food.share === 'liquid' && food.perKg.water > 0.5;
  return true;
}

/** A line that makes up the litres, where the recipe has none: it goes in with the first stage that boils. */
function makeUp(
  recipe: Recipe,
  change: Extract<Substitution, { kind: 'makeUp' }>,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  const food = rowOf(ingredients, change.byIngredientId);
  const line: RecipeLine = {
    id: `made-up~${food.id}`,
    ingredientId: food.id,
    stageId: '',
    kg: recipe.litres * MADE_UP_SHARE,
    scaling: 'toYield',
    tempC: 15,
  };
  if (!canSolve(line, food)) throw new RangeError(`byIngredientId must be a liquid, got ${food.id}`);
  const stages = cookingStages(recipe);
  const stage = stages.find((one) => one.kind !== 'start' && one.heat.kind === 'hold') ?? stages.at(-1);
  if (!stage) throw new RangeError(`recipe must have a stage, got ${recipe.id}`);
  return {
    recipe: { ...recipe, lines: [...recipe.lines, { ...line, stageId: stage.id }] },
    notes: [{ code: 'makesUp', name: food.name }],
  };
}

/** As a first guess it makes up this share of what is served. */
const MADE_UP_SHARE = 0.1;

/** How many kg of the new stand for one of the old. */
function measured(
  before: Ingredient,
  after: Ingredient,
  line: RecipeLine,
  keep: SwapKeeps,
): { factor: number; notes: SubstitutionNote[] } {
  switch (keep) {
    case 'weight':
      return { factor: 1, notes: [] };
    case 'strength': {
      const factor = bodyG(before, 1, line.thickener) / bodyG(after, 1);
      if (!Number.isFinite(factor) || factor <= 0)
        throw new RangeError(`byIngredientId must thicken, got ${after.id}`);
      return {
        factor,
        notes: [{ code: 'binds', name: after.name, times: 1 / factor }],
      };
    }
    case 'solids': {
      const solids = (one: Ingredient) => 1 - one.perKg.water - one.perKg.salt;
      const factor = solids(before) / solids(after);
      const water = factor * after.perKg.water - before.perKg.water;
      return { factor, notes: [{ code: 'bySolids', kgPerKg: factor, waterKgPerKg: water }] };
    }
    case 'dried': {
      if (before.driedOf === after.id) return { factor: FRESH_PER_DRIED, notes: [{ code: 'freshForDried' }] };
      if (after.driedOf === before.id)
        return { factor: 1 / FRESH_PER_DRIED, notes: [{ code: 'driedForFresh' }] };
      throw new RangeError(`byIngredientId must be the fresh or dried of ${before.id}, got ${after.id}`);
    }
    case 'umami': {
      const factor = umamiStrength(before) / umamiStrength(after);
      if (!Number.isFinite(factor) || factor <= 0)
        throw new RangeError(`byIngredientId must bring umami, got ${after.id}`);
      return { factor, notes: [{ code: 'keepsUmami', gPerKg: factor * 1000 }] };
    }
  }
}

/** Umami of a food twentyfold diluted, as in a pot, g glutamate per 100 g that would taste alike. */
function umamiStrength(ingredient: Ingredient): number {
  const per = ingredient.umami ?? {};
  const diluted = Object.fromEntries(Object.entries(per).map(([key, value]) => [key, value / DILUTION]));
  return umamiGPer100g({ glutamate: 0, ...diluted }) * DILUTION;
}
/** A seasoning is tasted this far diluted in a soup. source: from memory, a first guess */
const DILUTION = 20;

function bouillon(
  recipe: Recipe,
  change: Extract<Substitution, { kind: 'bouillon' }>,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  const line = lineOf(recipe, change.lineId);
  const share = within('share', change.share, 0, 1);
  atLeast('gPerL', change.gPerL, 0);
  const stock = rowOf(ingredients, line.ingredientId);
  const powder = rowOf(ingredients, 'bouillon-powder');
  rowOf(ingredients, 'water');
  const litres = (line.kg * share) / stock.densityKgPerL;
  const wantedKg = (litres * change.gPerL) / 1000;
  // the whole dish may not be salted past its target by bouillon alone: less of it then, and no salt at all
  const roomKg = Math.max(
    0,
    (recipe.litres * recipe.targetSaltPercent) / 100 - broughtSaltKg(recipe, ingredients, line, share),
  );
  const mostKg = powder.perKg.salt > 0 ? roomKg / powder.perKg.salt : wantedKg;
  const kg = Math.min(wantedKg, mostKg);
  const notes: SubstitutionNote[] = [
    { code: 'bouillonSalt', saltG: kg * powder.perKg.salt * 1000, litres: recipe.litres },
  ];
  if (kg < wantedKg)
    notes.push({
      code: 'bouillonCapped',
      askedGPerL: change.gPerL,
      gPerL: (1000 * kg) / Math.max(litres, 1e-9),
      saltPercent: recipe.targetSaltPercent,
    });
  const kept = share < 1 ? [{ ...line, kg: line.kg * (1 - share) }] : [];
  const water: RecipeLine = {
    ...withoutTag(line),
    id: `${line.id}~water`,
    ingredientId: 'water',
    kg: line.kg * share,
    tempC: 12,
  };
  const dose: RecipeLine = {
    id: `${line.id}~bouillon`,
    ingredientId: powder.id,
    stageId: line.stageId,
    kg,
    scaling: 'straight',
    tempC: 18,
  };
  return {
    recipe: {
      ...recipe,
      lines: recipe.lines.flatMap((one) => (one.id === line.id ? [...kept, water, dose] : [one])),
    },
    notes,
  };
}

/** Salt that everything but the salt line and the swapped stock brings at the written size, kg. */
function broughtSaltKg(
  recipe: Recipe,
  ingredients: Readonly<Record<string, Ingredient>>,
  swapped: RecipeLine,
  share: number,
): number {
  return recipe.lines
    .filter((line) => line.scaling !== 'toSalt' && line.scaling !== 'perBowl')
    .reduce(
      (sum, line) =>
        sum +
        line.kg *
          (line.id === swapped.id ? 1 - share : 1) *
          (ingredients[line.ingredientId]?.perKg.salt ?? 0),
      0,
    );
}

/** What a litre of water wants in the pot to stand for a stock, kg, in pieces to be lifted out. Common practice. */
const AROMATICS_KG_PER_L: Readonly<Record<string, { kg: number; eachG: number }>> = {
  onion: { kg: 0.04, eachG: 75 },
  carrot: { kg: 0.025, eachG: 60 },
  celery: { kg: 0.025, eachG: 40 },
  'bay-leaf': { kg: 0.0001, eachG: 0.2 },
};

function aromatics(
  recipe: Recipe,
  change: Extract<Substitution, { kind: 'aromatics' }>,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  const line = lineOf(recipe, change.lineId);
  const watered = swap(
    recipe,
    { kind: 'swap', lineId: line.id, byIngredientId: 'water', share: change.share, keep: 'weight' },
    ingredients,
  );
  const litres = line.kg * within('share', change.share, 0, 1);
  const lines = Object.entries(AROMATICS_KG_PER_L).map(
    ([id, { kg, eachG }]): RecipeLine => ({
      id: `${line.id}~pot~${id}`,
      ingredientId: rowOf(ingredients, id).id,
      stageId: line.stageId,
      kg: kg * litres,
      scaling: 'straight',
      tempC: 12,
      comesOut: { word: rowOf(ingredients, id).name.toLowerCase(), eachG },
    }),
  );
  return {
    recipe: litres > 0 ? { ...watered.recipe, lines: [...watered.recipe.lines, ...lines] } : recipe,
    notes: [{ code: 'aromatics' }],
  };
}

function dairyFat(
  recipe: Recipe,
  change: Extract<Substitution, { kind: 'dairyFat' }>,
  ingredients: Readonly<Record<string, Ingredient>>,
): Substituted {
  const milk = lineOf(recipe, change.milkLineId);
  const cream = lineOf(recipe, change.creamLineId);
  const low = rowOf(ingredients, milk.ingredientId).perKg.fat * 100;
  const high = rowOf(ingredients, cream.ingredientId).perKg.fat * 100;
  if (high <= low) throw new RangeError(`creamLineId must be fatter than the milk, got ${high.toFixed(1)} %`);
  const fat = within('fatPercent', change.fatPercent, low, high);
  const total = milk.kg + cream.kg;
  const creamKg = (total * (fat - low)) / (high - low);
  const lines = recipe.lines.map((line) =>
    line.id === milk.id
      ? { ...line, kg: total - creamKg }
      : line.id === cream.id
        ? { ...line, kg: creamKg }
        : line,
  );
  return {
    recipe: { ...recipe, lines },
    notes: [{ code: 'dairyFat', creamPercent: (100 * creamKg) / total, fatPercent: fat }],
  };
}

function withoutRoux(recipe: Recipe, flour: RecipeLine): Recipe {
  const lines = recipe.lines.filter(
    (line) => !(typeof line.scaling === 'object' && line.scaling.sameAs === flour.id),
  );
  return lines.length === recipe.lines.length ? recipe : { ...recipe, lines };
}

function withoutTag(line: RecipeLine): RecipeLine {
  const { comesOut: _comesOut, cure: _cure, cut: _cut, writtenId: _writtenId, ...rest } = line;
  return rest;
}

function lineOf(recipe: Recipe, id: string): RecipeLine {
  const line = recipe.lines.find((one) => one.id === id);
  if (!line) throw new RangeError(`lineId must be a line of the recipe, got ${id}`);
  return line;
}

function rowOf(ingredients: Readonly<Record<string, Ingredient>>, id: string): Ingredient {
  const row = ingredients[id];
  if (!row) throw new RangeError(`ingredientId must be in the table, got ${id}`);
  return row;
}
