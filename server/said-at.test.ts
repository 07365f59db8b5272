import { describe, expect, it } from 'vitest';
import { inItsOrder } from './said-at';

describe('what one device says', () => {
  const last = { actedAtMs: 10_000, device: 'tablet' };
  it('keeps its order where the line took longer over one entry than over the next', () => {
    expect(inItsOrder({ actedAtMs: 9_995 }, 'tablet', last).actedAtMs).toBe(10_000);
    expect(inItsOrder({ actedAtMs: 10_004 }, 'tablet', last).actedAtMs).toBe(10_004);
  });
  it('is where it says it was: a minute ago, from another device, or the first', () => {
    expect(inItsOrder({ actedAtMs: -50_000 }, 'tablet', last).actedAtMs).toBe(-50_000);
    expect(inItsOrder({ actedAtMs: 9_995 }, 'phone', last).actedAtMs).toBe(9_995);
    expect(inItsOrder({ actedAtMs: 9_995 }, null, { actedAtMs: 10_000, device: null }).actedAtMs).toBe(9_995);
    expect(inItsOrder({ actedAtMs: 5 }, 'tablet', undefined).actedAtMs).toBe(5);
  });
});
