import { describe, expect, it } from 'vitest';
import { adjustments } from '../adjust';
import { prepareRecipe } from '../book';
import { INGREDIENT_BY_ID, massKg, saltPercent } from '../matter';
import { planBatch } from '../plan';
import { newStage, type Recipe, type Stage } from '../recipe';
import { libraryOf, recipeFrom } from '../testing/book';
import { itemsFor, logOf, orderOf, snapshotOf } from '../testing/broth';
import {
  type BatchEventBody,
  type BatchSnapshot,
  callOf,
  foldBatch,
  nextAction,
  stageClock,
  stillToAdd,
  toComeOut,
  wantedHeat,
  wantedSinceMs,
} from './';

/** What the screen asks for is what this pot still needs, whatever it is called and however it got there. */

/** The broth with lines named after nothing that they are. */
const NAMES: Record<string, string> = { salt: 'last-thing', flour: 'dust', stock: 'wet', bay: 'leafy' };
const renamed = (recipe: Recipe): Recipe => ({
  ...recipe,
  lines: recipe.lines.map((line) => ({
    ...line,
    id: NAMES[line.id] ?? line.id,
    scaling:
      typeof line.scaling === 'object'
        ? { sameAs: NAMES[line.scaling.sameAs] ?? line.scaling.sameAs }
        : line.scaling,
  })),
});
const snapshot = snapshotOf(orderOf({ recipe: renamed(orderOf().recipe) }));
const MINUTE_MS = 60_000;

/** As a kitchen plans it: with the rows a pot may be adjusted with. */
const prepared = (recipe: Recipe) => {
  const ready = prepareRecipe(recipe, libraryOf([recipe]));
  return { ...ready, ingredients: { ...INGREDIENT_BY_ID, ...ready.ingredients } };
};

type Said = [number, BatchEventBody];
const added = (ingredientId: string, kg: number, lineId?: string): BatchEventBody => ({
  type: 'added',
  payload: { items: [{ ingredientId, kg, tempC: 18, ...(lineId ? { lineId } : {}) }] },
});
const stage = (of: BatchSnapshot, id: string, minute: number): Said[] => [
  [minute, { type: 'added', payload: { items: itemsFor(of, id) } }],
  [minute + 0.1, { type: 'stageBegun', payload: { stageId: id } }],
];
const at = (of: BatchSnapshot, said: Said[], minute: number) =>
  foldBatch(of, logOf(said), Date.UTC(2026, 2, 10, 10, 0) + minute * MINUTE_MS);
const wanted = (of: BatchSnapshot, said: Said[], minute: number, ingredientId: string) =>
  stillToAdd(of, at(of, said, minute))
    .filter((line) => line.ingredientId === ingredientId)
    .reduce((sum, line) => sum + line.edibleKg, 0);

describe('salt', () => {
  // nearly at the end: stock, carrots and the fall are done, the salt is not in
  const upTo: Said[] = [
    ...stage(snapshot, 'boil', 0),
    [0.2, { type: 'lidSet', payload: { lid: 'on' } }],
    [0.3, { type: 'heatSet', payload: { fraction: 1 } }],
    [40, { type: 'stageDone', payload: { stageId: 'boil' } }],
    [41, { type: 'stageBegun', payload: { stageId: 'fall' } }],
    [41.1, { type: 'lidSet', payload: { lid: 'off' } }],
    [70, { type: 'stageDone', payload: { stageId: 'fall' } }],
    ...stage(snapshot, 'roots', 71),
    [71.2, { type: 'heatSet', payload: { fraction: 0.3 } }],
    [90, { type: 'stageDone', payload: { stageId: 'roots' } }],
  ];
  const askedKg = (said: Said[]) => wanted(snapshot, said, 92, 'salt');
  it('added while adjusting, under no line of the recipe, is not asked for again', () => {
    const planned = askedKg(upTo);
    const half = planned / 2;
    expect(askedKg([...upTo, [91, added('salt', half)]])).toBeCloseTo(half, 3);
    expect(askedKg([...upTo, [91, added('salt', planned)]])).toBeLessThan(0.03 * planned);
    expect(askedKg([...upTo, [91, added('salt', 2 * planned)]])).toBe(0);
  });
  it('what the season stage asks for brings the pot to its percent, not past it', () => {
    const early: Said[] = [...upTo, [91, added('salt', 0.06)]];
    const line = stillToAdd(snapshot, at(snapshot, early, 92), 'season')[0]!;
    const said: Said[] = [...early, [92, added('salt', line.edibleKg, line.lineId)]];
    expect(saltPercent(at(snapshot, said, 93).pot.mixture, 'all') / 0.9).toBeCloseTo(1, 1);
    expect(Math.abs(saltPercent(at(snapshot, said, 93).pot.mixture, 'all') - 0.9)).toBeLessThan(0.01);
    expect(askedKg(said)).toBe(0);
  });
  it('that came in with bacon counts, and the page of adjustments says the same grams', () => {
    const said: Said[] = [...upTo, [91, added('bacon', 1.2)]];
    const state = at(snapshot, said, 92);
    expect(askedKg(said)).toBeLessThan(askedKg(upTo));
    expect(adjustments(snapshot, state).saltToAddG / 1000).toBeCloseTo(askedKg(said), 3);
  });
  it('after a litre too much has gone, less is asked for than was planned', () => {
    const gone: Said[] = [...upTo, [91, { type: 'pouredOff', payload: { what: 'liquid', kg: 4 } }]];
    const share = massKg(at(snapshot, gone, 92).pot.mixture) / massKg(at(snapshot, upTo, 92).pot.mixture);
    expect(askedKg(gone) / askedKg(upTo)).toBeCloseTo(share, 1);
  });
});

describe('everything else', () => {
  it('as planned, every line is asked for once, with the amount on the list', () => {
    const said: Said[] = [];
    const asked = new Map<string, number>();
    let minute = 0;
    for (const one of snapshot.input.recipe.stages) {
      const state = at(snapshot, said, minute);
      for (const line of stillToAdd(snapshot, state, one.id)) {
        asked.set(line.lineId, (asked.get(line.lineId) ?? 0) + line.edibleKg);
        said.push([minute + 0.1, added(line.ingredientId, line.edibleKg, line.lineId)]);
      }
      said.push([minute + 0.2, { type: 'stageBegun', payload: { stageId: one.id } }]);
      said.push([minute + 0.3, { type: 'lidSet', payload: { lid: one.lid } }]);
      const planned = snapshot.plan.stages.find((each) => each.stageId === one.id);
      said.push([
        minute + 0.4,
        { type: 'heatSet', payload: { fraction: one.id === 'boil' ? 1 : (planned?.heatFraction ?? 0.1) } },
      ]);
      minute += planned ? planned.minutes : 5;
    }
    for (const line of snapshot.plan.lines.filter((one) => !one.perBowl))
      expect(asked.get(line.lineId)! / line.edibleKg, line.name).toBeCloseTo(1, 1);
  });
  it('half a line that went in leaves the other half to add; all but a tenth of it leaves nothing', () => {
    const carrots = snapshot.plan.lines.find((line) => line.ingredientId === 'carrot')!;
    const put = (share: number): Said[] => [[1, added('carrot', carrots.edibleKg * share, carrots.lineId)]];
    expect(wanted(snapshot, put(0.5), 2, 'carrot')).toBeCloseTo(carrots.edibleKg / 2, 9);
    expect(wanted(snapshot, put(0.93), 2, 'carrot')).toBe(0);
    expect(wanted(snapshot, [], 0, 'carrot')).toBeCloseTo(carrots.edibleKg, 9);
  });
  it('a forgotten bay is asked for again, and is in once', () => {
    const said: Said[] = [...stage(snapshot, 'boil', 0)];
    expect(wanted(snapshot, said, 5, 'bay-leaf')).toBe(0);
    const forgot: Said[] = [...said, [5, { type: 'slip', payload: { kind: 'forgot', lineId: 'leafy' } }]];
    expect(wanted(snapshot, forgot, 6, 'bay-leaf')).toBeGreaterThan(0);
    expect(toComeOut(at(snapshot, forgot, 6))).toEqual([]);
  });
});

const HAM = recipeFrom(
  'Pea and ham soup\nServes 40\n5 ham hocks\n2 kg split peas\n1 kg onions, chopped\n10 L water\n\nPut the hocks, peas and onions in the water, bring to the boil and simmer for 90 minutes. Lift out the hocks, pick the meat and put it back. Season and serve.',
);
const ham = (() => {
  const recipe: Recipe = {
    ...HAM,
    lines: HAM.lines.map((line) =>
      line.ingredientId === 'ham-hock' ? { ...line, comesOut: { word: 'hock', eachG: 550 } } : line,
    ),
  };
  const input = orderOf({
    ...prepared(recipe),
    portions: 40,
    saltPercent: 0.9,
    band: recipe.targetBand,
  });
  return { input, plan: planBatch(input) };
})();

describe('one thing in the pot is one item', () => {
  const [first] = ham.input.recipe.stages;
  const hock = ham.plan.lines.find((line) => line.ingredientId === 'ham-hock')!;
  const simmering: Said[] = [...stage(ham, first!.id, 0), ...stage(ham, hock.stageId, 1)].filter(
    ([, body], i, all) => all.findIndex(([, other]) => JSON.stringify(other) === JSON.stringify(body)) === i,
  );
  const lift = (more: object = {}): Said => [
    90,
    {
      type: 'lifted',
      payload: { ingredientId: 'ham-hock', kg: 4.9, fate: 'parked', place: 'tray', ...more },
    },
  ];
  it('hangs by its tag, and lifted as pieces it takes its tag along: it is not asked for again', () => {
    const before = at(ham, simmering, 89);
    expect(toComeOut(before)).toMatchObject([{ word: 'hock', count: hock.comesOut!.count }]);
    const all = at(ham, [...simmering, lift({ share: 1 })], 91);
    expect(toComeOut(all)).toEqual([]);
    expect(all.items.some((item) => item.ingredientId === 'ham-hock')).toBe(false);
    const two = at(ham, [...simmering, lift({ share: 0.4 })], 91);
    const left = two.items.find((item) => item.ingredientId === 'ham-hock')!;
    expect(left.kg).toBeCloseTo(0.6 * hock.edibleKg, 3);
    expect(toComeOut(two)[0]!.count).toBe(hock.comesOut!.count - Math.round(0.4 * hock.comesOut!.count));
  });
  it('leaves the pot once: taking the tag out after that changes nothing', () => {
    const lifted = at(ham, [...simmering, lift({ share: 1 })], 91);
    const again = at(
      ham,
      [...simmering, lift({ share: 1 }), [90.5, { type: 'removed', payload: { word: 'hock', count: 5 } }]],
      91,
    );
    expect(massKg(again.pot.mixture)).toBeCloseTo(massKg(lifted.pot.mixture), 6);
  });
  it('bone and skin are told from meat: picked meat goes back by its weight, whole it hangs again', () => {
    const parked = at(ham, [...simmering, lift({ share: 1 })], 91).parked[0]!;
    // 4.9 kg on the scale, of which the model holds the meat
    expect(parked.weighedKg).toBe(4.9);
    expect(parked.kg).toBeLessThan(4.9 * 0.6);
    const back = (payload: object) =>
      at(
        ham,
        [
          ...simmering,
          lift({ share: 1 }),
          [
            95,
            {
              type: 'returned',
              payload: { liftedId: parked.liftedId, kg: parked.kg, tempC: 25, ...payload },
            },
          ],
        ],
        96,
      );
    const picked = back({ kg: parked.kg / 2 });
    expect(picked.parked).toEqual([]);
    expect(toComeOut(picked)).toEqual([]);
    const gone = massKg(at(ham, simmering, 96).pot.mixture) - massKg(picked.pot.mixture);
    expect(gone).toBeGreaterThan(parked.kg / 2 - 0.2);
    expect(gone).toBeLessThan(parked.kg / 2 + 0.3);
    expect(toComeOut(back({ kg: 4.9, isWhole: true }))).toMatchObject([{ word: 'hock' }]);
  });
  it('two tags of one word are two items', () => {
    const two: Said[] = [
      [
        0,
        {
          type: 'added',
          payload: {
            items: [
              { ingredientId: 'bay-leaf', kg: 0.001, tempC: 18, comesOut: { word: 'leaf', count: 2 } },
              { ingredientId: 'sage', kg: 0.01, tempC: 18, comesOut: { word: 'leaf', count: 9 } },
            ],
          },
        },
      ],
    ];
    const [bay, sage] = toComeOut(at(ham, two, 1));
    const out: Said = [2, { type: 'removed', payload: { word: 'leaf', count: 9, itemId: sage!.itemId } }];
    expect(toComeOut(at(ham, [...two, out], 3))).toEqual([bay]);
  });
});

describe('adjusting', () => {
  const simmering: Said[] = ham.input.recipe.stages.slice(0, 2).flatMap((one, i) => stage(ham, one.id, i));
  it('loosens a ham soup with its own liquid; what no guest was told of is not offered, or says so and comes last', () => {
    const state = at(ham, simmering, 30);
    const { ways } = adjustments(ham, state, 0);
    expect(ways.map((way) => way.id)).not.toContain('loosen-fish-fumet');
    expect(ways[0]!.id).toBe('loosen-water');
    const milk = ways.find((way) => way.id === 'loosen-milk')!;
    expect(milk.warns).toContainEqual({ code: 'addsAllergen', name: 'milk' });
    expect(ways.indexOf(milk)).toBe(ways.length - 1);
  });
  it('flour into a gluten-free pot says what it brings', () => {
    const state = at(ham, simmering, 30);
    const { ways } = adjustments(ham, state, 6);
    expect(ways.find((way) => way.id === 'kneaded-butter')!.warns.map((one) => one.code)).toContain(
      'addsAllergen',
    );
    expect(ways.at(-1)!.warns.length).toBeGreaterThanOrEqual(ways[0]!.warns.length);
  });
  it('knows the purée to come', () => {
    const recipe = recipeFrom(
      'Root soup\nServes 40\n4 kg celeriac, 2 cm dice\n6 L water\n\nSimmer the celeriac in the water until soft. Blend smooth. Season and serve.',
    );
    const input = orderOf({
      ...prepared(recipe),
      portions: 40,
      band: recipe.targetBand,
    });
    const of = { input, plan: planBatch(input) };
    const said: Said[] = recipe.stages
      .slice(
        0,
        recipe.stages.findIndex((one) => one.does),
      )
      .flatMap((one, i) => stage(of, one.id, i));
    const figures = adjustments(of, at(of, said, 20));
    expect(figures.band).toBeLessThan(1);
    expect(figures.bandAtEnd).toBeCloseTo(of.plan.band, 0);
  });
  it('uses the burner and pot it is on now: half the heat, and the reduction takes longer', () => {
    const half = { ...ham.input.burner, id: 'weak', powerW: ham.input.burner.powerW / 2 };
    const moved: Said = [20, { type: 'moved', payload: { pot: ham.input.pot, burner: half } }];
    const lit: Said = [21, { type: 'heatSet', payload: { fraction: 1 } }];
    const minutes = (said: Said[]) =>
      adjustments(ham, at(ham, said, 60), 6).ways.find((way) => way.id === 'reduce')?.after.minutes ?? 1e9;
    expect(minutes([...simmering, moved, lit])).toBeGreaterThan(1.5 * minutes([...simmering, lit]));
  });
  it('counts on the mark the cook has set, not the recipe’s', () => {
    const running: Said[] = [
      ...stage(snapshot, 'boil', 0),
      [1, { type: 'heatSet', payload: { fraction: 1 } }],
      [40, { type: 'stageBegun', payload: { stageId: 'fall' } }],
    ];
    const mark: Said = [41, { type: 'targetSet', payload: { target: { kind: 'gone', fraction: 0.5 } } }];
    const salt = (said: Said[]) => adjustments(snapshot, at(snapshot, said, 42)).saltPercentAtEnd;
    expect(salt([...running, mark]) / salt(running)).toBeGreaterThan(1.2);
  });
  it('stands 500 kg of flour by slip, and says when an amount no longer fits', () => {
    const slip: Said = [
      20,
      { type: 'slip', payload: { kind: 'tooMuch', ingredientId: 'flour', kg: 500, tempC: 18 } },
    ];
    const figures = adjustments(ham, at(ham, [...simmering, slip], 30), 2);
    for (const way of figures.ways) {
      expect(Number.isFinite(way.after.band)).toBe(true);
      if (way.isAddition) expect(way.warns.map((one) => one.code)).toContain('noRoom');
    }
  });
});

describe('a sweat at the pot', () => {
  it.each([
    'in, then begun',
    'begun, then in',
  ])('drives off what its method does and no more (%s)', (order) => {
    const base = snapshot.input.recipe;
    const recipe: Recipe = {
      ...base,
      stages: [newStage('soft', 'start', 'sweat-covered'), ...base.stages],
      lines: [
        ...base.lines,
        { id: 'bulbs', ingredientId: 'onion', stageId: 'soft', kg: 2, scaling: 'straight', tempC: 8 },
      ],
    };
    const of = snapshotOf(orderOf({ recipe }));
    const kg = of.plan.lines.find((line) => line.lineId === 'bulbs')!.edibleKg;
    const both: Said[] = [
      [0, { type: 'added', payload: { items: itemsFor(of, 'soft') } }],
      [0.1, { type: 'stageBegun', payload: { stageId: 'soft' } }],
    ];
    const begun: Said[] =
      order === 'in, then begun'
        ? both
        : [
            [0, both[1]![1]],
            [0.1, both[0]![1]],
          ];
    const said: Said[] = [
      ...begun,
      [0.2, { type: 'lidSet', payload: { lid: 'on' } }],
      [0.3, { type: 'heatSet', payload: { fraction: 1 } }],
    ];
    expect(at(of, said, 90).pot.evaporatedKg / kg).toBeCloseTo(0.1, 2);
  });
});

describe('a reading the cook has been asked about already', () => {
  it('is believed however far off it lies, and is not asked about again', () => {
    const cold: Said[] = [...stage(snapshot, 'boil', 0)];
    const reading = (more: object): Said => [
      2,
      { type: 'reading', payload: { kind: 'temperature', value: 92, ...more } },
    ];
    expect(at(snapshot, [...cold, reading({})], 3).questions).toHaveLength(1);
    const sure = at(snapshot, [...cold, reading({ sure: true })], 3);
    expect(sure.questions).toEqual([]);
    expect(sure.pot.tempC).toBeGreaterThan(85);
  });
});

describe('held for service', () => {
  const cooked: Said[] = [
    ...stage(snapshot, 'boil', 0),
    [0.2, { type: 'lidSet', payload: { lid: 'on' } }],
    [0.3, { type: 'heatSet', payload: { fraction: 1 } }],
    [40, { type: 'stageDone', payload: { stageId: 'boil' } }],
    ...stage(snapshot, 'roots', 41),
    [41.2, { type: 'heatSet', payload: { fraction: 0.2 } }],
    [60, { type: 'stageDone', payload: { stageId: 'roots' } }],
    [61, { type: 'stageBegun', payload: { stageId: 'serve' } }],
  ];
  const next = (said: Said[], minute: number) => {
    const state = at(snapshot, said, minute);
    return nextAction(snapshot, state, stageClock(snapshot, state), state.pot.atMs);
  };
  it('wants the heat that holds, never full heat, and says so while it is higher', () => {
    const state = at(snapshot, cooked, 62);
    const serve = snapshot.input.recipe.stages.find((one) => one.id === 'serve')!;
    const held: Stage = { ...serve, heat: { kind: 'hold', simmer: 'justUnder' } };
    expect(state.pot.tempC).toBeGreaterThan(65);
    expect(wantedHeat(state.setup, held, { ...state.pot, tempC: 70 })).toBeLessThan(0.5);
    const full: Said[] = [...cooked, [61.5, { type: 'heatSet', payload: { fraction: 1 } }]];
    expect(next(full, 62)).toMatchObject({ kind: 'heat' });
    expect((next(full, 62) as { fraction: number }).fraction).toBeLessThan(0.5);
  });
  it('left at full heat it calls from any page, ever louder, long before it is a glaze', () => {
    const full: Said[] = [
      ...cooked,
      [61.5, { type: 'heatSet', payload: { fraction: 1 } }],
      [61.6, { type: 'lidSet', payload: { lid: 'off' } }],
    ];
    const before = massKg(at(snapshot, full, 62).pot.mixture);
    const calls = [62, 66, 90, 150].map((minute) => {
      const state = at(snapshot, full, minute);
      const want = next(full, minute);
      const sinceMs = wantedSinceMs(snapshot, logOf(full), state, want, state.pot.atMs);
      return [want.kind, callOf({ batchId: 'b', next: want, snoozedUntilMs: null }, state.pot.atMs, sinceMs)];
    });
    expect(calls[0]![0]).toBe('heat');
    expect(calls[1]).toEqual(['heat', 'late']);
    expect(calls[2]![1]).toBe('urgent');
    expect(calls[3]).toEqual(['losing', 'urgent']);
    const losingFrom = [70, 80, 90, 100, 110, 120, 130].find(
      (minute) => next(full, minute).kind === 'losing',
    )!;
    expect(massKg(at(snapshot, full, losingFrom).pot.mixture)).toBeGreaterThan(0.75 * before);
  });
  it('turned down it calls no more, however much has gone', () => {
    const down: Said[] = [
      ...cooked,
      [61.5, { type: 'heatSet', payload: { fraction: 1 } }],
      [120, { type: 'heatSet', payload: { fraction: 0.1 } }],
    ];
    // an hour on, it asks for a thermometer and for nothing else
    expect(next(down, 121).kind).toBe('check');
    const value = at(snapshot, down, 120.5).pot.tempC;
    const read: Said = [120.5, { type: 'reading', payload: { kind: 'temperature', value } }];
    expect(next([...down, read], 121).kind).toBe('serve');
  });
});
