import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, capture, installPackages, needChromium } from './steps.mjs';

/** `npm test`: installs what is missing, then every check of the house; closes with how many passed and failed. */
installPackages();
const folder = mkdtempSync(join(tmpdir(), 'slow-pot-test-'));
const unitReport = join(folder, 'unit.json');
const browserReport = join(folder, 'browser.json');
let passed = 0;
let failed = 0;
/** What failed, by name: told last, where whoever reads only the end finds it. */
const named = [];

function step(name, command, args, env) {
  console.log(`\n— ${name}`);
  const { ok, out } = capture(command, args, env);
  if (out.trim()) console.log(out.trim());
  return ok;
}
function one(name, command, args) {
  if (step(name, command, args)) passed++;
  else {
    failed++;
    named.push(name);
  }
}

one('types', 'npx', ['tsc', '--noEmit']);
one('lint', 'npx', ['biome', 'check', '.']);
one('boundaries', 'npx', [
  'depcruise',
  'core',
  'contract',
  'server',
  'web',
  'demo',
  '--config',
  '.dependency-cruiser.mjs',
]);

step('unit tests', 'npx', [
  'vitest',
  'run',
  '--reporter=dot',
  '--reporter=json',
  `--outputFile.json=${unitReport}`,
]);
count(() => {
  const report = JSON.parse(readFileSync(unitReport, 'utf8'));
  for (const { assertionResults, name, message } of report.testResults) {
    const bad = assertionResults.filter((one) => one.status === 'failed');
    for (const { fullName, failureMessages } of bad)
      named.push(`${fullName}: ${failureMessages[0]?.split('\n')[0]}`);
    if (message && bad.length === 0) named.push(`${name}: ${message.split('\n')[0]}`);
  }
  return [
    report.numPassedTests,
    report.numFailedTests + (report.success ? 0 : Number(report.numFailedTests === 0)),
  ];
});

one('breaks that must be noticed', 'node', ['scripts/break.mjs', '--short']);

console.log('\n— build');
build();
needChromium();
step('browser tests', 'npx', ['playwright', 'test'], { SLOW_POT_REPORT: browserReport });
count(() => {
  const { stats, errors, suites } = JSON.parse(readFileSync(browserReport, 'utf8'));
  named.push(...failedIn(suites), ...errors.map((error) => error.message));
  return [stats.expected, stats.unexpected + errors.length];
});

rmSync(folder, { recursive: true });
for (const name of named) console.log(`✗ ${name}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** A report that cannot be read is a failure: its runner never came to an end. */
function count(read) {
  try {
    const [good, bad] = read();
    passed += good;
    failed += bad;
  } catch (error) {
    console.error(`no report: ${error.message}`);
    failed++;
  }
}

/** The names of browser tests that failed, with what they said first. */
function failedIn(suites = []) {
  return suites.flatMap((suite) => [
    ...failedIn(suite.suites),
    ...(suite.specs ?? [])
      .filter((spec) => !spec.ok)
      .map((spec) => `${spec.file}: ${spec.title}: ${firstErrorOf(spec)}`),
  ]);
}

function firstErrorOf(spec) {
  const results = spec.tests.flatMap((test) => test.results);
  return results.flatMap((result) => result.errors ?? [])[0]?.message?.split('\n')[0] ?? 'no word why';
}
