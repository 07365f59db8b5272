import { depth, measuresHere, temperature, volume, weight } from './amounts';

/** A figure or two with a metric unit, as recipes and methods are written: “57 to 21 °C”, “1.5 cm”, “12 mm”, “2 kg”. */
const FIGURES =
  /(\d+(?:[.,]\d+)?)(?:( to |–| or )(\d+(?:[.,]\d+)?))?[ \u00a0]?(°C|kg|g|mL|ml|L|litres?|cm|mm)(?![\p{L}\d/])(?! a (?:litre|kilo))/gu;

/**
 * What a recipe or a method says, with its figures in the kitchen's measures: a cook who thinks in inches need not
 * convert at the board. In a kitchen of that measure it stays as it was written.
 *
 * @example inMeasures('Dice of 1 to 1.5 cm, under 85 °C.') // in a US kitchen “Dice of ⅜ to ⅝ in, under 185 °F.”
 */
export function inMeasures(text: string): string {
  return text.replace(
    FIGURES,
    (written, low: string, between: string | undefined, high: string, unit: string) => {
      const write = WRITERS[unit] ?? WRITERS.L!;
      if (write.isOwn()) return written;
      const [from, to] = [low, high].map((one) => one && write.say(Number(one.replace(',', '.'))));
      if (!between) return from!;
      // of two figures in one unit the unit is said once
      const [, lowFigure, lowUnit] = /^(.*?)[ ]?(°F|lb|oz|in|fl oz|qt|pt|gal)$/u.exec(from!) ?? [];
      return `${lowUnit && to!.endsWith(lowUnit) && !/\d lb \d/.test(from!) ? lowFigure : from}${between}${to}`;
    },
  );
}

interface Writer {
  isOwn: () => boolean;
  say: (value: number) => string;
}

const isMetric = {
  weight: () => measuresHere().weight === 'metric',
  volume: () => measuresHere().volume === 'metric',
};

const WRITERS: Readonly<Record<string, Writer>> = {
  '°C': { isOwn: () => measuresHere().temperature === 'C', say: (value) => temperature(value) },
  kg: { isOwn: isMetric.weight, say: (value) => weight(value) },
  g: { isOwn: isMetric.weight, say: (value) => weight(value / 1000) },
  L: { isOwn: isMetric.volume, say: (value) => volume(value) },
  mL: { isOwn: isMetric.volume, say: (value) => volume(value / 1000) },
  ml: { isOwn: isMetric.volume, say: (value) => volume(value / 1000) },
  cm: { isOwn: isMetric.volume, say: (value) => depth(value) },
  // thinner than a sixteenth of an inch no rule shows
  mm: { isOwn: isMetric.volume, say: (value) => (value < 1.6 ? `${value} mm` : depth(value / 10)) },
};
