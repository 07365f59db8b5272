import { defineConfig } from '@playwright/test';

/** Chromium as Debian ships it, quiet towards the network. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  timeout: 240_000,
  expect: { timeout: 10_000 },
  // First the whole job with but a browserless test beside it, as two windows must agree within a second; then the rest, two
  // at a time, each worker with a server of its own.
  workers: 2,
  fullyParallel: true,
  projects: [
    { name: 'one cook', testMatch: ['**/order-to-bowl.spec.ts', '**/faults.spec.ts'] },
    {
      name: 'every screen',
      testIgnore: ['**/order-to-bowl.spec.ts', '**/faults.spec.ts'],
      dependencies: ['one cook'],
    },
  ],
  retries: 0,
  reporter: process.env.SLOW_POT_REPORT
    ? [['json', { outputFile: process.env.SLOW_POT_REPORT }], ['line']]
    : 'line',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    launchOptions: CHROMIUM,
    trace: 'off',
    actionTimeout: 8_000,
  },
});
