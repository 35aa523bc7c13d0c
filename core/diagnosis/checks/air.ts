import { moverOf, opensByAir, positionerOf } from '../../valve';
import { FULL, HALF, SHUT, judged, drive, seen, BY_GAUGE, BY_HAND, BY_TRIAL, type Check } from './check';

/** Share of the supply its plate wants that will still do; signal that stands for full command, percent. */
const SUPPLY_LEAST = 0.9;
const SIGNAL_LEAST = 85;

/** From the supply to the power element. */
export const AIR_CHECKS = {
  supply: {
    title: 'Read the supply gauge, valve moving',
    how: 'While it strokes, not at rest: a blocked filter only shows in flow.',
    minutes: 1,
    invasive: 0,
    results: ['holds', 'low'],
    shows: { 'supply low': 1 },
    sure: BY_GAUGE,
    read: (read) => {
      const { supply, supplyWanted } = read(FULL);
      return judged(supply < SUPPLY_LEAST * supplyWanted);
    },
  },
  signal: {
    title: 'Read the signal at full command',
    how: 'At the positioner, not at the controller.',
    minutes: 2,
    invasive: 0,
    results: ['full', 'low'],
    shows: { 'signal lost': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read(FULL).signal < SIGNAL_LEAST),
  },
  actuator: {
    title: 'Read the actuator’s own gauge at full command',
    how: 'Air all there and no travel: the valve. Air not there: what feeds it.',
    minutes: 2,
    invasive: 0,
    results: ['all there', 'not there'],
    shows: {
      'supply low': 1,
      'signal lost': 1,
      'flapper dirty': 1,
      'relay faulty': 1,
      'positioner out of set': 1,
      'trip solenoid shut': 1,
      'tubing leaks': 1,
      'diaphragm torn': 1,
    },
    sure: BY_GAUGE,
    notFor: ['short of shut'],
    read: (read) => judged(drive(read(FULL)) < 1),
  },
  vented: {
    title: 'Read the actuator’s own gauge at full closing signal',
    how: 'At zero: its spring has it, the valve holds. Air left on: what should let it out.',
    minutes: 2,
    invasive: 0,
    results: ['at zero', 'air left on'],
    shows: { 'positioner out of set': 1 },
    sure: BY_GAUGE,
    of: opensByAir,
    notFor: ['half travel', 'no motion'],
    read: (read) => judged(drive(read(SHUT)) > 0.3),
  },
  'output gauge': {
    title: 'Compare the positioner’s output gauge with the actuator’s',
    how: 'Alike: the line between them is sound. The actuator lower: trip solenoid, tube, fitting.',
    minutes: 2,
    invasive: 0,
    results: ['alike', 'actuator lower'],
    shows: { 'trip solenoid shut': 1, 'tubing leaks': 1 },
    sure: BY_GAUGE,
    of: (features) => positionerOf(features) !== undefined,
    read: (read) => {
      const { output, actuator, driveWanted } = read(FULL);
      return judged(output - actuator > 0.2 * driveWanted);
    },
  },
  feedback: {
    title: 'Look at the positioner against its marks: lever, clamp, cam, zero',
    how: 'A clamp that slipped leaves a bright line beside it; nothing is turned yet.',
    minutes: 2,
    invasive: 0,
    results: ['on its marks', 'slipped'],
    shows: { 'positioner out of set': 1 },
    sure: BY_HAND,
    of: (features) => positionerOf(features) !== undefined,
    read: seen('feedback slipped'),
  },
  'trip solenoid': {
    title: 'Trip solenoid, where there is one: live, and nothing from its exhaust?',
    how: 'Voltage by a qualified person; the exhaust by a wet finger.',
    minutes: 2,
    invasive: 0,
    results: ['live and quiet, or none', 'dead or blowing'],
    shows: { 'trip solenoid shut': 1 },
    sure: BY_HAND,
    read: seen('trip dead'),
  },
  tubing: {
    title: 'Soap every fitting to the actuator, feel along the tube',
    how: 'Command still. Bent flat, frozen or full of oil counts as blocked.',
    minutes: 4,
    invasive: 0,
    results: ['tight and open', 'leaks or blocked'],
    shows: { 'tubing leaks': 1 },
    sure: BY_HAND,
    read: seen('tubing leaks'),
  },
  breather: {
    title: 'Feel and soap the breather and the exhausts',
    how: 'Command still: what blows then goes past diaphragm or piston.',
    minutes: 2,
    invasive: 0,
    results: ['still', 'blows'],
    shows: { 'diaphragm torn': 1, 'piston ring leaks': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read(HALF).breather > 10),
  },
  seals: {
    title: 'Soap the stem and yoke seals of the cylinder',
    how: 'Command still; every joint of the cylinder.',
    minutes: 3,
    invasive: 0,
    results: ['tight', 'bubbles'],
    shows: { 'cylinder seals leak': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read(HALF).sealLeak > 5),
  },
  'cylinder gauges': {
    title: 'Compare the two cylinder gauges at half travel',
    how: 'No pressure in the line: about 75 % of supply, within 5 psi of each other, is right (positioner set-up).',
    minutes: 2,
    invasive: 0,
    results: ['as they should', 'both low', 'far apart'],
    shows: {
      'relay faulty': 1,
      'flapper dirty': 1,
      'supply low': 1,
      'trip solenoid shut': 1,
      'tubing leaks': 1,
      'packing too tight': 2,
      'guides galled': 2,
    },
    sure: BY_GAUGE,
    of: (features) => moverOf(features).positioner === 'side or top',
    read: (read) => {
      const { actuator, below, supplyWanted } = read({ ...HALF, with: 'line bled' });
      if ((actuator + below) / 2 < 0.6 * supplyWanted) return 1;
      return Math.abs(actuator - below) > 0.15 * supplyWanted ? 2 : 0;
    },
  },
  flapper: {
    title: 'Move the flapper by hand, watch the output',
    how: 'Full swing by hand: relay and all behind it are sound, the flapper or its signal is not.',
    minutes: 3,
    invasive: 1,
    results: ['full output', 'weak output'],
    shows: {
      'relay faulty': 1,
      'supply low': 1,
      'diaphragm torn': 1,
      'trip solenoid shut': 1,
      'tubing leaks': 1,
    },
    sure: BY_TRIAL,
    of: (features) => positionerOf(features) !== undefined,
    read: (read) => judged(drive(read({ ...FULL, with: 'flapper held by hand' })) < 1),
  },
} as const satisfies Record<string, Check>;
