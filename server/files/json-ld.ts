import {
  portionsIn,
  type ReadingTable,
  type RecipeDraft,
  readRecipeText,
  stageKindOf,
  writtenOf,
} from '../../core/reader';
import { newStage, type Recipe, type Stage, type WrittenLine } from '../../core/recipe';
import { fileProblem, parseJson } from './file-problem';
import { linkedData, textOfHtml } from './html-text';
import { kindSaid, propertiesOf, withProperties } from './stage-properties';

/** schema.org/Recipe as JSON-LD: what any reader of recipes understands, and what this one reads back the same. */

/** A step that says what goes in at its stage, so that reading it back puts it there again. */
const GOES_IN = 'In: ';
/** The same of what was lifted out, and whose meat goes in again. */
const GOES_BACK = 'Back in: ';

type Json = Record<string, unknown>;

export function writeJsonLd(recipe: Recipe, table: ReadingTable): string {
  const written = writtenOf(recipe, table);
  const portions = Math.max(1, Math.round((recipe.litres * 1000) / recipe.portionMl));
  const document = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: recipe.name,
    recipeYield: [String(portions), `${portions} portions of ${recipe.portionMl} ml`],
    recipeIngredient: written.map((line) => line.text),
    recipeInstructions: recipe.stages.map((stage) => ({
      '@type': 'HowToSection',
      name: stage.title,
      ...(stage.ends.rule === 'minutes' ? { timeRequired: `PT${stage.ends.minutes}M` } : {}),
      additionalProperty: propertiesOf(stage),
      itemListElement: [
        ...written.flatMap((line) =>
          line.parts
            .filter((part) => part.stageId === stage.id)
            .map((part) => ({
              '@type': 'HowToStep',
              text: `${GOES_IN}${part.share < 1 ? `${percent(part.share)} % of ` : ''}${line.text}`,
            })),
        ),
        ...written
          .filter((line) => line.backStageId === stage.id)
          .map((line) => ({ '@type': 'HowToStep', text: `${GOES_BACK}${line.text}` })),
        { '@type': 'HowToStep', text: stage.act },
      ],
    })),
  };
  return `${JSON.stringify(document, null, 2)}\n`;
}

/** Recipes in JSON-LD, alone or inside a saved page. */
export function readJsonLd(text: string, table: ReadingTable): RecipeDraft[] {
  const found = recipesOf(blocksOf(text.replace(/^\ufeff/, '')));
  if (found.length === 0) throw fileProblem('file', 'There is no recipe (schema.org Recipe) in this file.');
  return found.map((one, i) => draftOf(one, i, table));
}

/** Recipes of the blocks that can be read; where none can, what is wrong with the first. */
function recipesOf(blocks: readonly string[]): Json[] {
  let wrong: unknown = null;
  const found = blocks.flatMap((block) => {
    try {
      return recipesIn(parseJson(bare(block)));
    } catch (error) {
      wrong ??= error;
      return [];
    }
  });
  if (found.length === 0 && wrong) throw wrong;
  return found;
}

/** Without the marks that keep a script from being taken for mark-up. */
const bare = (block: string): string =>
  block
    .trim()
    .replace(/^(?:\/\/|\/\*)?\s*<!\[CDATA\[\s*(?:\*\/)?/, '')
    .replace(/(?:\/\/|\/\*)?\s*\]\]>\s*(?:\*\/)?$/, '')
    .replace(/^<!--/, '')
    .replace(/(?:\/\/)?\s*-->$/, '')
    .trim();

function blocksOf(text: string): string[] {
  return /^\s*</.test(text) ? linkedData(text) : [text];
}

/** Data are nested no deeper than this where a recipe is looked for. */
const DEEPEST = 40;

/** Under these a page has its recipe. */
const UNDER = ['@graph', 'mainEntity', 'mainEntityOfPage', 'itemListElement', 'item', 'hasPart', 'about'];

/** A recipe may stand alone, in a list, in a graph, or under something else. */
function recipesIn(node: unknown, depth = 0): Json[] {
  if (depth > DEEPEST) throw fileProblem('file', 'What is in this file is nested too deep to be a recipe.');
  if (Array.isArray(node)) return node.flatMap((one) => recipesIn(one, depth + 1));
  if (node === null || typeof node !== 'object') return [];
  const json = node as Json;
  const types = [json['@type']].flat();
  if (types.some((type) => typeof type === 'string' && /(?:^|[/#:])Recipe$/.test(type))) return [json];
  return UNDER.flatMap((key) => recipesIn(json[key], depth + 1));
}

function draftOf(json: Json, index: number, table: ReadingTable): RecipeDraft {
  const where = (field: string) => `recipes.${index}.${field}`;
  const name = plain(json.name);
  if (!name) throw fileProblem(where('name'), `Recipe ${index + 1} has no name.`);
  const lines = [json.recipeIngredient ?? json.ingredients ?? []]
    .flat()
    .map(plain)
    .filter((line) => line !== '');
  if (lines.length === 0) throw fileProblem(where('recipeIngredient'), `“${name}” has no ingredients.`);
  const tooLong = lines.findIndex((line) => line.length > 200);
  if (tooLong >= 0)
    throw fileProblem(
      where(`recipeIngredient.${tooLong}`),
      `Ingredient ${tooLong + 1} of “${name}” is longer than 200 characters.`,
    );
  const yields = [json.recipeYield ?? json.yield ?? []].flat().map(yieldWords);
  const portions = yields.map(portionsOf).find((one) => one !== null) ?? null;
  const portionMl = yields.map((word) => /of (\d+)\s*ml/i.exec(word)?.[1]).find((word) => word !== undefined);
  const instructions = [json.recipeInstructions ?? []].flat();
  const sections = instructions.filter(
    (one): one is Json =>
      typeof one === 'object' && one !== null && [(one as Json)['@type']].flat().includes('HowToSection'),
  );
  if (sections.length > 0) {
    const draft = fromSections(sections, lines);
    if (draft) return { name, portions, portionMl: portionMl ? Number(portionMl) : null, open: [], ...draft };
  }
  const steps = instructions.flatMap((step) => stepTexts(step));
  const paper = [
    name,
    ...(portions ? [`Serves ${portions}`] : []),
    'Ingredients',
    ...lines,
    'Method',
    ...steps,
  ].join('\n');
  return { ...readRecipeText(paper, table), name, portions, portionMl: portionMl ? Number(portionMl) : null };
}

/** Our own sections say what goes in where; another's do not, and are read as plain steps. */
function fromSections(
  sections: readonly Json[],
  lines: readonly string[],
): { written: WrittenLine[]; stages: Stage[] } | null {
  const parts = lines.map((): { stageId: string; share: number }[] => []);
  const backs = new Map<number, string>();
  const stages = sections.map((section, i): Stage => {
    const id = `s${i + 1}`;
    const texts = [section.itemListElement ?? []].flat().flatMap((step) => stepTexts(step));
    for (const text of texts.filter((one) => one.startsWith(GOES_BACK))) {
      const at = lines.indexOf(text.slice(GOES_BACK.length));
      if (at >= 0) backs.set(at, id);
    }
    for (const text of texts.filter((one) => one.startsWith(GOES_IN))) {
      const share = /^In: (\d+(?:\.\d+)?) % of /.exec(text);
      const line = text.slice(share ? share[0].length : GOES_IN.length);
      const at = lines.findIndex(
        (one, n) => one === line && parts[n]!.reduce((sum, part) => sum + part.share, 0) < 1 - 1e-9,
      );
      if (at >= 0) parts[at]!.push({ stageId: id, share: share ? Number(share[1]) / 100 : 1 });
    }
    const title = plain(section.name) || `Step ${i + 1}`;
    const act = texts.filter((one) => !one.startsWith(GOES_IN) && !one.startsWith(GOES_BACK)).join(' ');
    const told = kindSaid(section.additionalProperty) ?? stageKindOf(title) ?? stageKindOf(act);
    const kind = i === sections.length - 1 ? 'serve' : (told ?? 'simmer');
    const stage: Stage = {
      ...newStage(id, kind === 'serve' && i < sections.length - 1 ? 'finish' : kind),
      title: title.slice(0, 80),
      act: act.slice(0, 1000),
    };
    const whole = withProperties(stage, section.additionalProperty);
    const minutes = /^PT(?:(\d+)H)?(?:(\d+(?:\.\d+)?)M)?$/.exec(plain(section.timeRequired));
    return minutes && whole.ends.rule !== 'served'
      ? {
          ...whole,
          ends: { rule: 'minutes', minutes: Number(minutes[1] ?? 0) * 60 + Number(minutes[2] ?? 0) },
        }
      : whole;
  });
  if (parts.some((some) => some.length === 0)) return null;
  return {
    stages,
    written: lines.map((text, i) => {
      const back = backs.get(i);
      const id = `w${i + 1}`;
      return {
        id,
        text,
        ...(back ? { comesOut: true, backStageId: back } : {}),
        parts: wholeParts(parts[i]!),
      };
    }),
  };
}

/** Shares written to a hundredth of a per cent are made whole again. */
function wholeParts(parts: { stageId: string; share: number }[]): { stageId: string; share: number }[] {
  const rest = parts.slice(0, -1).reduce((sum, part) => sum + part.share, 0);
  return parts.map((part, i) => (i === parts.length - 1 ? { ...part, share: 1 - rest } : part));
}

function stepTexts(step: unknown, depth = 0): string[] {
  if (depth > DEEPEST) throw fileProblem('file', 'The steps in this file are nested too deep.');
  if (typeof step === 'string')
    return plain(step)
      .split(/\n+/)
      .filter((text) => text !== '');
  if (step === null || typeof step !== 'object') return [];
  const json = step as Json;
  if (json.itemListElement) return [json.itemListElement].flat().flatMap((one) => stepTexts(one, depth + 1));
  return [plain(json.text ?? json.name)].filter((text) => text !== '');
}

/** Text without mark-up. */
function plain(value: unknown): string {
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return '';
  const text = /[<&]/.test(value) ? textOfHtml(value) : value;
  return text.replace(/[ \t]+/g, ' ').trim();
}

/** A yield as words: “6 to 8”, or a `QuantitativeValue` with its unit. */
function yieldWords(value: unknown): string {
  if (value === null || typeof value !== 'object') return plain(value);
  const { value: amount, unitText, unitCode } = value as Json;
  return `${plain(amount)} ${plain(unitText ?? unitCode)}`.trim();
}

/** Most that one recipe can serve. */
const MOST_PORTIONS = 1000;

/** Bowls that a yield says, the middle of a range; litres and nonsense say none. */
function portionsOf(words: string): number | null {
  const bare = /^(\d{1,4})(?:\s*(?:-|–|to)\s*(\d{1,4}))?$/.exec(words);
  const portions = bare
    ? Math.round((Number(bare[1]) + Number(bare[2] ?? bare[1])) / 2)
    : (portionsIn(words)?.portions ?? null);
  return portions !== null && portions >= 1 && portions <= MOST_PORTIONS ? portions : null;
}

function percent(share: number): string {
  return String(Number((share * 100).toFixed(2)));
}
