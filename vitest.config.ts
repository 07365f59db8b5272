import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{bench,core,contract,server,web,demo,scripts}/**/*.test.{ts,tsx}'],
    environment: 'node',
    // as many as the machine that judges has cores: left to itself it takes one less
    maxWorkers: 2,
    testTimeout: 60_000,
    // a kitchen with its demo's past is begun anew before some of them
    hookTimeout: 60_000,
    // The model is pure, so that files may share it: loading it anew for each took more than the tests themselves.
    isolate: false,
  },
});
