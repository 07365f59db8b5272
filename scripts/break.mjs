import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { capture } from './steps.mjs';

/**
 * `npm run break`: breaks a line of the house at a time, a sign, a factor, a swapped argument, a rule left out, and asks
 * that the unit tests notice each. What is broken is a copy of the house in the system's temporary folder: a run that is
 * cut short leaves no broken line behind. Ends with a failure if one went unnoticed. `npm run break -- core/pot` breaks
 * only lines of those files; `--short` one of each new room, as `npm test` does.
 */
const BREAKS = [
  ['core/vessel/litres-at-depth.ts', '3 * radius - bowl', '3 * radius + bowl'],
  ['core/heat/air-pressure-kpa.ts', '2.25577e-5', '2.35577e-5'],
  [
    'core/heat/mix-temp-c.ts',
    'FROZEN_SPECIFIC_HEAT_KJ * temp - water',
    'FROZEN_SPECIFIC_HEAT_KJ * temp + water',
  ],
  ['core/heat/minutes-to-cook-dice.ts', '(2 * n + 1)', '(2 * n + 1.1)', '2 * n + 1;', '2 * n + 1.1;'],
  [
    'core/evaporation/surface-loss-kg-per-hour.ts',
    'input.pressureKPa - input.airVapourKPa',
    'input.pressureKPa + input.airVapourKPa',
  ],
  ['core/evaporation/data/evaporation-constants.ts', 'ajar: 0.45', 'ajar: 0.54'],
  ['core/forecast/forecast.ts', 'priorWeight * priorRate - slope', 'priorWeight * priorRate + slope'],
  ['core/salt/salt-to-add-g.ts', '/ (1 - target)', '/ (1 + target)'],
  ['core/salt/dilution-kg.ts', 'now / target - 1', 'target / now - 1'],
  ['core/thickness/data/thickeners.ts', 'rouxBrown: { strength: 0.6', 'rouxBrown: { strength: 0.95'],
  ['core/cooling/cooling-hours.ts', '(2 * sine)', '(1.9 * sine)'],
  ['core/taste/data/umami-constants.ts', 'gmp: 2.3', 'gmp: 3.2'],
  ['core/matter/operations.ts', 'plus(mixture.pieces, pulp, -1)', 'plus(mixture.pieces, pulp, -0.5)'],
  ['core/pot/pot-run.ts', 'run.massKg -= kg', 'run.massKg += kg'],
  [
    'core/pot/read-pot.ts',
    'after.evaporatedKg = pot.evaporatedKg + lost',
    'after.evaporatedKg = pot.evaporatedKg - lost',
  ],
  ['core/log/active-events.ts', 'a.actedAtMs - b.actedAtMs || a.seq - b.seq', 'a.seq - b.seq'],
  [
    'core/plan/solve-load.ts',
    'wantedSalt * (massKg(end.mixture) + held.kg)',
    'wantedSalt * massKg(end.mixture) * 1.1',
  ],
  ['core/plan/solve-system.ts', 'dx[j]!) / length2', 'dx[i]!) / length2 + 3'],
  ['core/plan/unmet-wishes.ts', 'bowlsShare: 0.01', 'bowlsShare: 0.3'],
  ['core/plan/frying.ts', 'kg * Math.min(share,', 'kg * Math.max(share,'],
  ['core/plan/cook-through.ts', 'topC - UNDER_THE_TOP_C;', 'topC + 9;'],
  ['core/plan/plan-batch.ts', '(batches - 1 - i) * eachMs', 'i * eachMs'],
  ['core/plan/workings.ts', 'sum(foods) - potSaltG', 'sum(foods) - potSaltG * 0.9'],
  ['core/batch/still-to-add.ts', 'isLast ? neededKg', '!isLast ? neededKg'],
  ['core/batch/pot-items.ts', 'item.kg * (1 - share)', 'item.kg'],
  ['core/batch/boiling-away.ts', 'lostKg <= plannedKg + loose', 'lostKg <= plannedKg + 9 * loose'],
  ['core/batch/acts/out-acts.ts', 'tag: isWhole ? lying.tag : null', 'tag: lying.tag'],
  ['core/adjust/adjust.ts', 'a.warns.length - b.warns.length', 'b.warns.length - a.warns.length'],
  ['core/reader/lines-of.ts', '(1000 * fatKg) / flourKg', '(1000 * flourKg) / fatKg'],
  ['core/book/prepare-recipe.ts', 'masses.salt - added,', 'masses.salt,'],
  ['core/lists/mise-list.ts', 'freeUntilMs = beginByMs', 'freeUntilMs = Number.POSITIVE_INFINITY'],
  ['core/order/opening-place.ts', '!busy.burnerIds.includes(burner.id)', 'busy.burnerIds.length < 99'],
  ['core/plan/plan-one.ts', 'input.serviceAtMs - Math.max', 'input.serviceAtMs + Math.max'],
  [
    'core/batch/acts/serving-acts.ts',
    'count * context.snapshot.input.portionMl',
    '1.05 * count * context.snapshot.input.portionMl',
  ],
  ['core/reader/read-amount.ts', 'whole + above / below', 'whole + below / above'],
  ['core/reader/data/measures.ts', 'large: 1.4', 'large: 1.1'],
  ['core/reader/weigh-reading.ts', '(much.amount.low + much.amount.high) / 2', 'much.amount.low'],
  ['core/reader/weigh-reading.ts', 'weight.grams = total;', ''],
  ['core/reader/which-food.ts', 'if (id) return { ingredientId: id, from, to };', ''],
  ['core/reader/ingredient-names.ts', '(isByMeasure && at(from - 1, length)) || found', 'found'],
  ['core/reader/lines-of.ts', 'kg * part.share', 'kg * part.share * 1.02'],
  ['core/recipe/cure.ts', 'saltKg + brineSaltKg', 'saltKg - brineSaltKg'],
  ['core/recipe/cure.ts', 'n < MOST_TERMS', 'n < 1'],
  ['core/recipe/ratios.ts', '(total - wanted) / others', '(total - wanted) / total'],
  [
    'core/recipe/what-it-holds.ts',
    "diet === 'meat'",
    "diet === 'fish'",
    "claim === 'vegan' ? holds.notVegan",
    "claim === 'vegan' ? holds.notVegetarian",
  ],
  ['core/book/prepare-recipe.ts', 'costCents / madeKg', 'costCents * madeKg'],
  ['core/scaling/first-dose.ts', 'exponent - 1', 'exponent'],
  ['core/order/order-amount.ts', '<= haveKg[id]! + 1e-9', '<= 1.1 * haveKg[id]!'],
  ['core/plan/hands-minutes.ts', 'kg) * specificHeatKJ(perKg)', 'kg)'],
  [
    'core/substitute/substitute.ts',
    '(total * (fat - low)) / (high - low)',
    '(total * (high - fat)) / (high - low)',
  ],
  ['core/lists/mise-list.ts', 'line.purchasedKg - line.edibleKg', 'line.purchasedKg'],
  ['core/pot/finish-stage.ts', 'KEPT_BACK[deed.sieve] * pulpKg', '0 * pulpKg'],
  ['core/pot/steep.ts', '(1 - one.drawn) * 2 **', '2 **'],
  ['core/pot/steep.ts', 'const gone = share * come(one)', 'const gone = share'],
  ['core/pot/steep.ts', 'share * pulpBodyG(pieces) - hardG', 'share * pulpBodyG(pieces)'],
  ['core/pot/steep.ts', '? drawn * drawn : drawn', '? drawn : drawn'],
  ['core/thickness/soft-body.ts', 'Math.max(comesG, pulpBodyG(masses))', 'pulpBodyG(masses) + comesG'],
  ['core/pot/floor.ts', 'law * (setup.floorBears ?? 1)', 'law'],
  ['core/pot/floor.ts', '(liquid.water + liquid.alcohol) / wet < SIMMERS_FROM', 'wet < 0'],
  ['core/plan/stirring.ts', '2 ** -over', '2 ** over'],
  ['core/batch/levers.ts', '(holdsNow - holds) * setup', '(holds - holdsNow) * setup'],
  [
    'core/batch/learned-shares.ts',
    "came === 'caught' ? 'below' : 'above'",
    "came === 'caught' ? 'above' : 'below'",
  ],
  ['core/forecast/normal.ts', '1 + z * hazard - hazard * hazard', '1 + z * hazard'],
  ['core/rehearse/rehearsal.ts', 'called / really - 1', 'really / called - 1'],
  ['core/order/plan-input.ts', 'key.floorOf === id && key.recipeId === recipeId', 'key.floorOf === id'],
  ['core/pot/put-food-in.ts', 'wanted[component] - given.masses[component]', 'wanted[component]'],
  ['core/larder/born-lot.ts', 'frozen: [...date.frozen, span]', 'frozen: date.frozen'],
  [
    'core/larder/born-lot.ts',
    'Math.min(birth.madeAtMs, ...dates.flatMap((date) => (isOwnMaking(date) ? date.madeAtMs : [])))',
    'birth.madeAtMs',
  ],
  [
    'core/larder/use-by.ts',
    'daysOn(date, rules.dateMarkDays, rules)',
    'daysOn(date, rules.dateMarkDays + 1, rules)',
  ],
  ['core/larder/draw-lots.ts', 'lot.useByMs < atMs', 'lot.useByMs > atMs'],
  ['core/larder/mix-contents.ts', "component === 'water' ? waterKg : 0", '0'],
  ['core/larder/trace-lot.ts', "walk(start, arrows, 'to', 'from')", "walk(start, arrows, 'from', 'to')"],
  ['core/larder/lots-of-batch.ts', ', ...holdsInPot(snapshot, lot) }', ', allergens: [], diet: "vegan" }'],
  ['core/larder/plan-with-lots.ts', 'draw.kg * row.yield', 'draw.kg'],
  ['core/larder/blend-program.ts', '/ touch ** 2', '/ touch'],
  ['core/larder/concentrate.ts', '(100 * dissolvedKg) / brix', '(90 * dissolvedKg) / brix'],
  ['core/order/base-demand.ts', 'need.kg - shortKg', 'need.kg'],
  [
    'core/pot/covariance.ts',
    'p[w * N + col] = p[w * N + col]! * keeps',
    'p[w * N + col] = p[w * N + col]! * 1',
  ],
  ['core/pot/read-pot.ts', '- pot.bias[by] * leverKg', '+ pot.bias[by] * leverKg'],
  ['core/pot/forecast-pot.ts', 'moreKg: off * each', 'moreKg: -off * each'],
  ['core/pot/pot-run.ts', '(-heat.tempPerKW * heat.lawKW)', '(heat.tempPerKW * heat.lawKW)'],
  ['core/pot/heat-balance.ts', 'surface + passes)', 'surface - passes)'],
  ['core/pot/chance-of-meeting.ts', '1 - normalShare', 'normalShare'],
  ['core/pot/fall-target.ts', '* now) / percent', '* percent) / now'],
  ['core/pot/change-pot.ts', 'known.mean - pot.heatFactor', 'pot.heatFactor - known.mean'],
  ['core/pot/cold-load.ts', 'putFoodIn(next, item)', 'putFoodIn(next, { ...item, tempC: 60 })'],
  ['core/pot/scorch-margin.ts', '(byBand * bySolids', '(byBand / bySolids'],
  ['core/heat/cook-minutes.ts', 'const ACID_FACTOR = 1.5', 'const ACID_FACTOR = 1.1'],
  ['core/batch/range-walk.ts', 'look.dueMs - look.everyMs * EARLY_SHARE', 'look.dueMs'],
  ['core/batch/acts/out-acts.ts', 'kg: one.kg * (1 - share)', 'kg: one.kg * share'],
  ['core/batch/acts/food-acts.ts', 'cents - costGoingIn(snapshot, one)', 'cents'],
  [
    'core/batch/batch-holds.ts',
    'const foods = state.wentIn.filter(isSome)',
    'const foods = state.wentIn.slice(0, 0)',
  ],
  ['core/batch/went-in.ts', 'if (one.drawn) return rowOfLot(row, one.drawn);', ''],
  ['core/batch/went-in.ts', 'soakedRow(row, soakHours(line, row)) : row', 'row : row'],
  [
    'core/plan/cook-through.ts',
    'ingredient: rowOfLine(line, input.ingredients)',
    'ingredient: input.ingredients[line.ingredientId]',
  ],
  ['core/pot/body.ts', 'before.factor * Math.exp(weight * innovation)', 'before.factor'],
  ['core/pot/body.ts', 'const sum = restG + doseG;', 'const sum = before.factor * all;'],
  ['core/thickness/kitchen-test.ts', '** 3 * of.seconds', '** 2 * of.seconds'],
  ['core/batch/dosed.ts', 'sum + inPotG(dose, pot) * (1 - swelledShare(dose))', 'sum'],
  ['core/batch/dosed.ts', 'minutes * shareOver(dose.swellsFromC, before.tempC, pot.tempC)', 'minutes'],
  ['core/batch/learned-shares.ts', "mean: 'bodyOf' in key ? mean : Math", 'mean: Math'],
  ['core/next-time/next-time.ts', 'return verdicts / (verdicts + before + RECIPE_COUNTS);', 'return 1;'],
  ['core/next-time/next-time.ts', "if (said.at(-1)?.says[scale] !== 'right') return 0;", ''],
  [
    'core/scaling/first-dose.ts',
    "if (law === 'bySpoon') return BY_SPOON;",
    "if (law === 'bySpoon') return 1;",
  ],
  ['core/taste/tasters-differ.ts', 'one.atMs >= dosedMs && one.by !== null', 'one.by !== null'],
  ['core/demand/demand.ts', 'const rate = mean / sd ** 2 + gone;', 'const rate = mean / sd ** 2;'],
  ['core/demand/expected-of.ts', '(one - mean) ** 2 - one', '(one - mean) ** 2 + 40 * one'],
  [
    'core/demand/to-last.ts',
    'if (demand.chanceOfMoreThan(middle) > RISK) low = middle;',
    'if (demand.chanceOfMoreThan(middle) < RISK) low = middle;',
  ],
  ['core/roux/roux.ts', 'Math.max(0, fatKg - rendered)', 'fatKg'],
  ['core/pot/handfuls.ts', 'Math.min(eachKg, kg - n * eachKg)', 'eachKg'],
  ['core/adjust/taste.ts', 'if (usual === undefined) return [];', ''],
  ['core/taste/next-dose.ts', 'if (overshot) return last / 2;', 'if (overshot) return sum;'],
  ['core/order/still-in-time.ts', 'plan.startAtMs < nowMs ||', ''],
  ['core/book/with-parts.ts', 'if (part) visit(part, [...above, one.id]);', ''],
  ['core/reader/run-in.ts', 'measured.length >= LEAST_SHARE * things.length', 'true'],
  ['core/matter/holds.ts', 'for (const allergen of allergens) found.add(allergen);', ''],
  ['core/larder/plan-with-lots.ts', 'taken.includes(lot.id) ? null : bringsTo(lot.contents, dish)', 'null'],
  ['core/larder/use-by.ts', 'between(fromMs, span.fromMs) + 1;', 'between(fromMs, span.fromMs);'],
  [
    'core/larder/born-lot.ts',
    'poured.flatMap(({ lot }) => datesAt(lot, atMs))',
    'datesAt(poured[0]!.lot, atMs)',
  ],
  ['core/larder/reading-far-off.ts', 'value > expected * TIMES + slack', 'value > expected * 90 + slack'],
  ['core/rules/decide-larder.ts', 'FAT_TIMES * thereKg', '900 * thereKg'],
  ['core/recipe/what-it-holds.ts', 'one.stocksAs === rowId', 'one.id === rowId'],
  ['core/reader/lines-of.ts', 'return isSame ? saved.ingredientId : undefined;', 'return undefined;'],
  [
    'core/pot/read-pot.ts',
    'Math.max(0, litres - bonesL) * densityKgPerL;\n      return',
    'litres * densityKgPerL;\n      return',
  ],
  ['core/pot/pot-litres.ts', 'edibleKg / ingredient.yield - edibleKg', 'edibleKg / ingredient.yield'],
  ['core/plan/lifted.ts', 'if (backStageId) picked.push', 'if (!backStageId) picked.push'],
  [
    'core/lists/begun-ahead.ts',
    'item.neededAtMs - how.hours * 3_600_000',
    'item.neededAtMs + how.hours * 3_600_000',
  ],
  ['core/reader/doubts.ts', 'WORTH_SHARE * allG ||', '90 * WORTH_SHARE * allG ||'],
  ['core/reader/read-method.ts', 'last.minutes -= clause.minutes', 'last.minutes += clause.minutes'],
  [
    'core/reader/foods-named.ts',
    "if (word === 'half') return Math.min(0.5, left)",
    "if (word === 'half') return left",
  ],
  ['core/reader/into-english.ts', 'b.words.length - a.words.length', 'a.words.length - b.words.length'],
  ['core/reader/name-taken.ts', 'if (row.id === exceptId) continue;', 'continue;'],
  ['core/batch/levers.ts', '(fromMs - one.when.p50Ms)', '(one.when.p50Ms - fromMs)'],
  ['core/batch/learned-rates.ts', 'const DRIFT_Z = 2.5', 'const DRIFT_Z = 25'],
  ['core/batch/kept-forecasts.ts', 'one.cameMs <= one.p90Ms', 'one.cameMs <= one.p50Ms'],
  ['core/batch/addition-times.ts', 'wholeMin - ownMin', 'ownMin'],
  ['core/devices/condense.ts', 'one.value + slope *', 'one.value - slope *'],
  ['core/devices/last-disturbed-ms.ts', 'Math.max(last', 'Math.min(last'],
  ['core/batch/fold-on.ts', " && event.type !== 'answered'", ''],
  ['core/batch/look-every.ts', 'next.dueMs - Math.min', 'next.dueMs + Math.min'],
  ['core/batch/acts/reading-acts.ts', "if (from !== 'device') return false;", ''],
  ['core/batch/acts/reading-acts.ts', '<= NO_HOLDS_MS', '<= 10 * NO_HOLDS_MS'],
  ['core/batch/top-temperature.ts', 'recipe.reheats && !serving', 'false'],
  ['core/recipe/reheat-recipe.ts', 'a.tempC - b.tempC', 'b.tempC - a.tempC'],
  ['core/larder/lots-of-batch.ts', 'one.lineId !== lineId', 'one.lineId === lineId'],
  ['core/rehearse/rehearsal.ts', '(called - really)', '(really - called)'],
];

/**
 * Lines outside the model: rules, projections, storage, doors, the browser's queue. Each names the tests that must notice,
 * as the whole of them would take long.
 */
const HOUSE = [
  [
    'core/rules/times.ts',
    'hours > MOST_HOURS_AGO &&',
    'hours > 2 * MOST_HOURS_AGO &&',
    'server/batches/decided',
  ],
  [
    'core/rules/decide-batch.ts',
    ' ?? refusePlace(kitchen, log.state, after.state, body)',
    '',
    'server/pot-events',
  ],
  [
    'core/rules/decide-batch.ts',
    'isItself: broken === undefined',
    'isItself: true',
    'server/storage/set-aside',
  ],
  [
    'core/own.ts',
    'Object.hasOwn(record, id) ? record[id] : undefined',
    'record[id]',
    'server/batches/decided',
  ],
  ['core/views/batch-head.ts', 'outcome: result && outcomeOf(result)', 'outcome: null', 'server/server.test'],
  ['core/batch/fold-on.ts', 'isLater(event, from.after)', '!isLater(event, from.after)', 'core/batch/logs'],
  ['server/storage/open-storage.ts', "client.exec('BEGIN IMMEDIATE');", '', 'server/storage/crash'],
  [
    'server/storage/open-storage.ts',
    "client.exec('PRAGMA wal_checkpoint(TRUNCATE)');\n        client.close()",
    'client.close()',
    'server/storage/open-storage',
  ],
  [
    'server/storage/folder-lock.ts',
    'locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE',
    'locking_mode = NORMAL; BEGIN',
    'server/storage/open-storage',
  ],
  [
    'server/storage/ledger-rows.ts',
    'gt(keptLots.tagFromMs, tagsFromMs)',
    'undefined',
    'server/storage/growth',
  ],
  [
    'server/storage/learned-rows.ts',
    'let sums = before?.sums ?? UNKNOWN_BURNER',
    'let sums = UNKNOWN_BURNER',
    'server/storage/old-files',
  ],
  ['server/storage/sample-rows.ts', 'count = count + excluded.count,', '', 'server/storage/samples'],
  [
    'server/said-before.ts',
    'if (canonical(before) === canonical(now)) return true;',
    'return true;',
    'server/batches/decided',
  ],
  [
    'server/clock/steady-time.ts',
    'nowMs = Math.max(nowMs + passedMs * (isEased ? 0.9 : 1), wall);',
    'nowMs = wall;',
    'server/clock',
  ],
  ['server/clock/kitchen-clock.ts', 'if (at(realMs) < receivedMs) {', 'if (false) {', 'server/clock'],
  ['server/live/live-stream.ts', 'known >= n - kept.length', 'known >= 0', 'server/live'],
  [
    'server/devices/device-hub.ts',
    'const LINES_A_SECOND = 600',
    'const LINES_A_SECOND = 6_000_000',
    'server/devices',
  ],
  ['server/said-at.ts', 'earlyMs > 0 && earlyMs < JITTER_MS', 'false', 'server/said-at'],
  ['server/problem.ts', 'status < 400 || status > 499', 'true', 'server/fuzz'],
  [
    'web/data/outbox/outbox.ts',
    'const LONGEST_PAUSE_MS = 60_000',
    'const LONGEST_PAUSE_MS = 1',
    'web/data/outbox',
  ],
  ['web/data/outbox/outbox.ts', 'locks ? locks.request(NAME, work) : work()', 'work()', 'web/data/outbox'],
];
/** One of each room for `npm test`: those whose tests are done in seconds. */
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
