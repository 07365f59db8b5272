import { build, installPackages, run } from './steps.mjs';

/** `npm run demo`: installs what is missing, builds what has changed, serves the Corrie Halt Buffet. */
installPackages();
build();
run(process.execPath, ['dist/server/main.js'], { SLOW_POT_SEED: 'dist/demo/seed.js' });
