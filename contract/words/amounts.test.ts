import { describe, expect, it } from 'vitest';
import { measuresOf } from '../../core/units';
import {
  day,
  dayAndHour,
  depth,
  hourMinute,
  litres,
  minutes,
  money,
  percent,
  portion,
  sentenceCase,
  span,
  temperature,
  thePot,
  typedNumber,
  volume,
  weight,
} from './amounts';
import { fileName } from './file-name';

const ZONE = 'Europe/London';
const winter = Date.UTC(2026, 2, 10, 13, 10);
const summer = Date.UTC(2026, 6, 10, 13, 10);

describe('time as a cook reads it', () => {
  it('is the kitchen’s own, winter and summer', () => {
    expect(hourMinute(winter, ZONE)).toBe('13:10');
    expect(hourMinute(summer, ZONE)).toBe('14:10');
    expect(dayAndHour(winter, ZONE)).toBe('Tue 10 Mar, 13:10');
    expect(day(winter, ZONE)).toBe('Tue 10 Mar');
    expect([day(winter, ZONE, 'en-US'), dayAndHour(winter, ZONE, 'de-DE')]).toEqual([
      'Tue, Mar 10',
      'Di., 10. März, 13:10',
    ]);
  });
  it('goes by the locale’s own clock; tenths have its own sign', () => {
    expect([hourMinute(winter, ZONE, 'en-US'), hourMinute(winter - 5 * 3_600_000, ZONE)]).toEqual([
      '1:10\u00a0PM',
      '08:10',
    ]);
    expect([weight(2.154, { weight: 'metric', locale: 'de-DE' }), percent(0.85, 'fr-FR')]).toEqual([
      '2,15 kg',
      '0,85 %',
    ]);
    expect([litres(1232.04), litres(-0.04)]).toEqual(['1232.0 L', '0.0 L']);
  });
  it.each([
    [0, 'now'],
    [29_000, 'now'],
    [9 * 60_000, '9 min'],
    [-9 * 60_000, '9 min'],
    [60 * 60_000, '1 h'],
    [84 * 60_000, '1 h 24'],
    [605 * 60_000, '10 h 05'],
  ])('%d ms is “%s”', (ms, text) => expect(span(ms)).toBe(text));
  it('minutes go the same way', () => expect(minutes(21.4)).toBe('21 min'));
});

describe('amounts in the kitchen’s own units', () => {
  it.each([
    [0.0001, '0.1 g'],
    [0.0012, '1.2 g'],
    [0.0284, '1 oz'],
    [0.02, '0.7 oz'],
    [0.3, '11 oz'],
    [0.4536, '1 lb'],
    [1, '2 lb 3 oz'],
    [9.07, '20 lb'],
    [10, '22 lb'],
    [11.95, '26.5 lb'],
  ])('%d kg is “%s”', (kg, text) => expect(weight(kg, measuresOf('us'))).toBe(text));
  it.each([
    [0.03, 'us', '1 fl oz'],
    [0.473, 'us', '16 fl oz'],
    [0.946, 'us', '1 qt'],
    [1, 'us', '1 qt'],
    [1, 'imperial', '1.75 pt'],
    [3, 'us', '3.25 qt'],
    [15.9, 'us', '16.8 qt'],
    [45.46, 'imperial', '80 pt'],
    [90.92, 'imperial', '20 gal'],
    [60, 'us', '63.4 qt'],
    [100, 'us', '26.4 gal'],
  ] as const)('%d L is, %s, “%s”', (litresIn, units, text) =>
    expect(volume(litresIn, measuresOf(units))).toBe(text));
});

describe('degrees, depths and bowls', () => {
  it.each([
    [95.8, 1, '95.8 °C', '204.4 °F'],
    [74, 0, '74 °C', '165 °F'],
    [-0.2, 0, '0 °C', '32 °F'],
    [-18, 0, '-18 °C', '0 °F'],
  ])('%d to %d digits is %s, or %s', (c, digits, metric, us) => {
    expect(temperature(c, undefined, digits)).toBe(metric);
    expect(temperature(c, measuresOf('us'), digits)).toBe(us);
  });
  it.each([
    [16, '16 cm', '6¼ in'],
    [0, '0 cm', '0 in'],
    [1.27, '1.3 cm', '½ in'],
    [39.3, '39.3 cm', '15½ in'],
    [2.5, '2.5 cm', '1 in'],
  ])('%d cm on the stick is %s, or %s', (cm, metric, us) => {
    expect(depth(cm)).toBe(metric);
    expect(depth(cm, measuresOf('imperial'))).toBe(us);
  });
  it('a kitchen may weigh in grams, pour in quarts and read °F', () => {
    const mixed = { ...measuresOf('us'), weight: 'metric' as const };
    expect([weight(1.2, mixed), litres(1.2, mixed), temperature(60, mixed), portion(250, mixed)]).toEqual([
      '1.20 kg',
      '1.25 qt',
      '140 °F',
      '8.5 fl oz',
    ]);
  });
});

describe('amounts as a scale or a measure shows them', () => {
  it.each([
    [0.0017, '1.7 g'],
    [0.0476, '48 g'],
    [0.843, '845 g'],
    [0.9985, '1.00 kg'],
    [4.187, '4.19 kg'],
    [14.23, '14.25 kg'],
  ])('%d kg is “%s”', (kg, text) => expect(weight(kg)).toBe(text));
  it.each([
    [0.063, '65 mL'],
    [0.78, '800 mL'],
    [6.234, '6.2 L'],
  ])('%d L is “%s”', (value, text) => expect(volume(value)).toBe(text));
  it('litres, percent, money, sentences', () => {
    expect(litres(15.151)).toBe('15.2 L');
    expect(percent(0.9)).toBe('0.90 %');
    expect(money(82.4, 'GBP')).toBe('£0.82');
    expect(sentenceCase('burner 2')).toBe('Burner 2');
    expect([thePot('24 L rondeau'), thePot('The old dented stockpot'), thePot('Theo’s pan')]).toEqual([
      'the 24 L rondeau',
      'the old dented stockpot',
      'the Theo’s pan',
    ]);
  });
});

describe('a number as a cook types it', () => {
  it.each([
    ['60', 60],
    [' 0,9 ', 0.9],
    ['.5', 0.5],
    ['12.', 12],
    ['-3', -3],
    ['+4', 4],
    ['1,25', 1.25],
    ['0,125', 0.125],
    ['1250,5', 1250.5],
  ])('“%s” is %d', (text, value) => expect(typedNumber(text)).toBe(value));
  it.each([
    '',
    ' ',
    'sixty',
    '6 0',
    '1e3',
    '12 cm',
    '1.2.3',
    'NaN',
    'Infinity',
    '--2',
    '0x10',
    // 1.25 or 1250: a thousand times apart, so it is asked again
    '1,250',
    '12,000',
  ])('“%s” is no number', (text) => expect(typedNumber(text)).toBeNull());
});

it('a name as the name of a file', () => {
  expect(fileName('Crème d’été & Purée, 2')).toBe('creme-d-ete-puree-2');
  expect(fileName('???')).toBe('recipe');
});
