import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

/** Topics stand on one another in one direction. Files cannot show that: two topics may lean on each other without a circle of files. */
const root = new URL('.', import.meta.url).pathname;
const topics = readdirSync(root, { withFileTypes: true })
  .filter((one) => one.isDirectory() && !['testing', 'reference-types'].includes(one.name))
  .map((one) => one.name);

/** The topics that a topic's own files import, tests left out. */
function standsOn(topic: string): string[] {
  const files = readdirSync(join(root, topic), { recursive: true, encoding: 'utf8' }).filter(
    (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
  );
  const found = files.flatMap((file) =>
    [...readFileSync(join(root, topic, file), 'utf8').matchAll(/from '(?:\.\.\/)+([a-z-]+)'/g)].map(
      (match) => match[1]!,
    ),
  );
  return [...new Set(found)].filter((one) => topics.includes(one) && one !== topic);
}

it('no topic stands on itself by way of others', () => {
  const below = new Map(topics.map((topic) => [topic, standsOn(topic)]));
  expect([...below.values()].flat().length).toBeGreaterThan(60);
  const layers: string[][] = [];
  let left = [...topics];
  while (left.length > 0) {
    const free = left.filter((topic) => below.get(topic)!.every((one) => !left.includes(one)));
    expect(free, `a circle among ${left.join(', ')}`).not.toEqual([]);
    layers.push(free);
    left = left.filter((topic) => !free.includes(topic));
  }
  expect(layers[0]).toContain('units');
});
