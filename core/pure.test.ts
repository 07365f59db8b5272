import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

/** Time and chance are passed in: the model asks neither the clock nor the dice. Imports are the boundary check's. */
const root = new URL('.', import.meta.url).pathname;
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
);

it.each(files)('%s asks neither the clock nor the dice', (file) => {
  const source = readFileSync(join(root, file), 'utf8');
  expect(source).not.toMatch(
    /Date\.now|new Date\(|Math\.random|performance\.now|process\.|globalThis|window\./,
  );
});
