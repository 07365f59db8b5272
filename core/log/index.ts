export { activeEvents, undoneIds } from './active-events';
export { type AsSaid, asSaid } from './as-said';
export { renamed, UnknownVersion, type UpcastStep, upcast, type Written } from './upcast';
