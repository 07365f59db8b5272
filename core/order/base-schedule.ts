/** A pot on a burner, and a pair of hands at times, from when it is lit until it is empty, ms. */
export interface Reserved {
  potId: string;
  burnerId: string;
  fromMs: number;
  untilMs: number;
  /** stretches that want both hands */
  hands: readonly { fromMs: number; untilMs: number }[];
}

/** A making laid out from its end: how long it takes, and when it wants hands, ms before it is ready. */
export interface MakingShape {
  potId: string;
  burnerId: string;
  longMs: number;
  hands: readonly { fromMs: number; untilMs: number }[];
}

/** Makings are moved in steps of a quarter of an hour. Common practice. */
const STEP_MS = 15 * 60_000;
/** One that cannot be there in time is looked for so much later. */
const MOST_LATE_MS = 48 * 3_600_000;

/**
 * When a making can be ready with its pot, its burner and a pair of hands free: as near before the hour that is wanted as
 * may be, else between that and when it is needed, else the first that is late. Never lit before now.
 *
 * @param when `wantedMs` it is wanted ready, `byMs` it is needed at the latest, `nowMs`
 * @param reserved what pots, burners and hands are at
 * @returns the moment it is ready, ms; null where nothing is free for days
 */
export function readySlot(
  shape: MakingShape,
  when: { wantedMs: number; byMs: number; nowMs: number },
  reserved: readonly Reserved[],
): number | null {
  const firstMs = when.nowMs + shape.longMs;
  const isFree = (readyMs: number) => {
    const mine = reservedBy(shape, readyMs);
    return reserved.every((other) => !clashes(mine, other));
  };
  for (let at = when.wantedMs; at >= firstMs; at -= STEP_MS) if (isFree(at)) return at;
  const from = Math.max(firstMs, when.wantedMs);
  for (let at = from; at <= when.byMs; at += STEP_MS) if (isFree(at)) return at;
  for (let at = Math.max(firstMs, when.byMs); at <= when.byMs + MOST_LATE_MS; at += STEP_MS)
    if (isFree(at)) return at;
  return null;
}

/** What a making takes, were it ready at a moment. */
export function reservedBy({ potId, burnerId, longMs, hands }: MakingShape, readyMs: number): Reserved {
  return {
    potId,
    burnerId,
    fromMs: readyMs - longMs,
    untilMs: readyMs,
    hands: hands.map(({ fromMs, untilMs }) => ({ fromMs: readyMs - fromMs, untilMs: readyMs - untilMs })),
  };
}

function clashes(a: Reserved, b: Reserved): boolean {
  const isOneOf = a.potId === b.potId || a.burnerId === b.burnerId;
  if (isOneOf && overlap(a, b)) return true;
  return a.hands.some((one) => b.hands.some((other) => overlap(one, other)));
}

const overlap = (a: { fromMs: number; untilMs: number }, b: { fromMs: number; untilMs: number }): boolean =>
  a.fromMs < b.untilMs && b.fromMs < a.untilMs;
