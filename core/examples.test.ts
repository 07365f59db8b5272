import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

/** Every `@example expression // => value` in core's doc blocks is run, to the digits it is written with. */
const root = new URL('.', import.meta.url).pathname;
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
);
const examples = files.flatMap((file) =>
  [...readFileSync(join(root, file), 'utf8').matchAll(/@example (.+?) \/\/ => (.+)$/gm)].map((match) => ({
    file,
    expression: match[1]!,
    value: match[2]!.trim(),
  })),
);

/** Every name that core's files give away, by name. */
const modules = import.meta.glob<Record<string, unknown>>(['./**/*.ts', '!./**/*.test.ts', '!./testing/**'], {
  eager: true,
});
const core = Object.assign({}, ...Object.values(modules)) as Record<string, unknown>;

describe('examples in the doc blocks', () => {
  it('there are many', () => expect(examples.length).toBeGreaterThan(25));
  it.each(examples)('$file: $expression', ({ expression, value }) => {
    const names = Object.keys(core);
    const got = new Function(...names, `return (${expression});`)(...Object.values(core));
    if (value.startsWith("'")) expect(got).toBe(value.slice(1, -1));
    else {
      const digits = value.split('.')[1]?.length ?? 0;
      expect(Math.abs(got - Number(value))).toBeLessThanOrEqual(0.5000001 * 10 ** -digits);
    }
  });
});
