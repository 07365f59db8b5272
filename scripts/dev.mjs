import { spawn } from 'node:child_process';
import { installPackages } from './steps.mjs';

/** `npm run dev`: the server, restarted when its sources change, and Vite with hot reload in front of it. */
installPackages();
const children = [
  spawn('npx', ['tsx', 'watch', 'server/main.ts'], {
    stdio: 'inherit',
    env: {
      ...process.env,
      SLOW_POT_SEED: process.env.SLOW_POT_SEED ?? 'demo/seed.ts',
      SLOW_POT_DATA: process.env.SLOW_POT_DATA ?? 'data/demo',
      SLOW_POT_KITCHEN: process.env.SLOW_POT_KITCHEN ?? 'demo',
    },
  }),
  spawn('npx', ['vite'], { stdio: 'inherit' }),
];
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.once(signal, () => {
    for (const child of children) child.kill(signal);
  });
}
