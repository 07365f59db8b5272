export { condense, DEVICE_KINDS, type DeviceKind, type Sample } from './condense';
export { lastDisturbedMs } from './last-disturbed-ms';
