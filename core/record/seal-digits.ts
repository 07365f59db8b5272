/** So many figures are read off a paper and compared without a slip. */
const FIGURES = 16n;

/**
 * A hash as a person compares it, on paper or aloud: sixteen figures in fours.
 *
 * @param hash 64 hexadecimal figures
 * @throws RangeError for anything else
 * @example
 * sealDigits('00000000000000ff'.padEnd(64, '0')) // '0000 0000 0000 0255'
 */
export function sealDigits(hash: string): string {
  if (!/^[0-9a-f]{64}$/.test(hash)) throw new RangeError(`hash must be 64 hexadecimal figures, got ${hash}`);
  const figures = String(BigInt(`0x${hash.slice(0, 16)}`) % 10n ** FIGURES).padStart(Number(FIGURES), '0');
  return figures.replace(/(\d{4})(?=\d)/g, '$1 ');
}
