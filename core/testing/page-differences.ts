import type { PaperPage } from '../reader/data/pages-on-paper';
import type { RecipeDraft } from '../reader/read-recipe-text';
import type { Stage, WrittenLine } from '../recipe';

/** What a stage of a page should be, as `PaperPage` writes it down. */
interface WantedStage {
  kind: string;
  minutes?: number;
  lid?: string;
  share?: number;
  goesIn: { word: string; share: number }[];
  comesBack: string[];
}

/** What differs between what a cook takes from a page and what was read; nothing where it was read right. */
export function pageDifferences(page: PaperPage, draft: RecipeDraft): string[] {
  const wanted = page.stages.split('\n').map(wantedStage);
  const wrong: string[] = [];
  if (draft.portions !== page.portions) wrong.push(`portions ${draft.portions}, not ${page.portions}`);
  const kinds = draft.stages.map(kindOf).join(' ');
  const wantedKinds = wanted.map((one) => one.kind).join(' ');
  if (kinds !== wantedKinds) return [...wrong, `stages ${kinds}, not ${wantedKinds}`];
  for (const [i, want] of wanted.entries()) wrong.push(...stageDifferences(want, draft.stages[i]!));
  wanted.forEach((want, i) => {
    const stage = draft.stages[i]!;
    for (const { word, share } of want.goesIn) {
      const line = lineNamed(draft, word);
      if (!line) {
        wrong.push(`no line of ${word}`);
        continue;
      }
      const part = line.parts.find((one) => one.stageId === stage.id);
      if (!part || Math.abs(part.share - share) > 0.01)
        wrong.push(
          `${line.text}: ${line.parts.map((one) => `${titleOf(draft, one.stageId)} ${one.share.toFixed(2)}`).join(' + ')}, not ${stage.kind} ${share}`,
        );
    }
    for (const word of want.comesBack) {
      const line = lineNamed(draft, word);
      if (line?.backStageId !== stage.id) wrong.push(`${word} does not come back at ${stage.kind}`);
    }
  });
  for (const line of draft.written)
    if (line.backStageId && !wanted.some((one) => one.comesBack.some((word) => line.text.includes(word))))
      wrong.push(`${line.text} comes back`);
  return wrong;
}

/** As a page writes it: what is strained is lifted out of its liquid. */
const kindOf = (stage: Stage): string => (stage.does?.kind === 'strain' ? 'strain' : (stage.kind ?? 'start'));

function wantedStage(row: string): WantedStage {
  const [head, foods = ''] = row.split(':');
  const [kind, ...said] = head!.trim().split(' ');
  const words = foods.split(' ').filter((word) => word !== '');
  const figure = said.find((word) => /^\d/.test(word));
  const share = said.find((word) => word.startsWith('/'));
  const lid = said.find((word) => ['on', 'ajar', 'off'].includes(word));
  return {
    kind: kind!,
    ...(figure ? { minutes: Number(figure) } : {}),
    ...(share ? { share: Number(share.slice(1)) } : {}),
    ...(lid ? { lid } : {}),
    goesIn: words
      .filter((word) => !word.startsWith('<'))
      .map((word) => {
        const [name, part] = word.split('*');
        const [over, under] = (part ?? '1/1').split('/').map(Number);
        return { word: name!, share: over! / under! };
      }),
    comesBack: words.filter((word) => word.startsWith('<')).map((word) => word.slice(1)),
  };
}

function stageDifferences(want: WantedStage, got: Stage): string[] {
  const wrong: string[] = [];
  const minutes = got.ends.rule === 'minutes' ? got.ends.minutes : null;
  if (want.minutes !== undefined && minutes !== want.minutes)
    wrong.push(`${want.kind} of ${JSON.stringify(got.ends)}, not ${want.minutes} min`);
  if (want.lid !== undefined && got.lid !== want.lid)
    wrong.push(`${want.kind} lid ${got.lid}, not ${want.lid}`);
  const share =
    got.does?.kind === 'puree'
      ? got.does.share
      : got.ends.rule === 'fall'
        ? got.ends.fractionGone
        : undefined;
  if (want.share !== undefined && Math.abs((share ?? 0) - want.share) > 0.01)
    wrong.push(`${want.kind} share ${share}, not ${want.share}`);
  return wrong;
}

/** The line with a word in it, the beginning of one of its own first; `one@two` has both. */
function lineNamed(draft: RecipeDraft, word: string): WrittenLine | undefined {
  const parts = word.toLowerCase().split('@');
  const has = (edge: string) => (one: WrittenLine) =>
    parts.every((part) => new RegExp(`${edge}${part}`, 'u').test(one.text.toLowerCase()));
  return draft.written.find(has('(?<!\\p{L})')) ?? draft.written.find(has(''));
}

function titleOf(draft: RecipeDraft, id: string): string {
  return draft.stages.find((stage) => stage.id === id)?.kind ?? id;
}
