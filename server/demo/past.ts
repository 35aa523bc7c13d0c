import { inches, psig, thou } from '@dusk-wren/core/quantity';
import type { Valve } from '@dusk-wren/core/valve';
import { BRINE, FEED, JUICE, STEAM, valveOf } from './other-constructions';
import { FIELD, HEAT, SHELF, SUGAR } from './scenario';
import type { Story } from './story';

/** A job that is over: what is told of it, and nothing else was found. */
export type Visit = Pick<Story, 'reported' | 'technician'> &
  Partial<Pick<Story, 'finds' | 'seatDepth' | 'bluedDegrees' | 'readings' | 'placed' | 'leaves'>> & {
    readonly daysAgo: number;
  };

/** A valve that was here before, with its jobs, the oldest first. */
export interface PastValve {
  readonly valve: Valve;
  readonly visits: readonly Visit[];
}

function onShelf(tag: string): Valve {
  const valve = SHELF.find((each) => each.tag === tag);
  if (!valve) throw new Error(`no valve ${tag} on file`);
  return valve;
}

/** A seat that loses metal at every overhaul, and is nearly used up. */
function losingStock(): PastValve {
  const valve = onShelf('HV-2231');
  const { seat } = valve.features;
  if (!('face' in seat)) throw new Error('its seat is of metal');
  const cut = (daysAgo: number, depth: string, off: string, technician: number): Visit => ({
    ...{ daysAgo, technician, reported: 'Passes when shut', seatDepth: depth, bluedDegrees: 250 },
    readings: { 'metal taken off the seat': off },
    placed: { symptom: 'passes when shut', cause: 'seat worn' },
  });
  return {
    valve: { ...valve, features: { ...valve.features, seat: { ...seat, stock: inches(0.03) } } },
    visits: [
      cut(2890, '0.0036 in', '0.0048 in', 0),
      cut(2230, '0.0041 in', '0.0052 in', 1),
      cut(1580, '0.0044 in', '0.0055 in', 0),
      cut(910, '0.0047 in', '0.0058 in', 2),
      cut(240, '0.0045 in', '0.0056 in', 1),
    ],
  };
}

/** A safety valve as its pop test found it. */
function popped(set: number, at: number, shut = 0.94, simmer = 0.97): NonNullable<Visit['readings']> {
  return {
    'set pressure, as found': `${at} psig`,
    'reseat, as found': `${Math.round(set * shut)} psig`,
    'first leak, as found': `${Math.round(at * simmer)} psig`,
    'free length': '4.52 in',
    'out of square': '0.02 in',
  };
}

function safety(tag: string, serial: string, location: string, set: number): Valve {
  const plate = { setPressure: psig(set), orifice: 'J', stamp: 'UV' } as const;
  const told = { tag, serial, location, construction: 'relief-spring', medium: STEAM, plate } as const;
  return valveOf(told, HEAT);
}

const interval = (daysAgo: number, technician: number, readings: NonNullable<Visit['readings']>): Visit => ({
  ...{ daysAgo, technician, reported: 'Interval', readings },
});

/** When the produced water had eaten them: days ago, a row a valve. */
const EATEN = [
  [2310, 1750, 900, 150],
  [2250, 1480, 1010, 260],
  [2400, 1600, 820, 90],
  [2150, 1530, 700, 200],
] as const;

/** Every valve with a past; what became of each is a story of the charts. */
export const PAST: readonly PastValve[] = [
  losingStock(),
  // Always found good: its interval is longer than the site’s.
  {
    valve: safety('PSV-121', 'Y 7 1210', 'exchanger 2, shell', 300),
    visits: [
      interval(2600, 0, popped(300, 302)),
      interval(1500, 1, popped(300, 299)),
      interval(420, 2, popped(300, 301)),
    ],
  },
  // Found high, then stuck: on the shortest rung.
  {
    valve: safety('PSV-122', 'Y 7 1222', 'exchanger 3, shell', 300),
    visits: [
      interval(2500, 1, popped(300, 301)),
      interval(1400, 1, popped(300, 318)),
      {
        ...interval(300, 3, popped(300, 460, 0.8)),
        finds: { 'disc holder': { kind: 'galled' } },
      },
    ],
  },
  // A repair that came back: the gland, repacked over a scored stem.
  {
    valve: valveOf(
      {
        ...{ tag: 'FV-61', serial: 'C 61 020', location: 'evaporator 2, level', medium: JUICE },
        construction: 'control-globe-double-seat',
      },
      SUGAR,
    ),
    visits: [
      { daysAgo: 1700, technician: 2, reported: 'Interval' },
      {
        ...{ daysAgo: 660, technician: 2, reported: 'Gland leaks' },
        placed: { symptom: 'gland leaks', cause: 'packing used up' },
      },
      {
        ...{ daysAgo: 612, technician: 0, reported: 'Gland leaks again, six weeks after' },
        placed: { symptom: 'gland leaks', cause: 'stem scored' },
        finds: { stem: { kind: 'stem mark', zone: 'packing zone' } },
        leaves: { what: 'the bushing of the yoke has play: to be renewed with the next stop', months: 22 },
      },
    ],
  },
  // One pattern across a customer’s valves: produced water eats their seats.
  ...['WF-09', 'WF-21', 'WF-22', 'WF-23'].map((tag, i): PastValve => ({
    valve: {
      ...onShelf('WF-09'),
      ...{ tag, serial: `K 61 0${String(9 + 12 * i).padStart(2, '0')}` },
      location: `water injection, train ${'BCDE'[i] ?? 'B'}`,
    },
    visits: (EATEN[i] ?? []).map((daysAgo, k) => ({
      ...{ daysAgo, technician: (i + k) % 4, reported: 'Passes when shut' },
      placed: { symptom: 'passes when shut', cause: 'seat worn' },
      finds: { disc: { kind: 'seat damage', form: 'pitted', depth: thou(45) } },
      bluedDegrees: 200,
    })),
  })),
  {
    valve: onShelf('DH-431'),
    visits: [
      { daysAgo: 1900, technician: 3, reported: 'Interval' },
      { daysAgo: 500, technician: 3, reported: 'Interval' },
    ],
  },
  {
    valve: valveOf(
      {
        ...{ tag: 'CV-14', serial: 'N 14 771', location: 'feed pump 2', medium: FEED },
        construction: 'check-swing',
      },
      HEAT,
    ),
    visits: [
      { daysAgo: 2100, technician: 1, reported: 'Interval' },
      {
        daysAgo: 700,
        technician: 0,
        reported: 'Hammers when the pump stops',
        finds: { 'hinge pin': { kind: 'worn' } },
      },
    ],
  },
  {
    valve: valveOf(
      {
        ...{ tag: 'LV-08', serial: 'D 8 0080', location: 'knock-out drum 3', medium: BRINE },
        construction: 'dump-weight-lever',
      },
      FIELD,
    ),
    visits: [
      { daysAgo: 1300, technician: 0, reported: 'Dumps early' },
      { daysAgo: 200, technician: 3, reported: 'Interval' },
    ],
  },
];
