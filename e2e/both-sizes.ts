import { test } from '@playwright/test';
import { type DemoServer, demoServer } from './demo-server';

/** The same tests in the office and on a phone, each on a kitchen of its own. `server()` is the one of the running test. */
export function atBothSizes(
  tests: (server: () => DemoServer, where: 'in the office' | 'on a phone') => void,
): void {
  for (const [where, viewport] of [
    ['in the office', { width: 1280, height: 800 }],
    ['on a phone', { width: 390, height: 844 }],
  ] as const)
    test.describe(where, () => {
      test.use({ viewport });
      let server: DemoServer;
      test.beforeEach(async () => {
        server = await demoServer();
        await server.start();
      });
      test.afterEach(() => server.remove());
      tests(() => server, where);
    });
}
