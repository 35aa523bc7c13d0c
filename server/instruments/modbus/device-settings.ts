import type { DriverSetting, DriverSettings } from '@dusk-wren/contract';
import { ORDER_SETTING } from './channel';
import { Device } from './line';

const [ADDRESS, PORT, UNIT, OFTEN, FROZEN] = ['address', 'port', 'unit', 'a second', 'frozen after'];
/** As the specification has it: the registered port of Modbus, and the unit of a device that has none behind it. */
const [MODBUS_PORT, ITSELF] = [502, 1];

/** Where a device is and how it is read, on every driver of one. */
export const DEVICE_SETTINGS: readonly DriverSetting[] = [
  { name: ADDRESS, label: 'Address', is: 'address', usual: '127.0.0.1' },
  { name: PORT, label: 'Port', is: 'number', least: 1, most: 65_535, usual: MODBUS_PORT, whole: true },
  { name: UNIT, label: 'Unit', is: 'number', least: 0, most: 255, usual: ITSELF, whole: true },
  ORDER_SETTING,
  { name: OFTEN, label: 'Readings a second', is: 'number', least: 0.5, most: 20, usual: 5 },
  {
    ...{ name: FROZEN, label: 'Frozen after, s', is: 'number' },
    ...{ least: 0, most: 3600, usual: 30 },
  },
];

/** The device of these settings, and how it is watched. */
export function deviceOf(settings: DriverSettings) {
  const device = new Device({
    host: String(settings[ADDRESS]),
    port: Number(settings[PORT]),
    unit: Number(settings[UNIT]),
  });
  return { device, aSecond: Number(settings[OFTEN]), frozenAfter: Number(settings[FROZEN]) };
}
