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
  | { code: 'afterCling'; share: number; litres: number }
  | { code: 'goesIn'; litres: number; steamedKg: number }
  | { code: 'stageSteam'; title: string; kg: number; minutes: number }
  | { code: 'steamInAll'; kg: number }
  | { code: 'toWarm'; litres: number; specificHeatKJ: number; tempC: number }
  | {
      code: 'heatIn';
      burnerName: string;
      ratedW: number;
      efficiency: number;
      heatFactor: number;
      netW: number;
    }
  | { code: 'boilsAt'; minutes: number; boilingC: number; altitudeM: number }
  | { code: 'noSimmer' }
  | { code: 'saltWanted'; massKg: number; percent: number; grams: number }
  | { code: 'saltBrought'; name: string; grams: number }
  | { code: 'saltToAdd'; grams: number }
  | { code: 'saltWithGarnish'; percent: number }
  | { code: 'flour'; grams: number }
  | { code: 'perLitre'; litres: number; gPerL: number }
  | { code: 'band'; band: number }
  | { code: 'lineCost'; name: string; kg: number; cents: number }
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
