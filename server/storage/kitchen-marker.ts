import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';

/** What stands beside a kitchen's file: that there is one, and whether its server ended by itself. */
export interface KitchenMarker {
  format: 'slow-pot-kitchen';
  madeAt: string;
  isRunning: boolean;
}

const NAME = 'kitchen.json';

/** Null where there is none, or none that can be read: a file of an older Slow Pot, or copied by itself. */
export function readMarker(folder: string): KitchenMarker | null {
  try {
    const path = join(folder, NAME);
    if (!existsSync(path)) return null;
    const marker = JSON.parse(readFileSync(path, 'utf8')) as KitchenMarker;
    return marker.format === 'slow-pot-kitchen' ? marker : null;
  } catch {
    return null;
  }
}

/** Written whole or not at all. */
export function writeMarker(folder: string, marker: KitchenMarker): void {
  const path = join(folder, NAME);
  const file = openSync(`${path}.new`, 'w');
  writeSync(file, `${JSON.stringify(marker)}\n`);
  fsyncSync(file);
  closeSync(file);
  renameSync(`${path}.new`, path);
}

/** Where the file goes, what stands beside it goes first: a folder without either is free. */
export function removeMarker(folder: string): void {
  rmSync(join(folder, NAME), { force: true });
}
