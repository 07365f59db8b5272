export {
  BONES_KG_PER_M2,
  BROWNING_KG_PER_M2,
  BROWNING_MIN,
  type Equipment,
  HOT_FILL,
  JAR_MIN,
  ROUX_C,
  ROUX_DEPTH_CM,
  ROUX_HEAT_SHARE,
  ROUX_MATTER,
  ROUX_MIN,
  STICK_BLENDER,
} from './data/equipment';
export { type DoseLaw, firstDose, isDosed } from './first-dose';
export { CUTTING_MIN_PER_KG, type GarlicCut, garlicCutOf, garlicStrength } from './garlic-strength';
export { sweatingFatKg } from './sweating-fat-kg';
