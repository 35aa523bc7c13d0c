import type { DriverSettings, ReadingMessage } from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import { learnLine, LONGEST_LINE, type Dimension } from '@dusk-wren/core/quantity';
import type { Source } from './source';

const [EXAMPLE, SHOWS, UNIT] = ['example', 'shows', 'unit'];

/** It is read where it types to. */
async function* nothingHere(): AsyncGenerator<ReadingMessage, void> {
  yield await Promise.resolve({ kind: 'trouble', trouble: { is: 'typed' } });
}

/** A gauge that types its readings as a keyboard does, or sends them over a serial line: how, is learned from one of them. */
function lineGauge(kind: InstrumentKind, dimension: Dimension, units: readonly string[]): Source {
  return {
    driver: `lines of a ${kind}`,
    kind,
    simulated: false,
    settings: [
      { name: EXAMPLE, label: 'A line as it sends it', is: 'text', usual: '', most: LONGEST_LINE },
      { name: SHOWS, label: 'Its face showed then', is: 'number', least: -10_000, most: 10_000, usual: 0 },
      { name: UNIT, label: 'In', is: 'choice', options: [...units], usual: units[0] ?? '' },
    ],
    lines: (settings: DriverSettings) =>
      learnLine(String(settings[EXAMPLE]), {
        ...{ dimension, value: Number(settings[SHOWS]), unit: String(settings[UNIT]) },
      }),
    trial: nothingHere,
    read: nothingHere,
  };
}

export const LINE_GAUGES: readonly Source[] = [
  lineGauge('caliper', 'length', ['mm', 'in', 'thou']),
  lineGauge('dial indicator', 'length', ['mm', 'in', 'thou', 'µm']),
  lineGauge('torque wrench', 'torque', ['N·m', 'lbf·ft', 'lbf·in']),
  lineGauge('thermometer', 'temperature', ['°C', '°F']),
];
