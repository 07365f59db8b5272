/** What is done to the whole pot as a stage ends. */
export type StageDeed =
  /** a share (0..1) of the pieces becomes liquid; a sieve keeps some back */
  | { kind: 'puree'; share: number; sieve: 'none' | 'coarse' | 'fine' }
  | { kind: 'strain' }
  /** the liquid is poured away and the pieces stay: blanching water, a soak */
  | { kind: 'drain' }
  /** set or floating fat, a share 0..1 of it */
  | { kind: 'skim'; share: number };
