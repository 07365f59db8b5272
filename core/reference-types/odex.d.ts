/** The ODE solver ships its source, which our stricter settings do not pass: only what the tests ask of it. */
export declare class Solver {
  constructor(n: number);
  solve(f: (x: number, y: number[]) => number[], x: number, y0: number[], xEnd: number): { y: number[] };
}
