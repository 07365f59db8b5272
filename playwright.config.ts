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
  // a machine under load is slow: what never comes fails all the same
  timeout: 480_000,
  expect: { timeout: 20_000 },
  // three at a time, each with a server of its own: they wait for the clock more than for the machine
  workers: 3,
  fullyParallel: true,
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
    actionTimeout: 20_000,
  },
});
