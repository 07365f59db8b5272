/** Chance that comes the same each time for a seed: the generator of Park and Miller 1988. */
export function chanceOf(seed: number) {
  let state = (seed % 2147483646) + 1;
  const uniform = () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  for (let i = 0; i < 5; i++) uniform();
  return {
    uniform,
    between: (low: number, high: number) => low + uniform() * (high - low),
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    below: (count: number) => Math.floor(uniform() * count),
    pick: <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)]!,
    isOneIn: (count: number) => uniform() * count < 1,
  };
}
export type Chance = ReturnType<typeof chanceOf>;
