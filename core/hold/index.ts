export { HOLDS_IN, type HoldsIn } from './data/holders';
export { type FirstToGoOff, firstToGoOff } from './goes-off';
export { type HoldDrift, holdDrift } from './hold-drift';
export { type Holder, holderOf, panLitres, pansFor } from './holder';
