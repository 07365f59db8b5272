import type { AsSaid } from '../log';

/** One line of arithmetic behind a figure: which, and its numbers. The words are the screen's. */
export type WorkingLine =
  | AsSaid
  | { code: 'oneBatch'; batches: number; portions: number }
  | { code: 'stageMinutes'; title: string; minutes: number }
  | { code: 'countedBack'; minutes: number }
  | { code: 'keptFree'; minutes: number }
  | { code: 'spread'; sdMinutes: number }
  | { code: 'bowlLitres'; portions: number; portionMl: number; litres: number }
  | { code: 'afterCling'; bowlLitres: number; share: number; litres: number }
  | { code: 'heldBack'; litres: number; potLitres: number }
  | { code: 'comesTo'; litres: number }
  /** kg in, less steam, less what is strained off, lifted out or skimmed, is what is there at the end */
  | { code: 'balance'; inKg: number; steamedKg: number; outKg: number; endKg: number }
  | { code: 'stageSteam'; title: string; kg: number; minutes: number }
  | { code: 'otherSteam'; kg: number }
  | { code: 'steamInAll'; kg: number }
  | { code: 'toWarm'; kg: number; specificHeatKJ: number; fromC: number; toC: number; kJ: number }
  | {
      code: 'heatIn';
      burnerName: string;
      ratedW: number;
      efficiency: number;
      heatFactor: number;
      netW: number;
    }
  | { code: 'bareHeating'; kJ: number; netW: number; minutes: number }
  | { code: 'boilsAt'; minutes: number; boilingC: number; altitudeM: number }
  | { code: 'noSimmer' }
  | { code: 'saltWanted'; massKg: number; percent: number; grams: number }
  | { code: 'saltBrought'; name: string; grams: number }
  | { code: 'saltBroughtOther'; grams: number }
  /** went out again with what was strained off, lifted or skimmed */
  | { code: 'saltGone'; grams: number }
  | { code: 'saltToAdd'; grams: number; saltG: number }
  | { code: 'saltHeldBack'; heldKg: number; grams: number; percent: number }
  | { code: 'saltWithGarnish'; percent: number }
  | { code: 'perLitre'; grams: number; litres: number; gPerL: number }
  | { code: 'bodyHeldBack'; litres: number; grams: number; gPerL: number }
  | { code: 'bodyLearned'; factor: number; batches: number }
  | { code: 'band'; band: number }
  | { code: 'lineCost'; name: string; kg: number; centsPerKg: number; cents: number }
  | { code: 'otherCost'; cents: number }
  | { code: 'unpriced'; names: readonly string[] }
  | { code: 'guessedPrice'; names: readonly string[] }
  | { code: 'costEach'; cents: number; portions: number; eachCents: number }
  | { code: 'workingFill'; brimLitres: number; share: number; foams: boolean; litres: number }
  | { code: 'fullest'; litres: number }
  | { code: 'atTheEnd'; litres: number }
  | { code: 'allergen'; name: string; from: readonly string[] };

/** Where a figure comes from. */
export type WorkingSource =
  | AsSaid
  | {
      code:
        | 'heatBalance'
        | 'threeRuns'
        | 'cling'
        | 'surfaceLaw'
        | 'boilingPoint'
        | 'massBalance'
        | 'whiteSauce'
        | 'prices'
        | 'geometry'
        | 'allergenLists';
    };

/** How sure a figure is; `share` is one standard deviation as a share of it. */
export type Sureness =
  | AsSaid
  | { code: 'burnerKnown'; burnerName: string; batches: number; share: number }
  | { code: 'burnerGuess'; burnerName: string; share: number }
  | { code: 'solved' | 'labels' | 'halfABand' | 'ingredientsOnly' | 'looseVolume' | 'checkLabels' };

/** A computed figure's arithmetic: how it came about, from what, and how sure it is. */
export interface Working {
  lines: readonly WorkingLine[];
  source: WorkingSource | null;
  sureness: Sureness | null;
}

export type FigureName =
  | 'start'
  | 'ready'
  | 'yield'
  | 'simmer'
  | 'salt'
  | 'body'
  | 'cost'
  | 'fill'
  | 'liquid'
  | 'allergens';
