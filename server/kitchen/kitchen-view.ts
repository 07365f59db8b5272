import type {
  BurnerView,
  FoodsView,
  InstrumentView,
  KitchenChange,
  KitchenView,
  LearnedView,
  SaidIn,
  WholeKitchen,
} from '../../contract';
import { heatFactorOf } from '../../core/batch';
import { eyePrior } from '../../core/rehearse';
import type { CommandContext } from '../command-context';
import { notFound } from '../problem';
import {
  burnerSums,
  type Db,
  heatTests,
  itemRows,
  type KitchenRow,
  kitchenLogOf,
  kitchenRow,
  lastRehearsals,
  learnedAll,
  mergedId,
  ownIngredientRows,
  priceRows,
  retiredItems,
} from '../storage';

/** What the kitchen says of itself. */
export function settingsOf(db: Db): KitchenRow {
  const row = kitchenRow(db);
  if (!row) throw notFound('kitchen', '1');
  return row;
}

/** The units and the zone that sentences are said in. */
export const saidIn = (db: Db): SaidIn => settingsOf(db);

/** The burners, each with what its closed batches have shown of it. */
export function burnerViews(db: Db): BurnerView[] {
  return itemRows(db, 'burner').map((burner) => ({
    ...burner,
    heatFactor: heatFactorOf(burnerSums(db, burner.id)),
  }));
}

/** The instruments, each as it stood when it was last checked. */
function instrumentViews(db: Db): InstrumentView[] {
  const rows = itemRows(db, 'instrument');
  if (rows.length === 0) return [];
  const checks = kitchenLogOf(db, 'checked');
  return rows.map((row) => {
    const last = checks.findLast((one) => (one.payload as Checked).instrumentId === row.id);
    if (!last) return { ...row, checked: null };
    const { iceC, boilC } = last.payload as Checked;
    return { ...row, checked: { iceC, boilC, atMs: last.actedAtMs } };
  });
}

type Checked = Extract<KitchenChange, { change: 'checked' }>;

/** The kitchen as it stands. */
export function kitchenView({ storage, clock }: Pick<CommandContext, 'storage' | 'clock'>): KitchenView {
  const { db } = storage;
  const isDamaged = storage.integrity() === 'damaged';
  return {
    ...settingsOf(db),
    pots: itemRows(db, 'pot'),
    burners: burnerViews(db),
    services: itemRows(db, 'service'),
    bowls: itemRows(db, 'bowl'),
    ladles: itemRows(db, 'ladle'),
    colds: itemRows(db, 'cold'),
    instruments: instrumentViews(db),
    people: itemRows(db, 'person'),
    supplierList: itemRows(db, 'supplier'),
    storePlaces: itemRows(db, 'storePlace'),
    retired: retiredItems(db),
    heatTests: heatTests(db).map(({ heatFactor: _shown, ...test }) => ({
      ...test,
      burnerId: mergedId(db, 'burner', test.burnerId),
    })),
    clock: clock.view(),
    notices: [...(isDamaged ? [{ code: 'fileDamaged' as const }] : []), ...clock.notices()],
  };
}

/** Foods of the kitchen's own, and prices. */
export function foodsView(db: Db): FoodsView {
  const rows = priceRows(db);
  return {
    pricesCentsPerKg: Object.fromEntries(rows.map((row) => [row.ingredientId, row.centsPerKg])),
    suppliers: Object.fromEntries(
      rows.flatMap((row) => (row.supplier ? [[row.ingredientId, row.supplier]] : [])),
    ),
    ownIngredients: ownIngredientRows(db),
  };
}

/** What pots and burners have shown. */
export const learnedView = (db: Db): LearnedView => ({
  ...learnedAll(db),
  eye: eyePrior(lastRehearsals(db, EYE_FROM).flatMap((one) => one.calls)),
});

/** The newest so many rehearsals show an eye: it gets better. */
const EYE_FROM = 20;

/** The kitchen with all that a plan turns on. */
export function wholeKitchen(context: Pick<CommandContext, 'storage' | 'clock'>): WholeKitchen {
  const { db } = context.storage;
  return { ...kitchenView(context), ...foodsView(db), learned: learnedView(db) };
}
