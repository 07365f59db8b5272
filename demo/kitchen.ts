import type { Pot } from '../core';

/** The Corrie Halt Buffet: invented, like everyone and everything in it. Times are of the kitchen's own zone. */
export const KITCHEN = {
  name: 'Corrie Halt Buffet',
  zone: 'Europe/London',
  altitudeM: 1240,
  airTempC: 24,
  relativeHumidity: 0.5,
  currency: 'GBP',
  services: [
    { id: 'late-morning', time: '11:40', name: '11:40 train', covers: 35 },
    { id: 'midday', time: '13:10', name: '13:10 train', covers: 60 },
    { id: 'evening', time: '18:05', name: '18:05 train', covers: 40 },
  ],
} as const;

/** The demo's clock opens here: a Tuesday in March, 07:15 at Corrie Halt. */
export const DEMO_OPENS_AT = Date.UTC(2026, 2, 10, 7, 15);

export const POTS: readonly Pot[] = [
  {
    id: 'rondeau-24',
    name: '24 L rondeau',
    vessel: { shape: 'tapered', topDiameterCm: 42, bottomDiameterCm: 38, heightCm: 19.1 },
    emptyMassKg: 6.2,
  },
  {
    id: 'stockpot-40',
    name: '40 L stockpot',
    vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 39.3 },
    emptyMassKg: 7.5,
  },
  {
    id: 'kettle-60',
    name: '60 L kettle',
    vessel: { shape: 'kettle', diameterCm: 60, heightCm: 31.2 },
    emptyMassKg: 38,
  },
  {
    id: 'saucepan-4',
    name: '4 L saucepan',
    vessel: { shape: 'cylinder', diameterCm: 20, heightCm: 12.7 },
    emptyMassKg: 1.6,
  },
];

/** Where each pot may stand; the kettle has a jacket of its own. */
export const BURNERS = [
  { id: 'gas-1', name: 'burner 1', kind: 'gas', powerW: 7000, efficiency: 0.4, pots: ['stockpot-40', 'rondeau-24', 'saucepan-4'] },
  { id: 'gas-2', name: 'burner 2', kind: 'gas', powerW: 7000, efficiency: 0.4, pots: ['stockpot-40', 'rondeau-24', 'saucepan-4'] },
  { id: 'gas-3', name: 'burner 3', kind: 'gas', powerW: 5000, efficiency: 0.4, pots: ['stockpot-40', 'rondeau-24', 'saucepan-4'] },
  { id: 'gas-4', name: 'burner 4', kind: 'gas', powerW: 3500, efficiency: 0.4, pots: ['rondeau-24', 'saucepan-4'] },
  { id: 'induction', name: 'induction ring', kind: 'induction', powerW: 3500, efficiency: 0.85, pots: ['stockpot-40', 'rondeau-24', 'saucepan-4'] },
  { id: 'jacket', name: 'kettle jacket', kind: 'steam', powerW: 9000, efficiency: 0.85, pots: ['kettle-60'] },
] as const;

/** Hundredths of a pound per kg as purchased. Invented. */
export const PRICES_CENTS_PER_KG: Readonly<Record<string, number>> = {
  butter: 780,
  onion: 95,
  leek: 210,
  celery: 190,
  flour: 85,
  'fish-fumet': 110,
  potato: 92,
  sweetcorn: 260,
  milk: 98,
  cream: 420,
  'smoked-trout': 1650,
  'lemon-juice': 520,
  salt: 60,
  'white-pepper': 2400,
  'bay-leaf': 3000,
  'herb-bundle': 1800,
  chives: 2600,
  cornstarch: 240,
  water: 0,
  'potato-starch': 260,
};

/** The fish fumet in the walk-in. */
export const FUMET_LOT = {
  id: 'lot-14',
  number: 14,
  ingredientId: 'fish-fumet',
  litres: 14,
  saltPercent: 0.15,
  place: 'walk-in, shelf 2',
  madeAt: Date.UTC(2026, 2, 9, 14, 30),
} as const;
