import type { LotView } from '../../contract';
import type { LarderEvent, LarderEventBody } from '../../core/larder';
import { impossible } from '../problem';

/** A hand and a scale differ by so much, kg: more than this over what is left is asked to be counted first. */
const SCALE_KG = 0.05;

/** Refuses what cannot have been done on this shelf, with the reason. */
export function refuseImpossibleOnShelf(
  said: LarderEventBody,
  lots: ReadonlyMap<string, LotView>,
  log: readonly LarderEvent[],
  nowMs: number,
): void {
  const lotAt = (field: string, id: string): LotView => {
    const lot = lots.get(id);
    if (!lot) throw impossible(field, `There is no lot “${id}” in the larder.`);
    return lot;
  };
  const isNew = (field: string, id: string) => {
    if (lots.has(id)) throw impossible(field, `There is a lot “${id}” already.`);
  };
  const enough = (field: string, lot: LotView, kg: number) => {
    if (kg > lot.leftKg + SCALE_KG) {
      const sentence = `${nameOf(lot)} has ${lot.leftKg.toFixed(2)} kg left, not ${kg} kg. If there is more, count it first.`;
      throw impossible(field, sentence);
    }
  };
  switch (said.type) {
    case 'delivered':
    case 'found':
      isNew('payload.lotId', said.payload.lotId);
      return;
    case 'moved':
    case 'usePast':
    case 'lotRead':
    case 'counted':
      lotAt('payload.lotId', said.payload.lotId);
      return;
    case 'frozen':
    case 'thawed': {
      const lot = lotAt('payload.lotId', said.payload.lotId);
      const isFrozen = lot.storage === 'frozen';
      if (isFrozen === (said.type === 'frozen'))
        throw impossible('payload.lotId', `${nameOf(lot)} is ${isFrozen ? 'frozen' : 'not frozen'} already.`);
      return;
    }
    case 'split': {
      isNew('payload.toLotId', said.payload.toLotId);
      const lot = lotAt('payload.lotId', said.payload.lotId);
      enough('payload.kg', lot, said.payload.kg);
      return;
    }
    case 'discarded':
    case 'fatLifted': {
      const lot = lotAt('payload.lotId', said.payload.lotId);
      enough('payload.kg', lot, said.payload.kg);
      return;
    }
    case 'blended': {
      isNew('payload.toLotId', said.payload.toLotId);
      const ids = said.payload.parts.map((part) => part.lotId);
      said.payload.parts.forEach((part, i) => {
        if (ids.indexOf(part.lotId) !== i)
          throw impossible(`payload.parts.${i}.lotId`, 'The same lot is named twice.');
        const lot = lotAt(`payload.parts.${i}.lotId`, part.lotId);
        if (lot.storage === 'frozen')
          throw impossible(`payload.parts.${i}.lotId`, `${nameOf(lot)} is frozen: thaw it first.`);
        if (lot.useByMs !== null && lot.useByMs < nowMs && !lot.mayBePast)
          throw impossible(
            `payload.parts.${i}.lotId`,
            `${nameOf(lot)} is past its date: the person in charge says first why it is used.`,
          );
        enough(`payload.parts.${i}.kg`, lot, part.kg);
      });
      return;
    }
    case 'undone':
      if (!log.some((event) => event.id === said.payload.eventId))
        throw impossible('payload.eventId', `There is no event “${said.payload.eventId}” in the larder.`);
  }
}

export const nameOf = (lot: Pick<LotView, 'name' | 'number'>) => `${lot.name}, lot ${lot.number},`;
