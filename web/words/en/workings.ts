import type { FigureName, Plan, Sureness, WorkingLine, WorkingSource } from '../../../core/plan';
import { bandName } from '../../../core/thickness';
import { decimal, exact, money, pricePerWeight, strength, temperature } from '../amounts';
import { plural } from './plural';

/** A figure's arithmetic in words: a line each, where it comes from, how sure it is. */
export interface WorkingWords {
  lines: readonly string[];
  source: string;
  sureness: string;
}

/** The arithmetic of one of a plan's figures, as the screen says it. */
export function workingWords(plan: Plan, figure: FigureName, currency: string): WorkingWords {
  const { lines, source, sureness } = plan.workings[figure];
  return {
    lines: lines.map((line) => lineWords(line, currency)),
    source: source ? sourceWords(source) : '',
    sureness: sureness ? surenessWords(sureness) : '',
  };
}

function lineWords(line: WorkingLine, currency: string): string {
  switch (line.code) {
    case 'asSaid':
      return line.text;
    case 'oneBatch':
      return `of one of ${line.batches} batches, ${n(line.portions, Number.isInteger(line.portions) ? 0 : 1)} bowls`;
    case 'stageMinutes':
      return `${line.title}: ${n(line.minutes)} min`;
    case 'countedBack':
      return `together ${n(line.minutes)} min, counted back from ready`;
    case 'keptFree':
      return `service less ${n(line.minutes)} min kept free`;
    case 'spread':
      return `one standard deviation is ${n(line.sdMinutes)} min: nine batches in ten are ready in time`;
    case 'bowlLitres':
      return `${line.portions} × ${exact(line.portionMl, 'mL')} = ${exact(line.litres, 'L', 2)}`;
    case 'afterCling':
      return `${exact(line.bowlLitres, 'L', 2)} ÷ ${n(line.share, 2)} = ${exact(line.litres, 'L', 2)}, hot, with what stays in the pot`;
    case 'heldBack':
      return `${exact(line.litres + line.potLitres, 'L', 2)} − ${exact(line.litres, 'L', 2)} kept out of the pot = ${exact(line.potLitres, 'L', 2)}`;
    case 'comesTo':
      return `${exact(line.litres, 'L', 2)} in the pot at the end, hot`;
    case 'balance': {
      const out =
        line.outKg > 0.005 ? ` − ${exact(line.outKg, 'kg', 2)} lifted, strained or skimmed off` : '';
      return `${exact(line.inKg, 'kg', 2)} go in − ${exact(line.steamedKg, 'kg', 2)} of steam${out} = ${exact(line.endKg, 'kg', 2)}`;
    }
    case 'stageSteam':
      return `${line.title}: ${exact(line.kg, 'kg', 2)} of steam in ${n(line.minutes)} min`;
    case 'otherSteam':
      return `the other stages: ${exact(line.kg, 'kg', 2)}`;
    case 'steamInAll':
      return `${exact(line.kg, 'kg', 2)} in all, put in beforehand`;
    case 'toWarm':
      return `${n(line.kg, 2)} kg × ${n(line.specificHeatKJ, 2)} kJ/kg·K × ${n(line.toC - line.fromC, 1)} K = ${n(line.kJ)} kJ`;
    case 'heatIn':
      return `${line.burnerName}: ${n(line.ratedW / 1000, 1)} kW × ${n(line.efficiency, 2)} × ${n(line.heatFactor, 2)} = ${n(line.netW / 1000, 2)} kW into the pot`;
    case 'bareHeating':
      return `${n(line.kJ)} kJ ÷ ${n(line.netW / 1000, 2)} kW = ${n(line.minutes)} min without losses`;
    case 'boilsAt':
      return `${n(line.minutes)} min with wall, steam and hands; water boils at ${temperature(line.boilingC, 1)} at ${exact(line.altitudeM, 'm')}`;
    case 'noSimmer':
      return 'this recipe does not come to a simmer';
    case 'saltWanted':
      return `${exact(line.massKg, 'kg', 2)} at the end × ${n(line.percent, 2)} % = ${exact(line.grams, 'g')}`;
    case 'saltBrought':
      return `${line.name} brings ${exact(line.grams, 'g')}`;
    case 'saltBroughtOther':
      return `the rest brings ${exact(line.grams, 'g', 1)}`;
    case 'saltGone':
      return `${exact(line.grams, 'g', 1)} leaves with what is lifted, strained or skimmed`;
    case 'saltToAdd':
      return `${exact(line.grams, 'g')} to add, last, is ${exact(line.saltG, 'g')} of salt`;
    case 'saltHeldBack':
      return `with ${exact(line.heldKg, 'kg', 2)} ladled in beside it, ${exact(line.grams, 'g', 1)} in it: ${n(line.percent, 2)} % in the bowl`;
    case 'saltWithGarnish':
      return `with the garnish a bowl comes to ${n(line.percent, 2)} %`;
    case 'perLitre':
      return `${exact(line.grams, 'g')} of flour or the like ÷ ${exact(line.litres, 'L', 2)} of liquid without pieces = ${strength(line.gPerL)}`;
    case 'bodyHeldBack':
      return `in the bowl ${exact(line.grams, 'g')} ÷ ${exact(line.litres, 'L', 2)} = ${strength(line.gPerL)}`;
    case 'bodyLearned':
      return `by tests of ${line.batches} ${plural(line.batches, 'batch', 'batches')} it thickens ${n(100 * line.factor)} % of what the table says`;
    case 'band':
      return `band ${n(line.band, 1)}, ${bandName(line.band)}`;
    case 'lineCost':
      return `${line.name}: ${exact(line.kg, 'kg', 2)} × ${pricePerWeight(line.centsPerKg, currency)} = ${money(line.cents, currency)}`;
    case 'otherCost':
      return `the rest ${money(line.cents, currency)}`;
    case 'guessedPrice':
      return `a guess stands for the price of ${line.names.map((name) => name.toLowerCase()).join(', ')}`;
    case 'unpriced':
      return `without ${line.names.map((name) => name.toLowerCase()).join(', ')}: no price yet`;
    case 'costEach':
      return `${money(line.cents, currency)} in all ÷ ${line.portions} = ${money(line.eachCents, currency)}`;
    case 'workingFill':
      return `brim ${exact(line.brimLitres, 'L', 1)} × ${n(line.share, 2)} = ${exact(line.litres, 'L', 1)}${line.foams ? ', as milk or starch foams' : ''}`;
    case 'fullest':
      return `fullest ${exact(line.litres, 'L', 1)}, raw pieces lying loose`;
    case 'atTheEnd':
      return `${exact(line.litres, 'L', 1)} at the end`;
    case 'allergen':
      return `${line.name}: ${line.from.join(', ')}`;
  }
}

const SOURCES: Readonly<Record<Exclude<WorkingSource['code'], 'asSaid'>, string>> = {
  heatBalance: 'heat balance of this pot, stage by stage',
  threeRuns: 'the plan run three times: burner as expected, weaker, stronger',
  cling: 'about 1 % stays in the pot, common practice',
  surfaceLaw: 'surface law below the boil, burner at the boil (ASHRAE, steam tables)',
  boilingPoint: 'heat balance; boiling point from the IAPWS saturation line',
  massBalance: 'mass balance; salt of each ingredient from its table row',
  whiteSauce: 'white-sauce proportions of home economics; strengths from memory',
  prices: 'prices as purchased, trim included',
  geometry: 'geometry of the pot; working fill common practice',
  allergenLists: 'EU list of fourteen and US list of nine; each from its ingredient',
};

function sourceWords(source: WorkingSource): string {
  return source.code === 'asSaid' ? source.text : SOURCES[source.code];
}

function surenessWords(sureness: Sureness): string {
  switch (sureness.code) {
    case 'asSaid':
      return sureness.text;
    case 'burnerKnown':
      return `${sureness.burnerName} as ${sureness.batches} batches have shown it, ± ${percent(sureness.share)}`;
    case 'burnerGuess':
      return `a first guess for ${sureness.burnerName}, ± ${percent(sureness.share)}; the first readings will narrow it`;
    case 'solved':
      return 'the liquid is solved so that this comes out; the steam is the doubt in it';
    case 'labels':
      return 'as good as the labels: taste before the last third';
    case 'halfABand':
      return 'half a band either way until the kitchen has tested it';
    case 'ingredientsOnly':
      return 'ingredients only: no gas, no wages';
    case 'looseVolume':
      return 'loose volume of cut vegetables is a first guess, ± 15 %';
    case 'checkLabels':
      return 'check the labels of what was delivered';
  }
}

function n(value: number, digits = 0): string {
  return decimal(value, digits);
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
