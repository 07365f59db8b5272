export { type DrawFirst, drawFirst } from './draw-first';
export { type FreeWay, freeWay, litresToDraw } from './free-of';
export { type GarnishLeft, garnishLeft } from './garnish';
export { pieceOf } from './garnish-unit';
export { grillLoads, type PlannedLoad } from './grill-loads';
export { isGrilled } from './is-grilled';
export {
  type KindAtPass,
  type OrderAtPass,
  type PassBoard,
  partGone,
  passBoard,
  SOME_SERVICE,
  servedOfOrders,
} from './pass-board';
export { type Moments, type WillItLast, willItLast } from './will-it-last';
