export { type BatchCommand, commandOf, upcastCommand } from './batch-command';
export {
  type BatchDecision,
  type BatchFacts,
  decideBatch,
  eventOfCommand,
} from './decide-batch';
export {
  decideHeatTest,
  decideMerge,
  decideRestore,
  decideRetire,
  decideSave,
  decideSigning,
  type ItemFacts,
  type KnownItem,
  type SigningFacts,
} from './decide-kitchen';
export { decideLarder, type LarderDecision, type LarderFacts } from './decide-larder';
export { type BrokenFacts, decideMending, type MendingDecision } from './decide-mending';
export { decidePart, type PartDecision, type PartRequest } from './decide-part';
export { decideOrder, decideStart, type StartDecision, type StartFacts } from './decide-start';
export type { Decision } from './decision';
export type { KitchenFacts } from './kitchen-facts';
export { type Outlook, outlook } from './outlook';
export type { LotUse, Mark, NamedLot, Refusal, RefusalCode } from './refusal';
export { notForGuest, portionHolds } from './refuse-guest';
export { MOST_HOURS_AGO, type SaidAt } from './times';
