import type { StageKind } from '../recipe';

/** What each kind of stage is called, and the words that tell it in a written method. */
export const STAGE_KIND_DATA: Readonly<Record<StageKind, { title: string; act: string; defaultMethod: string; tells: RegExp }>> = {
  start: { title: 'Start the pot', act: 'Fat, then what goes in it.', defaultMethod: 'sweat-covered', tells: /\b(sweat|soften|fry|sauté|saute|brown|melt|heat the|warm the (oil|butter|fat)|carameli[sz]e|render|toast|roast|stir in the flour|sprinkle (over|in) the flour|dust)\w*\b/i },
  liquid: { title: 'Liquid in, up to a simmer', act: 'The liquid, and what is lifted out again.', defaultMethod: 'to-boil', tells: /\b(pour|deglaze|bring (the [\w -]+?|it|everything|all)? ?(slowly )?(back )?(up )?to (the|a) (boil|simmer)|add the (\w+ )?(stock|water|wine|fumet|liquid|milk|broth))\w*\b/i },
  simmer: { title: 'Simmer', act: 'Barely bubbling until it is tender.', defaultMethod: 'simmer-covered', tells: /\b(simmer|cook (gently|slowly|until|for)|bubble|poach|stew)\w*\b/i },
  additions: { title: 'In they go', act: 'By their own time, longest first.', defaultMethod: 'simmer-soft', tells: /\b(add the (potato|carrot|barley|lentil|pea|bean|pasta|rice|fish|prawn|green|kale|spinach|dumpling|sweetcorn)\w*)\b/i },
  lift: { title: 'Lift out and pick', act: 'Out on a tray; meat off the bone, bone and skin away.', defaultMethod: 'lift-pick', tells: /\b(lift(?: out)? the (hock|meat|bird|chicken|oxtail|bones?)|pick the meat|pull the meat|strain)\w*\b/i },
  reduce: { title: 'Reduce to the mark', act: 'Lid off until it has reduced to the mark. No salt yet.', defaultMethod: 'reduce-mark', tells: /\b(reduc|boil (it )?down|until (\w+ )?(reduced|thick))\w*\b/i },
  puree: { title: 'Purée', act: 'Smooth, in fills the blender can take.', defaultMethod: 'puree-smooth', tells: /\b(blend|pur[ée]+e?|liquidi[sz]e|sieve|pass (it )?through|blitz)\w*\b/i },
  thicken: { title: 'Thicken', act: 'Two thirds, cook out, test; then the rest.', defaultMethod: 'slurry', tells: /\b(thicken|slake|slurry|liaison|whisk in the (cornflour|cornstarch|arrowroot|roux|flour)|egg yolk)\w*\b/i },
  season: { title: 'Season', act: 'What must come out is out. Salt in steps: two thirds, stir, a clean spoon, taste.', defaultMethod: 'season-last', tells: /\b(season|taste|adjust|salt to)\w*\b/i },
  finish: { title: 'Finish', act: 'Off the heat.', defaultMethod: 'finish-off-heat', tells: /\b(finish|stir in the (cream|herbs?|parsley|lemon|butter|dill|chives)|off the heat|fold in|swirl)\w*\b/i },
  serve: { title: 'Serve', act: 'Ladle from the bottom up.', defaultMethod: 'serve-ladle', tells: /\b(serve|ladle|garnish|scatter|sprinkle|top with|divide (between|among))\w*\b/i },
  keep: { title: 'Keep', act: 'Cool fast, label, date.', defaultMethod: 'keep-shallow', tells: /\b(cool (it )?(quickly|fast|down)|chill|freeze|keeps? for|refrigerat)\w*\b/i },
};
