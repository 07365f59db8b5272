const rules = new Intl.PluralRules('en');

/** One or many, as English counts: 1 bowl, 0 bowls, 2 bowls. */
export function plural(count: number, one: string, other: string): string {
  return rules.select(count) === 'one' ? one : other;
}
