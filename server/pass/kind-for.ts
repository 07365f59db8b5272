import type { PortionKind, PortionWord } from '../../core/portions';

/** The kind of an order that a till or a file means; guests’ own kinds, kept or free of something, are not meant. */
export function kindFor(
  kinds: readonly PortionKind[],
  { portion, ml }: { portion: PortionWord; ml?: number | undefined },
): PortionKind | undefined {
  const plain = kinds.filter(
    (kind) => kind.word === portion && kind.laterMs === undefined && !kind.freeOf?.length,
  );
  return ml === undefined ? plain[0] : plain.find((kind) => Math.abs(kind.ml - ml) < 0.5);
}
