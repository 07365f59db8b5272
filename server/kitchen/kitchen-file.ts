import { ITEM_KINDS, KITCHEN_FORMAT, type KitchenFile } from '../../contract';
import { type Db, itemRows } from '../storage';
import { settingsOf } from './kitchen-view';

/** The kitchen as one file: all that is its own, without its past. What is retired stays behind. */
export function kitchenFile(db: Db): KitchenFile {
  const { equipment, limits, limitReasons, isDemo: _demo, ...place } = settingsOf(db);
  return {
    format: KITCHEN_FORMAT,
    version: 1,
    place,
    equipment,
    limits,
    limitReasons,
    items: Object.fromEntries(ITEM_KINDS.map((kind) => [kind, itemRows(db, kind)])),
  } as KitchenFile;
}
