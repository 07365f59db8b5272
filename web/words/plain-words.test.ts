import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** Every sentence of the browser side and of the wire is read as it is written. */
const ROOMS = ['web/words/en', 'contract', 'core/recipe', 'core/bases/data', 'core/substitute', 'core/batch'];
const MOST_WORDS = 20;

/** Words that cooks stopped at, and what is said instead: the table of the design. */
const OLD: readonly [RegExp, string][] = [
  [/\b(Write one|Bring a book in|Take the book out)\b/, 'New recipe, Import, Export'],
  [/\b(Lay it on the desk|Put it in the book|Keep as version)\b/, 'Continue, Save, Save version'],
  [/\b(Take it up again|Put right|Strike out|struck out)\b/i, 'Edit, Correct, Delete'],
  [
    /\b(Keep it so|Put away|It is here now|Keep this reading)\b/,
    'OK, Close, Take a reading, Save the reading',
  ],
  [/^(It is done|At the mark|It is so|That is what happened)$/, 'Stage done, It’s at the mark, Done: log it'],
  [/\b(let it fall|the fall|another mark)\b/i, 'reduce to, the reduction, change the mark'],
  [/\b(take back|taken back|took something back|what was said)\b/i, 'undo, the log'],
  [
    /\b(in another’s place|as much as the pot holds|by what there is)\b/i,
    'substitute, fill the pot, from what I have',
  ],
  [/\bthe bench\b|^Bench$/i, 'Adjust'],
  [/^(Body|Holds|Goes in|As bought|Comes out|It scales)$/, 'Thickness, Contains, Into the pot, As purchased'],
  [/\bits plate\b|\bplate says\b/i, 'rating'],
  [/\bbottom bears\b/i, 'scorch risk'],
  [/\bover what was said\b|\bstood by\b/i, 'extra amount, confirmed'],
  [/\bput (some )?by\b/i, 'store, stored'],
  [/\bkept for the days ahead\b/i, 'planned'],
  [/\bbrought back\b|\bbring it back hot\b/i, 'reheated, reheat'],
  [/^Count it$|\bpart(ed)? (some )?off\b|\blet(ting)? down\b/i, 'count, split off, dilute'],
  [/\bthe menu says\b|\bthe house(’s| calls)\b/i, 'menu claim, our name'],
  [/\bhas to come out again\b|\bpart it for another moment\b/i, 'remove before serving, split across stages'],
  [
    /\bthe pots have taught\b|\babove the sea\b|\bdays to the date mark\b/i,
    'calibration, altitude, shelf life',
  ],
  [/^Mind:|^If not:|^not so$/, 'Caution, If it goes wrong, won’t finish at this heat'],
  [/\bcling\b|\bfull ladles\b|\bstand-?in\b|\breckon(ed|ing)?\b/i, 'left in the pot, simulated, calculated'],
];

interface Text {
  where: string;
  said: string;
}

/** Texts with a space or a capital: a code has neither. What stands in a hole of a sentence is one word. */
function textsOf(file: string): Text[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const texts: Text[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    const said = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? node.head.text + node.templateSpans.map((span) => `X${span.literal.text}`).join('')
        : null;
    if (said && /\s|^[A-Z]/.test(said)) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      texts.push({ where: `${file}:${line + 1}`, said });
    }
    ts.forEachChild(node, look);
  };
  look(source);
  return texts;
}

const filesIn = (room: string): string[] =>
  readdirSync(room, { withFileTypes: true, recursive: true })
    .filter((one) => one.isFile() && one.name.endsWith('.ts') && !one.name.endsWith('.test.ts'))
    .map((one) => join(one.parentPath, one.name));

/** Pages for the cook, and pages for who builds on it: paragraphs and points, without what is typed at a machine. */
const FOR_COOKS = ['README.md', 'docs/guide.md', 'docs/running.md'];
const FOR_BUILDERS = ['architecture', 'changing', 'devices', 'formats', 'model'].map(
  (name) => `docs/${name}.md`,
);

function paragraphsOf(file: string): Text[] {
  const prose = readFileSync(file, 'utf8')
    .replace(/^```[\s\S]*?^```/gm, '')
    .replace(/^( {4}|\|).*$/gm, '');
  return prose.split(/\n\s*\n|\n(?=[-#]|\d\. )/).flatMap((paragraph) => {
    const said = paragraph
      .replace(/\]\([^)]*\)|\*\*|`|^[-#\d. ]+/g, '')
      .replace(/\s+/g, ' ')
      .trim();
    return said ? [{ where: file, said }] : [];
  });
}

/** A page of paper is an example of what cooks write, not what Slow Pot says. */
const isPaper = ({ said }: Text) => said.includes('\n');

/** A builder's page gives its sources in brackets and its figures in lists: each part of a list is read by itself. */
function shorter({ where, said }: Text): Text {
  return { where, said: said.replace(/\([^()]*(?:\([^()]*\)[^()]*)*\)/g, '').replace(/[:;](?=\s)/g, '.') };
}

const TEXTS = [
  ...ROOMS.flatMap(filesIn).flatMap(textsOf),
  ...FOR_COOKS.flatMap(paragraphsOf),
  ...FOR_BUILDERS.flatMap(paragraphsOf).map(shorter),
].filter((text) => !isPaper(text));

describe('plain words', () => {
  it('reads what there is to read', () => {
    expect(TEXTS.length).toBeGreaterThan(2500);
    expect(textsOf('web/words/en/pot.ts').some(({ said }) => said === 'Take a reading')).toBe(true);
  });
  it('none of the words that cooks stopped at', () => {
    const found = TEXTS.flatMap(({ where, said }) =>
      OLD.flatMap(([word, instead]) => (word.test(said) ? [`${where} “${said}”: ${instead}`] : [])),
    );
    expect(found).toEqual([]);
  });
  it('no sentence of more than twenty words', () => {
    const long = TEXTS.flatMap(({ where, said }) =>
      said.split(/[.!?](?:\s|$)/).flatMap((sentence) => {
        const words = sentence.split(/\s+/).filter((word) => /[\p{L}\d]/u.test(word)).length;
        return words > MOST_WORDS ? [`${where} ${words} words: ${sentence}`] : [];
      }),
    );
    expect(long).toEqual([]);
  });
});
