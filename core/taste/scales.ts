/** What a mouth tells apart in a soup. */
export const SCALES = ['salt', 'acid', 'sweet', 'fat', 'heat', 'umami', 'bitter'] as const;
export type Scale = (typeof SCALES)[number];

/** What it says of one, from too little to far too much. */
export const VERDICTS = ['more', 'bitMore', 'right', 'tooMuch', 'farTooMuch'] as const;
export type Verdict = (typeof VERDICTS)[number];
