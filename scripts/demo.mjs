import { build, installPackages, serve } from './steps.mjs';

/**
 * `npm run demo`: installs what is missing, builds what has changed, serves the Corrie Halt Buffet from a folder of its
 * own. `npm run demo -- --fresh` begins it anew.
 */
installPackages();
build();
serve(['dist/server/main.js'], {
  SLOW_POT_SEED: 'dist/demo/seed.js',
  SLOW_POT_KITCHEN: 'demo',
  SLOW_POT_DATA: process.env.SLOW_POT_DATA ?? 'data/demo',
  SLOW_POT_FRESH: process.argv.includes('--fresh') ? 'yes' : 'no',
});
