/** Random numbers from a seed: the minimal standard generator of Park and Miller 1988, and Marsaglia's polar normal. */
export function chance(seed: number) {
  let state = (seed * 7919) % 2147483647 || 1;
  const uniform = () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  const normal = (): number => {
    for (;;) {
      const a = 2 * uniform() - 1;
      const b = 2 * uniform() - 1;
      const s = a * a + b * b;
      if (s > 0 && s < 1) return a * Math.sqrt((-2 * Math.log(s)) / s);
    }
  };
  for (let i = 0; i < 10; i++) uniform();
  return { uniform, normal, between: (low: number, high: number) => low + (high - low) * uniform() };
}
export type Chance = ReturnType<typeof chance>;
