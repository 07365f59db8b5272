/** Why a load cannot be cooked in a pot on a burner as its recipe says. */
export type CookingTrouble =
  /** so little liquid that the stage boils it all away, kg left */
  | { code: 'boilsDry'; stageTitle: string; kg: number }
  /** this burner does not get there within the hours that a stage is waited for */
  | { code: 'neverEnds'; stageTitle: string; hours: number; kg: number; tempC: number };

/** A plan that comes to nothing, with the stage it stops at. */
export class CannotCook extends RangeError {
  constructor(readonly trouble: CookingTrouble) {
    super(
      trouble.code === 'boilsDry'
        ? `stage "${trouble.stageTitle}" would boil dry, got ${trouble.kg.toFixed(2)} kg`
        : `stage "${trouble.stageTitle}" would not end within ${trouble.hours} hours on this burner, got ${trouble.kg.toFixed(1)} kg at ${trouble.tempC.toFixed(0)} °C`,
    );
    this.name = 'CannotCook';
  }
}

/** What work comes to, or another answer where that cannot be cooked: a burner’s bad day may never get there. */
export function orElse<T>(other: T, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof CannotCook) return other;
    throw error;
  }
}
