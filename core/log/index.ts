export { activeEvents, undoneIds } from './active-events';
export { type AsSaid, asSaid } from './as-said';
export { each, renamed, UnknownVersion, type UpcastStep, upcast, type Written, within } from './upcast';
