/** The one place for colours and sizes. Colours are variables, so that day and dim kitchen are one set of components. */
const day = {
  enamel: '#F5F0E6',
  sheet: '#FCF9F2',
  iron: '#22282C',
  soft: '#565E5B',
  line: '#DCD3C2',
  edge: '#8B8474',
  act: '#1E4D63',
  onAct: '#FFFFFF',
  danger: '#B23A23',
  lookIn: '#8A5B00',
  onTarget: '#3E683B',
  hollow: '#EBE2D2',
  rangeBack: '#22282C',
  rangeHere: '#313A40',
  rangeText: '#FBF7EE',
  rangeSoft: '#C6C9C2',
  rangeLook: '#F2B84B',
  rangeLine: '#475058',
  steam: '#B9BDB5',
  water: '#C8D6DA',
};

const dim: typeof day = {
  enamel: '#1B1F21',
  sheet: '#23282B',
  iron: '#F0EADD',
  soft: '#B7B9B0',
  line: '#3D4448',
  edge: '#7E8687',
  act: '#8CC3DB',
  onAct: '#10242E',
  danger: '#F08B74',
  lookIn: '#EDB64F',
  onTarget: '#9CCB95',
  hollow: '#2B3134',
  rangeBack: '#101314',
  rangeHere: '#22292D',
  rangeText: '#F0EADD',
  rangeSoft: '#B7B9B0',
  rangeLook: '#F2B84B',
  rangeLine: '#363D41',
  steam: '#6E7674',
  water: '#2C4551',
};

/** Food keeps its colour in both themes. `on` is for words written on it. */
export const FOOD: Record<string, { fill: string; deep: string; piece: string; on: string }> = {
  chowder: { fill: '#E9CB7E', deep: '#DDB860', piece: '#F7E7B0', on: '#3B2C06' },
  veloute: { fill: '#EFE3C4', deep: '#E2D2A6', piece: '#F8F0DA', on: '#3B3418' },
  beetroot: { fill: '#8A2446', deep: '#701A37', piece: '#B34467', on: '#FFF3F3' },
  pepper: { fill: '#D9652F', deep: '#C2521F', piece: '#EE9A62', on: '#2E1204' },
  venison: { fill: '#7C3A26', deep: '#642C1B', piece: '#A4553A', on: '#FFF4EA' },
  tomato: { fill: '#C4452A', deep: '#AB361D', piece: '#DE7554', on: '#FFF5EF' },
  mutton: { fill: '#8F6236', deep: '#784E28', piece: '#C2925B', on: '#FFF8EC' },
  leek: { fill: '#C6B878', deep: '#B2A360', piece: '#8FA766', on: '#2F2A0C' },
  broth: { fill: '#D9B26A', deep: '#C79C4E', piece: '#E9A25A', on: '#33240A' },
};

/** Black on white in both themes: what is printed is read in a walk-in, in any light. */
export const PRINT = { paper: '#FFFFFF', ink: '#000000', soft: '#333333' } as const;

const toVariables = (colours: typeof day) =>
  Object.entries(colours)
    .map(([name, value]) => `--${name}: ${value};`)
    .join(' ');

export const DAY_VARIABLES = toVariables(day);
export const DIM_VARIABLES = toVariables(dim);

/** Day colours as values, for what draws on a canvas and cannot read a variable by itself. */
export type ColourName = keyof typeof day;

export const colour = Object.fromEntries(Object.keys(day).map((name) => [name, `var(--${name})`])) as Record<
  ColourName,
  string
>;

export const space = { xs: '4px', s: '8px', m: '16px', l: '24px', xl: '40px' } as const;

export const radius = { s: '6px', m: '10px' } as const;

export const font = {
  text: "'Atkinson Hyperlegible Next', system-ui, sans-serif",
  title: "'Bricolage Grotesque Variable', 'Atkinson Hyperlegible Next', sans-serif",
} as const;

export const size = {
  small: '15px',
  text: '17px',
  lead: '19px',
  figure: '24px',
  potFigure: '30px',
  title: '28px',
  act: 'clamp(29px, 3.3vw, 42px)',
  hour: 'clamp(44px, 4.4vw, 56px)',
} as const;

/** Hit areas: anywhere, and at the pot with a wet thumb. */
export const target = { anywhere: '44px', atPot: '60px' } as const;

/** Widths at which a layout gives way. */
export const media = {
  narrow: '@media (max-width: 700px)',
  medium: '@media (max-width: 1040px)',
  paper: '@media print',
} as const;

export const motion = { quick: '120ms ease-out' } as const;
