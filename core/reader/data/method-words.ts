/** What a word of a written method does. Common practice. */
export type Deed = 'fry' | 'put' | 'pour' | 'boil' | 'simmer' | 'time' | 'reduce' | 'puree' | 'sieve' | 'thicken' | 'finish' | 'season' | 'serve' | 'lift' | 'pick' | 'back' | 'lid' | 'keep' | 'offHeat' | 'idle';

/** Words that begin a deed, longest phrase first; a deed in two words may have others between them. */
export const DEED_WORDS: readonly (readonly [Deed, RegExp])[] = (
  [
    ['offHeat', '(?:take|remove|draw|pull|slide)(?: it| the pan| the pot)? (?:off|from) the heat|off the heat|away from the heat|heat off'],
    ['lid', String.raw`put (?:the|a) lid on|put on (?:the|a) lid|take off the lid|take the lid off|remove the lid|uncover\b|cover(?! (?:it |them |the \w+ |everything )?(?:\w+ )?(?:with|by|in)\b)(?=\b)`],
    ['idle', 'stand(?= a spoon)|set (?:it |them )?aside|skim(?: off)?|turn (?:up|down|it|the|off)|reduce (?:the |to a |to low|to medium)?heat|reduce heat|reduce to (?:a )?(?:low|medium|simmer)|lower the heat|raise the heat|cut up|peel|rinse|drain|soak|grill|leave to cool|let it cool slightly|discard|throw away'],
    ['boil', String.raw`bring[^.;]{0,60}?\b(?:to|at) (?:a |the )?(?:gentle |rolling |slow |bare )?(?:boil|simmer)(?:ing)?\b|bring[^.;]{0,40}?\bback (?:up )?to (?:the )?(?:boil|simmer)|bring (?:up )?slowly|come to (?:a|the) boil|boil (?:down )?until reduced|boil(?! gently| down| for| \d)`],
    ['reduce', 'reduce(?! (?:the |to a |to low|to medium)?heat| heat| to (?:a )?(?:low|medium|simmer))|boil down|cook down|evaporate|let (?:it )?reduce'],
    ['back', String.raw`return|put (?:it|them|the [\w ]{1,30}?) back|add back|back in (?:with|go)\b`],
    ['lift', String.raw`lift(?: (?:it|them|the [\w ,]{1,30}?))? out(?: of the pot)?|lift|take out|take (?:it|them|the [\w ]{1,30}?) out|fish out|scoop out|remove`],
    ['pick', 'pick|pull|shred|strip|flake|cut (?:it|them|the meat) (?:from|off)|bone'],
    ['sieve', '(?:pass|push|rub|strain)(?: (?:it|the \\w+))? through (?:a |the )?(?:[\\w-]+ ){0,2}(?:sieve|muslin|cloth|chinois|mesh)|pass|sieve|strain'],
    ['puree', 'blend|pur[ée]e|liquidi[sz]e|blitz|whizz|mash|process'],
    ['thicken', 'thicken|bind'],
    ['season', 'check the seasoning|adjust the seasoning|season|taste|salt(?= to taste)|add salt(?: and pepper)?(?= to taste)'],
    ['serve', 'serve|ladle|garnish|scatter|top(?= (?:with|each))|divide|dish up'],
    ['keep', 'cool(?: (?:it|fast|quickly|down))?|chill|freeze|refrigerate|store|label'],
    ['finish', 'finish'],
    ['pour', String.raw`pour(?: in| on| over)?|deglaze|top up|moisten|cover (?:it |them |everything |the [\w ]{1,20}? )?with|let down with`],
    [
      'put',
      'add(?: in)?|put|lay|nestle|float|(?:slip|slide|tear|crumble|grate|sink|lower)(?= (?:in|it|them|the|some|half)\\b)(?: in(?:to)?)?|stir in(?:to)?|whisk(?: in(?:to)?)?|tip(?: in(?:to)?)?|mix(?: in)?|fold in|drop in|throw in|place|combine|sprinkle(?: over| in)?|dust|beat in|slake|dissolve|swirl in|toss in|flame|plunge|stir(?= (?:the|into|through))',
    ],
    ['simmer', String.raw`simmer|bubble|poach|stew|braise|boil (?:gently|for|\d)|steam`],
    ['fry', String.raw`make (?:a |the )?(?:[\w-]+ ){0,3}roux|melt|sweat|soften|fry|saut[ée]|brown|carameli[sz]e|render|toast|roast|crisp|colour|heat(?= (?:the )?(?:[\w-]+ ){0,2}(?:oil|butter|fat|lard|dripping|ghee)s?\b)|warm(?= (?:the )?(?:[\w-]+ ){0,2}(?:oil|butter|fat|lard|dripping|ghee)\b)`],
    ['time', 'cook|heat|warm|stir|leave|let|keep|infuse|stand|hold|continue'],
  ] as const
).map(([deed, words]) => [deed, new RegExp(String.raw`(?<![\p{L}-])(?:${words})(?![\p{L}])`, 'giu')] as const);

/** Before a word, it is a noun or is not to be done: “the heat”, “do not boil”, “without colour”, “until brown”. */
export const NO_DEED_AFTER = /(?:\b(?:the|a|an|not|n't|never|without|until|till|to|medium|low|lowest|high|gentle|moderate|of|more|golden|light|dark|no|for|is|are)|['’]t)\s+$/i;
