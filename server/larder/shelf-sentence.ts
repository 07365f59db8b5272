import type { LotView } from '../../contract';
import type { Larder, LarderEvent } from '../../core/larder';

/** What was done on the shelf, as one sentence. */
export function shelfSentence(event: LarderEvent, larder: Larder, viewOf: (id: string) => LotView): string {
  const lotName = (id: string) =>
    larder.lots.has(id) ? `lot ${viewOf(id).number}` : 'a lot that was taken back';
  switch (event.type) {
    case 'delivered': {
      const { kg, supplier, arrivedC, tag } = event.payload;
      const warm = arrivedC === undefined ? '' : ` at ${arrivedC} °C`;
      return `${kg} kg delivered by ${supplier}${warm}${tag ? `, tag ${tag}` : ''}`;
    }
    case 'found':
      return `${event.payload.kg} kg found on the shelf: ${event.payload.note}`;
    case 'moved':
      return `Moved to ${event.payload.place}`;
    case 'frozen':
      return `Frozen, ${event.payload.place}: its days stand still`;
    case 'thawed':
      return `Thawed, ${event.payload.place}: its days run on`;
    case 'split':
      return `${event.payload.kg} kg parted off as ${lotName(event.payload.toLotId)}, ${event.payload.place}`;
    case 'blended': {
      const { parts, waterKg, toLotId } = event.payload;
      const poured = parts.map((part) => `${part.kg} kg of ${lotName(part.lotId)}`).join(', ');
      return `${poured}${waterKg > 0 ? `, ${waterKg} kg water` : ''} poured together as ${lotName(toLotId)}`;
    }
    case 'fatLifted':
      return `${event.payload.kg} kg of set fat lifted`;
    case 'lotRead':
      return readSentence(event.payload);
    case 'discarded':
      return `${event.payload.kg} kg thrown away: ${event.payload.reason}`;
    case 'counted':
      return `Counted: ${event.payload.kg} kg there. ${event.payload.note}`;
    case 'usePast':
      return `May be used past its date: ${event.payload.reason} (${event.payload.by})`;
    case 'undone':
      return 'Took something back';
  }
}

function readSentence(payload: Extract<LarderEvent, { type: 'lotRead' }>['payload']): string {
  switch (payload.kind) {
    case 'brix':
      return `Read ${payload.value} °Brix`;
    case 'salt':
      return `Read ${payload.value} % salt`;
    case 'temperature':
      return `Read ${payload.value} °C`;
    case 'set':
      return payload.sets ? 'Set when cold' : 'Stayed liquid when cold';
  }
}
