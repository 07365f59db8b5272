import type { CommandContext } from './command-context';
import type { DeviceHub } from './devices/device-hub';
import type { SimulatedDevices } from './devices/simulated/simulated-devices';
import type { FileReader } from './files/file-reader';
import type { SimulatedTill } from './pass/simulated-till';

/** What every route works with. */
export interface ServerContext extends CommandContext {
  devices: DeviceHub;
  simulatedDevices: SimulatedDevices;
  till: SimulatedTill;
  files: FileReader;
}
