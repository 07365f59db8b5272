/** Words of written recipes by what they do to a reading. Common practice. */

/** What was done to it: part of the cut. */
export const CUT_WORDS: ReadonlySet<string> = new Set(
  `beaten bashed blanched boned boneless bruised broken brunoise chopped chiffonade cleaned coarsely cored cracked
  crumbled crushed cubed cut deboned deseeded deveined diced dice drained filleted fine finely flaked grated halved
  hulled jointed julienned julienne lightly mashed melted minced peeled picked pitted podded pounded puréed quartered
  roughly scored scrubbed seeded shaved shelled shredded skinned sliced slit slivered smashed snipped softened sifted
  split squeezed stoned strained stripped thinly thickly torn toasted trimmed warmed washed rinsed soaked roasted tied
  unpeeled very wedges chunks chunky skinless shaken zested thick thin small`.split(/\s+/),
);

/** Weighed after it, so that the weight is of what is left. */
export const TRIMMING_WORDS: ReadonlySet<string> = new Set(
  `peeled trimmed cored deseeded seeded pitted stoned podded shelled picked cooked chopped diced sliced minced grated
  shredded cubed mashed boned deboned skinned filleted cleaned shucked`.split(/\s+/),
);

/** Words that neither name nor change what it is. */
export const IDLE_WORDS: ReadonlySet<string> = new Set(
  `a an and about approx approximately around best bought of the fresh freshly good quality ripe organic large medium small big
  some more extra your favourite favorite few level scant generous heaped heaping rounded nice new-season cold chilled
  room temperature hot warm homemade dry raw whole thick plain pure free range live each young mild local dried-out
  very in for to or with from short leaf shape only weight back streaky rindless style sized medium-sized bite plump firm fat little king tiger low reduced sodium salted unsmoked undyed lean full`.split(/\s+/),
);

/** Numbers in words. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  dozen: 12,
  half: 0.5,
  quarter: 0.25,
  couple: 2,
  few: 3,
  several: 4,
};

/** Must be taken out again. */
export const COMES_OUT =
  /\b(tied (up )?in (a |the )?(piece of )?(muslin|cheesecloth|cloth|spice bag|bag)|lift(ed)? (it |them )?out|tak(e|en) (it |them )?out|fish(ed)? (it |them )?out|(to )?comes? out|(to be )?removed? (before|at|after|when|once|later|from the pot)|to be (removed|discarded)|discard(ed)? (before|at|after|later|when)|left whole to come out)\b[^,;)]*/i;

/** By taste and no amount. */
export const TO_TASTE = /\b((according )?to (your )?taste|as needed|as required|to season|for seasoning|to finish to taste|q\.?s\.?)\b/i;

/** For something outside the pot. */
export const ASIDE = /\b(plus (a little |some )?(extra|more)|to serve|to garnish|for garnish|for (the )?garnish|optional|if (you )?like|if liked|if needed|for frying|for greasing)\b[^,;)]*/i;

export const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
