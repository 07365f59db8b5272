import { build, installPackages, serve } from './steps.mjs';

/** `npm start`: installs what is missing, builds what has changed, serves the cook's own kitchen from `./data/kitchen`. */
installPackages();
build();
serve(['dist/server/main.js'], { SLOW_POT_KITCHEN: 'own' });
