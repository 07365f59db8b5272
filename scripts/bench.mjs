import { build, bundle, installPackages, needChromium, run } from './steps.mjs';

/**
 * `npm run bench`: ours beside reference libraries, as ratios; how honest the forecasts are, against a truth that core
 * knows nothing of; a minute of twenty live pots. Then what has a bound, and fails where it is missed: twenty tablets at
 * once, and kitchens of 200, 2,000 and 20,000 batches.
 */
installPackages();
run('npx', ['vitest', 'bench', '--run', '--config', 'bench/vitest.bench.config.ts']);
bundle('bench/fold.ts', 'dist/bench/fold.js');
run('node', ['dist/bench/fold.js']);
bundle('bench/reading.ts', 'dist/bench/reading.js');
run('node', ['dist/bench/reading.js']);
bundle('bench/adjusting.ts', 'dist/bench/adjusting.js');
run('node', ['dist/bench/adjusting.js']);
bundle('bench/passing.ts', 'dist/bench/passing.js');
run('node', ['dist/bench/passing.js']);
bundle('bench/cooling.ts', 'dist/bench/cooling.js');
run('node', ['dist/bench/cooling.js']);
run('npx', ['vitest', 'run', 'bench/calibration'], { SLOW_POT_PRINT: '1' });
needChromium();
build();
run('npx', ['tsx', 'bench/live.ts']);
run('npx', ['tsx', 'bench/tablets.ts']);
run('npx', ['tsx', 'bench/scale/scale.ts']);
