import { usualLine } from '../isolation';
import type { JobState } from '../job';
import type { Hands } from '../task';
import type { Valve } from '../valve';

/** Whoever finds everything sound and reads what is expected, by eye; `own` is what somebody does otherwise. */
export const plainHands = (step: string, state: JobState, valve: Valve, own: Partial<Hands> = {}): Hands => ({
  step,
  state,
  valve,
  instrument: () => 'hand',
  written: () => 'No. 71',
  line: () => usualLine(valve.features),
  lock: () => ({ lock: `L ${step}`.slice(0, 20), tag: 'T 1' }),
  clock: () => "2 o'clock",
  laid: () => [{ what: 'kit' }],
  details: () => ({
    nps: 3,
    pressureClass: 600,
    ratedPressure: '5000 psig',
    setPressure: '250 psig',
    orifice: 'J',
    stamp: 'UV',
    group: '1.1',
    mediumName: 'Steam',
    bolts: 8,
    thread: '3/4-10',
    seatDiameter: '3 in',
  }),
  finding: () => ({ kind: 'sound' }),
  reading: ({ example }) => example,
  deflection: () => '0 thou',
  blue: () => ({ from: 0, degrees: 360 }),
  click: (setting) => setting,
  leak: ({ of }) => ({ perMinute: 0, of }),
  rigPressure: (pressure) => pressure,
  expected: () => '2026-12-01',
  nextDue: () => '2029-11-24',
  ...own,
});
