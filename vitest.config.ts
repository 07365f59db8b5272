import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{bench,core,contract,server,web,demo,scripts}/**/*.test.{ts,tsx}'],
    environment: 'node',
    // as many as the machine that judges has cores: left to itself it takes one less
    maxWorkers: 2,
    // against a hang, not a measure: the slowest takes half a minute on two idle cores, and CI has had a third of that speed
    testTimeout: 240_000,
    // a kitchen with its demo's past is begun anew before some of them
    hookTimeout: 240_000,
    // The model is pure, so that files may share it: loading it anew for each took more than the tests themselves.
    isolate: false,
  },
});
