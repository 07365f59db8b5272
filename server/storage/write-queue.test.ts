import { describe, expect, it } from 'vitest';
import { createWriteQueue } from './write-queue';

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const busy = () => Object.assign(new Error('database is locked'), { code: 'SQLITE_BUSY' });

describe('the write queue', () => {
  it('does one thing at a time, in the order asked', async () => {
    const write = createWriteQueue();
    const told: string[] = [];
    const work = (name: string, ms: number) =>
      write(async () => {
        told.push(`${name} begins`);
        await wait(ms);
        told.push(`${name} ends`);
        return name;
      });
    expect(await Promise.all([work('a', 12), work('b', 1), work('c', 4)])).toEqual(['a', 'b', 'c']);
    expect(told).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
  });
  it('a failure is its caller’s own and holds up nobody', async () => {
    const write = createWriteQueue();
    const failed = write(async () => {
      throw new RangeError('no such pot');
    });
    const after = write(async () => 'fine');
    await expect(failed).rejects.toThrow('no such pot');
    expect(await after).toBe('fine');
  });
  it('tries a busy file again, and gives up in the end', async () => {
    const write = createWriteQueue();
    let tries = 0;
    const patient = await write(async () => {
      tries++;
      if (tries < 3) throw new Error('wrapped', { cause: busy() });
      return tries;
    });
    expect(patient).toBe(3);
    let stubborn = 0;
    await expect(
      write(async () => {
        stubborn++;
        throw busy();
      }),
    ).rejects.toThrow('locked');
    expect(stubborn).toBe(6);
  });
});
