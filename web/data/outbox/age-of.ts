/** This page's own start, by the clock that is never set: what was said before it is known by the wall clock alone. */
const pageFromMs = Date.now() - performance.now();

/**
 * How long ago something was said, ms. The browser's clock may have been set back since: within one page, time that has
 * gone by is never less than what the clock that is never set says.
 */
export function ageOf(actedBrowserMs: number): number {
  const byWall = Date.now() - actedBrowserMs;
  const isOfThisPage = actedBrowserMs >= pageFromMs;
  const bySteady = isOfThisPage ? performance.now() - (actedBrowserMs - pageFromMs) : 0;
  return Math.max(0, Math.round(Math.max(byWall, bySteady)));
}
