import { build, installPackages, run } from './steps.mjs';

/** `npm run rebuild`: makes anew all that is kept of the log in SLOW_POT_DATA. */
installPackages();
build();
run(process.execPath, ['dist/server/rebuild.js']);
