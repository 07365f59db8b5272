import * as v from 'valibot';
import { numberField, textField } from '../number-field';

export const altitudeField = numberField('The altitude', -430, 5000, 'm');

const zone = v.pipe(
  v.string('The time zone must be text.'),
  v.check(
    isZone,
    (issue) => `“${String(issue.input)}” is no time zone. One is Europe/London, another America/Denver.`,
  ),
);
const locale = v.pipe(
  v.string('The language must be text.'),
  v.check(isLocale, (issue) => `“${String(issue.input)}” is no language. One is en-GB, another fr-CA.`),
);
const currency = v.pipe(
  v.string('The currency must be text.'),
  v.check(isCurrency, (issue) => `“${String(issue.input)}” is no currency. One is EUR, another USD.`),
);

/** How figures are written: weighed, poured and read each as the kitchen likes. */
const measuresSchema = v.strictObject({
  weight: v.picklist(['metric', 'pounds'], 'Weights are metric or pounds.'),
  volume: v.picklist(['metric', 'us', 'imperial'], 'Volumes are metric, us or imperial.'),
  temperature: v.picklist(['C', 'F'], 'Temperatures are C or F.'),
});

/** Where the kitchen is and how it reads its figures. */
export const placeSchema = v.strictObject({
  name: v.optional(textField('The kitchen’s name', 60)),
  zone: v.optional(zone),
  locale: v.optional(locale),
  currency: v.optional(currency),
  /** all three choices as a system has them; what older pages and files say */
  units: v.optional(v.picklist(['metric', 'us', 'imperial'], 'Units are metric, us or imperial.')),
  /** one of the three or all: what is not said stays */
  measures: v.optional(v.partial(measuresSchema)),
  altitudeM: v.optional(altitudeField),
  airTempC: v.optional(numberField('The kitchen air', 0, 50, '°C')),
  relativeHumidity: v.optional(numberField('Its moisture', 0.05, 1, '')),
});

function isZone(text: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: text });
    return text.length > 0;
  } catch {
    return false;
  }
}

function isLocale(text: string): boolean {
  try {
    return Intl.getCanonicalLocales(text).length === 1;
  } catch {
    return false;
  }
}

function isCurrency(text: string): boolean {
  return Intl.supportedValuesOf('currency').includes(text);
}
