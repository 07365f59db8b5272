import type { Ingredient } from '../matter';
import { newStage, type Stage, type StageKind } from '../recipe';
import type { Deed } from './data/method-words';
import { foodsNamed, isForTheBowl, type MethodLine, type Named, namesOf } from './foods-named';
import { type Clause, clausesIn } from './method-clauses';
import { methodIn } from './method-sentences';
import type { Reading } from './reading';

/** What a written method comes to: stages, and where each line goes in. */
export interface ReadMethod {
  stages: Stage[];
  /** by line: stages and shares; none where no sentence names it */
  places: { stageId: string; share: number }[][];
  /** stages whose time the page says */
  clocked: ReadonlySet<string>;
  /** stages for which it says how far they reduce */
  marked: ReadonlySet<string>;
  /** by line: it is lifted out again; and where its meat goes back in */
  comesOut: boolean[];
  backStageIds: (string | null)[];
}

/** A stage being put together. */
interface Draft {
  kind: StageKind;
  clauses: Clause[];
  minutes: number | null;
  gone: number | null;
  blended: number | null;
  lid: 'on' | 'ajar' | 'off' | null;
  isStrained: boolean;
  isSieved: boolean;
  foods: Named[];
}

const WET_KINDS = ['water', 'stock'];

/**
 * Reads the sentences of a method, one deed after the other. What is put in waits until the words after it say what is
 * done with it: fried, brought to the boil, simmered for its time, blended. Nothing is fried once the liquid is in.
 *
 * @param sentences of the method, in order
 * @param readings the ingredient lines
 * @param ingredients rows of the table
 */
export function readMethod(
  sentences: readonly string[],
  readings: readonly Reading[],
  ingredients: Readonly<Record<string, Ingredient>>,
): ReadMethod {
  const reader = new MethodReader(
    readings.map((reading) => {
      const ingredient = ingredients[reading.ingredientId ?? ''] ?? null;
      return { reading, ingredient, names: namesOf(reading, ingredient), placed: 0, isOut: false };
    }),
  );
  const clauses = sentences.map(clausesIn);
  const isBackLater = (from: number) =>
    clauses
      .slice(from)
      .some((ones) => ones.some(({ deed, text }) => deed === 'back' || /\bmeat\b/i.test(text)));
  clauses.forEach((ones, n) => {
    for (const one of ones) reader.take(one, isBackLater(n));
    reader.endSentence();
  });
  return reader.done();
}

class MethodReader {
  private readonly drafts: Draft[] = [];
  private waiting: Named[] = [];
  private waitingClauses: Clause[] = [];
  private lid: Draft['lid'] = null;
  private isWet = false;
  private readonly comesOut: boolean[];

  constructor(private readonly lines: MethodLine[]) {
    this.comesOut = lines.map(() => false);
  }

  take(clause: Clause, isBackLater: boolean): void {
    switch (clause.deed) {
      case 'idle':
      case 'keep':
      case 'offHeat':
        if (clause.deed === 'offHeat') this.put(clause);
        return;
      case 'lid':
        this.lid = /uncover|off|remove/i.test(clause.text) && !/\bon\b/i.test(clause.text) ? 'off' : 'on';
        return;
      case 'lift':
        this.lift(clause, isBackLater);
        return;
      case 'pick':
        this.pick(clause);
        return;
      case 'put':
      case 'pour':
      case 'back':
        this.put(clause);
        return;
      case 'fry':
        if (this.isWet && !clause.isApart) this.cook(clause);
        else this.fry(clause);
        return;
      case 'boil':
        this.boil(clause);
        return;
      case 'simmer':
      case 'time':
        this.cook(clause);
        return;
      default:
        this.work(clause);
    }
  }

  /** What waits at the end of a sentence waits on, but for what is put in off the heat or was made apart. */
  endSentence(): void {
    const clause = this.waitingClauses.at(-1);
    if (!clause || this.waiting.length === 0) return;
    const isOver = clause.isOffHeat || clause.isApart;
    if (clause.isOffHeat && !this.isWet) this.open('start', clause);
    else if (this.isWet && isOver && this.drafts.some((draft) => draft.kind !== 'start')) this.flush();
  }

  done(): ReadMethod {
    this.flush();
    const ids = this.drafts.map((_, i) => `s${i + 1}`);
    const places = this.lines.map((_, line) => wholeShares(partsOf(this.drafts, ids, line)));
    const backStageIds = this.lines.map((_, line) => {
      const at = this.drafts.findLastIndex((draft) =>
        draft.foods.some((one) => one.line === line && one.isBack),
      );
      return at < 0 ? null : ids[at]!;
    });
    return {
      stages: this.drafts.map((draft, i) => stageOf(draft, ids[i]!)),
      places,
      marked: new Set(ids.filter((_, i) => this.drafts[i]!.gone !== null)),
      clocked: new Set(ids.filter((_, i) => this.drafts[i]!.minutes !== null)),
      comesOut: this.comesOut,
      backStageIds,
    };
  }

  private put(clause: Clause): void {
    const named = this.named(clause);
    // flour that was stirred into a dry pot has had its turn when the liquid comes
    if (!this.isWet && this.waiting.length > 0 && this.isThickener(this.waiting)) this.flush();
    this.wait(named, clause);
    if (clause.isApart) return;
    if (clause.minutes !== null && named.length > 0) this.cook({ ...clause, text: '' });
    else if (named.length > 0 && clause.isLast) this.cook({ ...clause, text: '' });
  }

  private fry(clause: Clause): void {
    const named = this.named(clause);
    if (clause.isApart && this.isWet) {
      this.wait(named, clause);
      return;
    }
    const all = [...this.taken(), ...named];
    const last = this.drafts.at(-1);
    const isFatOnly = last?.kind === 'start' && last.minutes === null && this.isFat(last.foods);
    // fat gets hot, and what is fried in it follows: one stage
    if (last && isFatOnly && !this.isOven(clause)) this.extend(last, clause, all);
    else this.open('start', clause, all);
  }

  private boil(clause: Clause): void {
    const named = [...this.taken(), ...this.named(clause)];
    const last = this.drafts.at(-1);
    this.isWet = true;
    if (last?.kind === 'liquid' && last.minutes === null) this.extend(last, clause, named);
    else this.open('liquid', clause, named);
  }

  /** Cooked for a time: in the dry pan it is fried; in the liquid it simmers, with what was put in for it. */
  private cook(clause: Clause): void {
    const own = clause.text === '' ? [] : this.named(clause);
    const waiting = [...this.taken(), ...own];
    const last = this.drafts.at(-1);
    if (waiting.some((one) => this.isLiquid(one))) {
      this.isWet = true;
      const isTimedHere = clause.deed === 'time' && clause.minutes === null;
      this.open('liquid', isTimedHere ? clause : { ...clause, said: '', minutes: null, lid: null }, waiting);
      if (isTimedHere) return;
      this.openPlain('simmer', clause);
      return;
    }
    // what simmers is wet, though no sentence says what with
    const isSteamed = waiting.some(({ line }) => this.lines[line]!.ingredient?.kind === 'wine');
    if (clause.deed === 'simmer' && (this.drafts.length === 0 || (isSteamed && !this.isWet))) {
      this.isWet = true;
      if (isSteamed) {
        this.open('liquid', { ...clause, said: '', minutes: null, lid: null }, waiting);
        this.openPlain('simmer', clause);
        return;
      }
    }
    if (this.isWet && clause.gone !== null) {
      this.open('reduce', clause, waiting);
      return;
    }
    if (!this.isWet) {
      if (waiting.length === 0 && last?.kind === 'start' && last.minutes === null) {
        this.extend(last, clause, []);
        return;
      }
      if (waiting.length === 0 && clause.minutes === null) return;
      if (last?.kind === 'start' && last.minutes === null && this.isFat(last.foods)) {
        this.extend(last, clause, waiting);
        return;
      }
      this.open('start', clause, waiting);
      return;
    }
    if (clause.isLast && last && last.minutes !== null && clause.minutes !== null) {
      last.minutes -= clause.minutes;
      this.open('simmer', clause, waiting);
      return;
    }
    if (waiting.length > 0) {
      if (this.isThickener(waiting)) {
        this.open('thicken', clause, waiting);
        return;
      }
      if (clause.minutes === null && clause.deed === 'time') {
        this.flushWith(waiting, clause);
        return;
      }
      if (waiting.every((one) => one.isBack)) {
        this.flushWith(waiting, clause);
        return;
      }
      this.open(clause.isOffHeat ? 'finish' : 'additions', clause, waiting);
      return;
    }
    if (last && last.minutes === null && ['additions', 'thicken'].includes(last.kind)) {
      this.extend(last, clause, []);
      return;
    }
    if (clause.deed === 'time' && clause.minutes === null) return;
    if (last?.kind === 'simmer' && last.minutes === null) {
      this.extend(last, clause, []);
      return;
    }
    this.openPlain('simmer', clause);
  }

  /** Reduced, blended, sieved, thickened, finished, seasoned, served. */
  private work(clause: Clause): void {
    const named = this.named(clause);
    switch (clause.deed) {
      case 'reduce':
        this.open('reduce', clause, [...this.taken(), ...named]);
        return;
      case 'puree':
      case 'sieve': {
        const last = this.drafts.at(-1);
        if (clause.deed === 'sieve' && last?.kind === 'puree') {
          last.isSieved = true;
          this.extend(last, clause, [], false);
          return;
        }
        if (this.waiting.some((one) => one.isBack)) this.flush();
        if (clause.deed === 'sieve') {
          this.flush();
          this.open('lift', clause);
          this.drafts.at(-1)!.isStrained = true;
          for (const line of this.lines) if (this.hasBones(line) && line.placed > 0) line.isOut = true;
          return;
        }
        this.open('puree', clause, [...this.taken(), ...named]);
        return;
      }
      case 'thicken':
        this.open('thicken', clause, [...this.taken(), ...named]);
        return;
      case 'finish':
        this.open('finish', clause, [...this.taken(), ...named]);
        return;
      case 'season':
      case 'serve': {
        this.flush();
        const last = this.drafts.at(-1);
        const kind = clause.deed;
        if (last?.kind === kind) {
          this.extend(last, clause, named);
          return;
        }
        this.open(kind, clause, named);
        return;
      }
      default:
    }
  }

  private lift(clause: Clause, isBackLater: boolean): void {
    if (!this.isWet) return;
    const tokens = this.lines.map((line) => ({ ...line, placed: 0, isOut: false }));
    const named = foodsNamed(clause.text, tokens, false).filter((one) => this.lines[one.line]!.placed > 0);
    const meats = /\bmeat\b/i.test(clause.text)
      ? this.lines.flatMap((line, i) => (this.isMeat(line) && line.placed > 0 ? [i] : []))
      : named.filter((one) => this.isMeat(this.lines[one.line]!)).map((one) => one.line);
    for (const { line } of named) this.comesOut[line] = true;
    if (meats.length === 0 || !isBackLater) return;
    this.flush();
    for (const line of meats) {
      this.comesOut[line] = true;
      this.lines[line]!.isOut = true;
    }
    this.open('lift', clause);
  }

  /** “Pull the meat”: of what was lifted; or, where nobody has said that it is lifted, that too. */
  private pick(clause: Clause): void {
    const last = this.drafts.at(-1);
    if (last?.kind === 'lift') {
      this.extend(last, clause, [], false);
      return;
    }
    if (/\bmeat\b/i.test(clause.text)) this.lift(clause, true);
  }

  private named(clause: Clause): Named[] {
    const named = foodsNamed(clause.text, this.lines, PUTS_IN.has(clause.deed));
    const isServing = ['serve', 'season'].includes(clause.deed);
    const meant = named.filter((one) => isServing || !this.isGarnishLeft(one.line, clause));
    for (const one of meant) this.mark(one);
    return meant;
  }

  /** A garnish that a collective caught: “the herbs” of the pot are not those of the bowl. */
  private isGarnishLeft(line: number, clause: Clause): boolean {
    return isForTheBowl(this.lines[line]!.reading) && /\bherbs\b|everything/i.test(clause.text);
  }

  private wait(named: readonly Named[], clause: Clause): void {
    this.waiting.push(...named);
    this.waitingClauses.push(clause);
  }

  private mark({ line, share, isBack }: Named): void {
    const of = this.lines[line]!;
    of.placed = Math.min(1, of.placed + share);
    if (isBack) of.isOut = false;
  }

  private taken(): Named[] {
    const waiting = this.waiting;
    this.waiting = [];
    return waiting;
  }

  private open(kind: StageKind, clause: Clause, foods: readonly Named[] = this.taken()): void {
    this.openPlain(kind, clause);
    this.drafts.at(-1)!.foods.push(...foods);
  }

  private openPlain(kind: StageKind, clause: Clause): void {
    this.drafts.push({
      kind,
      clauses: [...this.waitingClauses, clause],
      minutes: clause.minutes,
      gone: clause.gone,
      blended: clause.blended,
      lid: clause.lid ?? this.lid,
      isStrained: false,
      isSieved: /sieve/i.test(clause.text),
      foods: [],
    });
    this.waitingClauses = [];
    this.lid = null;
  }

  private extend(draft: Draft, clause: Clause, foods: readonly Named[], isTimed = true): void {
    draft.clauses.push(...this.waitingClauses, clause);
    this.waitingClauses = [];
    draft.foods.push(...foods);
    if (isTimed) draft.minutes ??= clause.minutes;
    draft.lid ??= clause.lid ?? this.lid;
    this.lid = null;
  }

  /** What still waits: to finish with, or to be cooked in what it was put in. */
  private flush(): void {
    const waiting = this.taken();
    if (waiting.length > 0) this.flushWith(waiting, this.waitingClauses.at(-1)!);
    this.waitingClauses = [];
  }

  private flushWith(waiting: readonly Named[], clause: Clause): void {
    const isLiquid = waiting.some((one) => this.isLiquid(one));
    const hasBoiled = this.drafts.some((draft) =>
      ['simmer', 'additions', 'reduce', 'puree'].includes(draft.kind),
    );
    if (isLiquid && !hasBoiled) {
      this.isWet = true;
      const last = this.drafts.at(-1);
      if (last?.kind === 'liquid') this.extend(last, clause, waiting);
      else this.open('liquid', clause, waiting);
      return;
    }
    if (!this.isWet) {
      const hot = this.drafts.at(-1);
      // fat that got hot for it: one stage
      if (hot?.kind === 'start' && hot.minutes === null && this.isFat(hot.foods))
        this.extend(hot, clause, waiting);
      else this.open('start', clause, waiting);
      return;
    }
    const isFinish =
      clause.isOffHeat ||
      clause.isApart ||
      waiting.every((one) => one.isBack) ||
      this.isFinish(waiting) ||
      isLiquid;
    const kind: StageKind = this.isThickener(waiting) ? 'thicken' : isFinish ? 'finish' : 'additions';
    const last = this.drafts.at(-1);
    if (last?.kind === kind && last.minutes === null) this.extend(last, clause, waiting);
    else this.open(kind, clause, waiting);
  }

  private isFinish(waiting: readonly Named[]): boolean {
    return waiting.every(({ line, isBack }) => {
      const kind = this.lines[line]!.ingredient?.kind;
      return isBack || (kind !== undefined && FINISHES.has(kind));
    });
  }

  private isThickener(foods: readonly Named[]): boolean {
    return foods.every(({ line }) => this.lines[line]!.ingredient?.thickener !== undefined);
  }

  private isLiquid({ line, isBack }: Named): boolean {
    const { ingredient, reading } = this.lines[line]!;
    if (!ingredient || isBack) return false;
    const isMuch = (reading.edibleG ?? 0) >= MUCH_MILK_G;
    return (
      (WET_KINDS.includes(ingredient.kind) && ingredient.perKg.water > 0.5) ||
      (ingredient.kind === 'dairy' && ingredient.perKg.water > POURS_FROM && isMuch && !this.isWet)
    );
  }

  private isFat(foods: readonly Named[]): boolean {
    return foods.every(({ line }) => this.lines[line]!.ingredient?.kind === 'fat');
  }

  private isMeat({ ingredient }: MethodLine): boolean {
    return ingredient !== null && ['meat', 'poultry', 'fish', 'shellfish'].includes(ingredient.kind);
  }

  private hasBones(line: MethodLine): boolean {
    return this.isMeat(line) && (line.ingredient!.wholeInPot === true || line.ingredient!.out !== undefined);
  }

  private isOven(clause: Clause): boolean {
    return /\broast/i.test(clause.text);
  }
}

const PUTS_IN: ReadonlySet<Deed> = new Set(['put', 'pour', 'back', 'finish', 'season', 'serve']);

/** Put in at the end, without a time of its own, it finishes the dish. */
const FINISHES: ReadonlySet<string> = new Set([
  'dairy',
  'acid',
  'herb',
  'spirit',
  'wine',
  'egg',
  'seasoning',
  'spice',
  'salt',
]);

/** Dairy of more water than this is poured like milk; cream is not. */
const POURS_FROM = 0.8;

/** From so much milk on it is the liquid of the pot, g. Common practice. */
const MUCH_MILK_G = 250;

function partsOf(
  drafts: readonly Draft[],
  ids: readonly string[],
  line: number,
): { stageId: string; share: number }[] {
  return drafts.flatMap((draft, i) => {
    const share = draft.foods
      .filter((one) => one.line === line && !one.isBack)
      .reduce((sum, one) => sum + one.share, 0);
    return share > 0 ? [{ stageId: ids[i]!, share }] : [];
  });
}

/** A line parted on paper must add up: what no sentence claims goes with its last part. */
function wholeShares(places: { stageId: string; share: number }[]): { stageId: string; share: number }[] {
  const sum = places.reduce((total, place) => total + place.share, 0);
  if (places.length === 0 || Math.abs(sum - 1) < 1e-9) return places;
  return places.map((place, i) =>
    i === places.length - 1 ? { ...place, share: place.share + 1 - sum } : place,
  );
}

function stageOf(draft: Draft, id: string): Stage {
  const said = [...new Set(draft.clauses.flatMap(({ said }) => (said ? [capital(said)] : [])))].join('. ');
  const own = draft.clauses.map((clause) => clause.text).join(', ');
  const base = newStage(id, draft.kind, draft.isStrained ? 'strain-off' : methodIn(own, draft.kind));
  let stage: Stage = { ...base, ...(said ? { act: `${said}.` } : {}) };
  if (draft.isStrained) stage = { ...stage, title: 'Strain' };
  if (
    draft.minutes !== null &&
    draft.minutes > 0 &&
    stage.ends.rule !== 'served' &&
    stage.ends.rule !== 'simmer'
  )
    stage = { ...stage, ends: { rule: 'minutes', minutes: draft.minutes } };
  if (draft.gone !== null && draft.kind === 'reduce')
    stage = { ...stage, ends: { rule: 'fall', fractionGone: draft.gone } };
  if (stage.does?.kind === 'puree') {
    const share = draft.blended ?? stage.does.share;
    stage = { ...stage, does: { ...stage.does, share, sieve: draft.isSieved ? 'fine' : stage.does.sieve } };
  }
  return draft.lid ? { ...stage, lid: draft.lid } : stage;
}

const capital = (sentence: string): string => sentence.charAt(0).toUpperCase() + sentence.slice(1);
