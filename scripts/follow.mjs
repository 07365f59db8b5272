import { build, installPackages, needChromium, run } from './steps.mjs';

/** `npm run follow`: a cook who does only what the screen says, at ten times the pace (`SPEED` sets another: 1, 10, 60). */
installPackages();
needChromium();
build();
run('npx', ['tsx', 'e2e/follow.ts']);
