import { build, installPackages, needChromium, run } from './steps.mjs';

/** `npm run shots`: builds, then takes the pictures of docs/screenshots from the demo's data. */
installPackages();
needChromium();
build();
run('npx', ['tsx', 'e2e/shots.ts', ...process.argv.slice(2)]);
