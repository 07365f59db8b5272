import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { BREAKS, HOUSE } from './break-lines.mjs';
import { capture } from './steps.mjs';

/**
 * `npm run break`: breaks a line of the house at a time, a sign, a factor, a swapped argument, a rule left out, and asks
 * that the unit tests notice each. What is broken is a copy of the house in the system's temporary folder: a run that is
 * cut short leaves no broken line behind. Ends with a failure if one went unnoticed. `npm run break -- core/pot` breaks
 * only lines of those files; `--short` one of each new room, as `npm test` does.
 */
const SHORT = ['core/rules/times.ts', 'server/storage/ledger-rows.ts', 'web/data/outbox/outbox.ts'];

const ALL = [
  ...BREAKS.map(([file, ...pairs]) => ({ file, pairs, tests: 'core' })),
  ...HOUSE.map(([file, good, bad, tests]) => ({ file, pairs: [good, bad], tests })),
];
const asked = process.argv[2] ?? '';
const wanted =
  asked === '--short'
    ? SHORT.map((file) => ALL.findLast((one) => one.file === file))
    : ALL.filter(({ file }) => file.startsWith(asked));
if (wanted.some((one) => !one)) throw new Error('every file of SHORT needs a line to break');

// a line that was rewritten breaks nothing any more, and nobody would know for as long as only a few are asked for
const stale = ALL.filter(({ file, pairs }) => {
  const whole = existsSync(file) ? readFileSync(file, 'utf8') : '';
  return !pairs.some((line, i) => i % 2 === 0 && whole.includes(line));
});
for (const { file, pairs } of stale) console.log(`✕ ${file}: the line to break is not there: ${pairs[0]}`);
if (stale.length > 0) process.exit(1);

const NOT_COPIED = new Set(
  ['node_modules', '.git', 'dist', 'data', 'test-results', 'docs'].map((name) => resolve(name)),
);
const copy = mkdtempSync(join(tmpdir(), 'slow-pot-break-'));
cpSync('.', copy, { recursive: true, filter: (from) => !NOT_COPIED.has(resolve(from)) });
symlinkSync(resolve('node_modules'), join(copy, 'node_modules'));
process.chdir(copy);

let unnoticed = 0;
for (const { file, pairs, tests } of wanted) {
  const whole = readFileSync(file, 'utf8');
  const at = pairs.findIndex((line, i) => i % 2 === 0 && whole.includes(line));
  const [good, bad] = pairs.slice(at, at + 2);
  writeFileSync(
    file,
    whole.replace(good, () => bad),
  );
  const { ok } = capture('npx', ['vitest', 'run', tests, '--bail=1', '--reporter=dot', '--silent'], {}, true);
  console.log(`${ok ? '✕ unnoticed' : '✓ caught'}: ${file}: ${bad || `without ${good}`}`);
  if (ok) unnoticed++;
  writeFileSync(file, whole);
}
process.chdir(tmpdir());
rmSync(copy, { recursive: true, force: true });
console.log(`${wanted.length - unnoticed} of ${wanted.length} caught`);
process.exit(unnoticed === 0 ? 0 : 1);
