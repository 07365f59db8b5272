const ROUNDS = 80;

/** The median of a piece of work, ms, after as many rounds to warm up. */
export function medianMs(work: () => void): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    work();
    return performance.now() - began;
  });
  const warm = times.slice(ROUNDS / 2).sort((a, b) => a - b);
  return warm[warm.length >> 1]!;
}
