/** What a spoon tells apart in a soup: seven by the mouth, colour by the eye, from too pale to too dark. */
export const SCALES = ['salt', 'acid', 'sweet', 'fat', 'heat', 'umami', 'bitter', 'colour'] as const;
export type Scale = (typeof SCALES)[number];

/** What it says of one, from too little to far too much. */
export const VERDICTS = ['more', 'bitMore', 'right', 'tooMuch', 'farTooMuch'] as const;
export type Verdict = (typeof VERDICTS)[number];
