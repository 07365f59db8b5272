/** Piecewise cubic Hermite interpolation: only what the tests ask of it. Its slopes at both ends are not those of the paper. */
declare module 'pchip' {
  const pchip: {
    fit(points: [number, number][], perUnit: number, how: 'shape_preserving'): [number, number][];
  };
  export default pchip;
}
