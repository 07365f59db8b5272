import { build } from './steps.mjs';

/** `npm run build`: the browser side and the server, when their sources have changed. */
build();
