import type { FigureName, Plan, Sureness, WorkingLine, WorkingSource } from '../../../core/plan';
import { bandName } from '../../../core/thickness';
import { money, temperature } from '../amounts';

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
      return `${line.portions} × ${n(line.portionMl)} mL = ${n(line.litres, 2)} L`;
    case 'afterCling':
      return `${n(line.bowlLitres, 2)} L ÷ ${n(line.share, 2)} = ${n(line.litres, 2)} L, hot, with what stays in the pot`;
    case 'heldBack':
      return `${n(line.litres + line.potLitres, 2)} L − ${n(line.litres, 2)} L kept out of the pot = ${n(line.potLitres, 2)} L`;
    case 'comesTo':
      return `${n(line.litres, 2)} L in the pot at the end, hot`;
    case 'balance': {
      const out = line.outKg > 0.005 ? ` − ${n(line.outKg, 2)} kg lifted, strained or skimmed off` : '';
      return `${n(line.inKg, 2)} kg go in − ${n(line.steamedKg, 2)} kg of steam${out} = ${n(line.endKg, 2)} kg`;
    }
    case 'stageSteam':
      return `${line.title}: ${n(line.kg, 2)} kg of steam in ${n(line.minutes)} min`;
    case 'otherSteam':
      return `the other stages: ${n(line.kg, 2)} kg`;
    case 'steamInAll':
      return `${n(line.kg, 2)} kg in all, put in beforehand`;
    case 'toWarm':
      return `${n(line.kg, 2)} kg × ${n(line.specificHeatKJ, 2)} kJ/kg·K × ${n(line.toC - line.fromC, 1)} K = ${n(line.kJ)} kJ`;
    case 'heatIn':
      return `${line.burnerName}: ${n(line.ratedW / 1000, 1)} kW × ${n(line.efficiency, 2)} × ${n(line.heatFactor, 2)} = ${n(line.netW / 1000, 2)} kW into the pot`;
    case 'bareHeating':
      return `${n(line.kJ)} kJ ÷ ${n(line.netW / 1000, 2)} kW = ${n(line.minutes)} min without losses`;
    case 'boilsAt':
      return `${n(line.minutes)} min with wall, steam and hands; water boils at ${temperature(line.boilingC, 1)} at ${n(line.altitudeM)} m`;
    case 'noSimmer':
      return 'this recipe does not come to a simmer';
    case 'saltWanted':
      return `${n(line.massKg, 2)} kg at the end × ${n(line.percent, 2)} % = ${n(line.grams)} g`;
    case 'saltBrought':
      return `${line.name} brings ${n(line.grams)} g`;
    case 'saltBroughtOther':
      return `the rest brings ${n(line.grams, 1)} g`;
    case 'saltGone':
      return `${n(line.grams, 1)} g leaves with what is lifted, strained or skimmed`;
    case 'saltToAdd':
      return `${n(line.grams)} g to add, last, is ${n(line.saltG)} g of salt`;
    case 'saltHeldBack':
      return `with ${n(line.heldKg, 2)} kg ladled in beside it, ${n(line.grams, 1)} g in it: ${n(line.percent, 2)} % in the bowl`;
    case 'saltWithGarnish':
      return `with the garnish a bowl comes to ${n(line.percent, 2)} %`;
    case 'perLitre':
      return `${n(line.grams)} g of flour or the like ÷ ${n(line.litres, 2)} L of liquid without pieces = ${n(line.gPerL)} g/L`;
    case 'bodyHeldBack':
      return `in the bowl ${n(line.grams)} g ÷ ${n(line.litres, 2)} L = ${n(line.gPerL)} g/L`;
    case 'band':
      return `band ${n(line.band, 1)}, ${bandName(line.band)}`;
    case 'lineCost':
      return `${line.name}: ${n(line.kg, 2)} kg × ${money(line.centsPerKg, currency)} = ${money(line.cents, currency)}`;
    case 'otherCost':
      return `the rest ${money(line.cents, currency)}`;
    case 'unpriced':
      return `without ${line.names.map((name) => name.toLowerCase()).join(', ')}: no price yet`;
    case 'costEach':
      return `${money(line.cents, currency)} in all ÷ ${line.portions} = ${money(line.eachCents, currency)}`;
    case 'workingFill':
      return `brim ${n(line.brimLitres, 1)} L × ${n(line.share, 2)} = ${n(line.litres, 1)} L${line.foams ? ', as milk or starch foams' : ''}`;
    case 'fullest':
      return `fullest ${n(line.litres, 1)} L, raw pieces lying loose`;
    case 'atTheEnd':
      return `${n(line.litres, 1)} L at the end`;
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
  return value.toFixed(digits);
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
