import type { PlannedLine } from './plan';

/** A planned line, so many times as much of it; what is counted comes to whole ones, one at the least. */
export function timesLine(line: PlannedLine, times: number): PlannedLine {
  return {
    ...line,
    edibleKg: line.edibleKg * times,
    ...(line.inPotKg === undefined ? {} : { inPotKg: line.inPotKg * times }),
    purchasedKg: line.purchasedKg * times,
    litres: line.litres * times,
    costCents: line.costCents * times,
    plainMultipleKg: line.plainMultipleKg * times,
    ...(line.count === undefined ? {} : { count: Math.max(1, Math.round(line.count * times)) }),
    ...(line.keptByKg === undefined ? {} : { keptByKg: line.keptByKg * times }),
    ...(line.comesOut
      ? { comesOut: { ...line.comesOut, count: Math.max(1, Math.round(line.comesOut.count * times)) } }
      : {}),
    ...(line.comesBack ? { comesBack: { ...line.comesBack, kg: line.comesBack.kg * times } } : {}),
  };
}
