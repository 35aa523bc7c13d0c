import { closesByAir, closureOf, moverOf, opensByAir } from '../../valve';
import type { Read } from '../gauges';
import {
  HALF,
  HALF_FROM_ABOVE,
  SHUT,
  judged,
  drive,
  seen,
  BY_GAUGE,
  BY_HAND,
  BY_TRIAL,
  type Check,
} from './check';

/** A look at the scale with the valve called shut; what keeps it off its mark depends on what shuts it. */
const SHUT_MARK = {
  title: 'Read the travel indicator at full closing signal',
  minutes: 1,
  invasive: 0,
  results: ['on the mark', 'short of it'],
  sure: BY_GAUGE,
  read: (read: Read) => judged(read(SHUT).open > 4),
} as const;
/** The valve itself: linkage, guides and trim. */
export const VALVE_CHECKS = {
  locks: {
    title: 'Look at locks, stops and handwheel',
    how: 'Nothing pinned, wound in or tied: a minute with the eyes.',
    minutes: 1,
    invasive: 0,
    results: ['free', 'engaged'],
    shows: { 'lock engaged': 1 },
    sure: BY_GAUGE,
    read: seen('lock engaged'),
  },
  friction: {
    title: 'Stroke up and down to half, compare the air it takes',
    how: 'The difference is twice the friction (hysteresis).',
    minutes: 6,
    invasive: 1,
    results: ['little', 'much'],
    shows: { 'packing too tight': 1, 'guides galled': 1 },
    sure: BY_TRIAL,
    of: (features) => moverOf(features).byAir === true,
    read: (read) => {
      const [up, down] = [read(HALF), read(HALF_FROM_ABOVE)];
      return judged(drive(up) - drive(down) > 0.25);
    },
  },
  'slack the gland': {
    title: 'Slack the gland a flat, try again',
    how: 'Only where the process allows a weep; back to its figure afterwards.',
    minutes: 10,
    invasive: 2,
    results: ['no better', 'goes further'],
    shows: { 'packing too tight': 1 },
    sure: BY_TRIAL,
    read: (read) => {
      const [before, after] = [read(HALF), read({ ...HALF, with: 'gland slacked' })];
      return judged(drive(before) - drive(after) > 0.12);
    },
  },
  'weep hole': {
    title: 'Rod the weep hole of the bottom guide',
    how: 'Depressured or with the valve of the drain on: the rod goes through or it does not.',
    minutes: 5,
    invasive: 1,
    results: ['clear', 'blocked'],
    shows: { 'bottom guide blocked': 1 },
    sure: BY_GAUGE,
    of: (features) => closureOf(features).guides === 'top and bottom',
    read: seen('weep hole blocked'),
  },
  'bench set': {
    title: 'Regulated air straight on: where does it start and end?',
    how: 'Against the plate, with no process load.',
    minutes: 12,
    invasive: 2,
    results: ['by the plate', 'shifted'],
    shows: { 'bench set wrong': 1 },
    sure: BY_TRIAL,
    of: ({ moved }) => 'action' in moved,
    read: (read) => {
      const up = read({ ...HALF, with: 'regulated air straight on' });
      const down = read({ ...HALF_FROM_ABOVE, with: 'regulated air straight on' });
      return judged(Math.abs((up.stroke + down.stroke) / 2 - 50) > 12);
    },
  },
  flush: {
    title: 'Stroke it wide twice to flush the seat, measure the leak again',
    how: 'What comes off was lying there; what stays is worn in.',
    minutes: 8,
    invasive: 1,
    results: ['leaks the same', 'leaks less'],
    shows: { debris: 1 },
    sure: BY_TRIAL,
    read: (read) => {
      const [before, after] = [read(SHUT).leak, read({ ...SHUT, with: 'flushed' }).leak];
      return judged(after < 0.6 * before);
    },
  },
  'run down': {
    title: 'Is it truly seated? Run the plug down by its lock nuts',
    how: 'Block and bypass; lock nuts run down and locked; turn the stem by them at full closing signal until it is felt to seat. Never on the seat.',
    minutes: 15,
    invasive: 2,
    results: ['seated already', 'went further and held'],
    shows: { 'coupled short': 1 },
    sure: BY_TRIAL,
    of: ({ moved }) => 'coupling' in moved && moved.coupling === 'screwed',
    read: (read) => {
      const [before, after] = [read(SHUT).leak, read({ ...SHUT, with: 'run down by the lock nuts' }).leak];
      return judged(after < 0.4 * before);
    },
  },
  'more force': {
    title: 'A little more closing force: does the leak fall?',
    how: 'A few psi, and never on a closure that a stop places. What is worn or cut leaks on.',
    minutes: 4,
    invasive: 1,
    results: ['leaks the same', 'leaks less'],
    shows: { 'bench set wrong': 1 },
    sure: BY_TRIAL,
    of: ({ moved, limits }) => 'action' in moved && limits.kind === 'none',
    notFor: ['half travel', 'short of shut', 'no motion', 'sluggish'],
    read: (read) => {
      const [before, after] = [read(SHUT).leak, read({ ...SHUT, with: 'more closing force' }).leak];
      return judged(after < 0.6 * before);
    },
  },
  sealant: {
    title: 'Turn sealant in, work the plug to and fro, measure again',
    how: 'Until the screw stiffens; the right sealant for the medium.',
    minutes: 8,
    invasive: 1,
    results: ['leaks the same', 'leaks less'],
    shows: { 'sealant used up': 1 },
    sure: BY_TRIAL,
    of: ({ lubrication }) => lubrication.kind === 'sealant',
  },
  'shaft mark': {
    title: 'Look at the mark on the shaft’s end, called shut',
    how: 'Square across the flow, or by the maker’s mark: the closure itself, not the pointer.',
    minutes: 2,
    invasive: 0,
    results: ['on its mark', 'short or past'],
    shows: { 'closed stop out': 1 },
    sure: BY_HAND,
    of: ({ stem }) => stem.motion === 'rotary',
    read: seen('shaft off its mark'),
  },
  answers: {
    title: 'Stroke it: does the flow answer?',
    how: 'Stem and pointer go and the flow stays as it is: the closure is loose on its stem.',
    minutes: 3,
    invasive: 1,
    results: ['answers', 'does not'],
    shows: { 'pin sheared': 1 },
    sure: BY_HAND,
    read: seen('flow does not answer'),
  },
  play: {
    title: 'Push the stem sideways at the gland',
    how: 'By hand, both ways: it should not be felt to move.',
    minutes: 1,
    invasive: 0,
    results: ['no play', 'moves'],
    shows: { 'bushing worn': 1 },
    sure: BY_HAND,
    read: seen('stem moves sideways'),
  },
  drops: {
    title: 'Flow off: does the disc drop, with its knock?',
    how: 'A hand or a listening rod on the body.',
    minutes: 2,
    invasive: 0,
    results: ['drops', 'hangs'],
    shows: { 'insert stiff': 1 },
    sure: BY_HAND,
  },
  opened: {
    title: 'Open it: seals, gaskets and soft seats looked at',
    how: 'Isolated and at zero. A cut, a track, a face pressed flat; then wear is what is left.',
    minutes: 60,
    invasive: 3,
    results: ['none of these', 'seal cut or hard', 'gasket tracked', 'soft seat cut'],
    shows: { 'balance seal leaks': 1, 'seat gasket leaks': 2, 'soft seat cut': 3 },
    sure: BY_GAUGE,
    read: (read) => {
      const { signs } = read(HALF);
      return signs.has('seal cut') ? 1 : signs.has('gasket tracked') ? 2 : signs.has('soft seat cut') ? 3 : 0;
    },
  },
  'shut mark': {
    ...SHUT_MARK,
    how: 'Its spring alone brings it there: short of its mark is friction.',
    shows: { 'packing too tight': 1, 'guides galled': 1 },
    of: opensByAir,
    notFor: ['short of shut', 'no motion', 'passes when shut'],
  },
  'shut mark by air': {
    ...SHUT_MARK,
    how: 'Air shuts it: short of its mark is too little air, or something under the plug.',
    shows: {
      'supply low': 1,
      'signal lost': 1,
      'flapper dirty': 1,
      'relay faulty': 1,
      'diaphragm torn': 1,
      'positioner out of set': 1,
      'trip solenoid shut': 1,
      'tubing leaks': 1,
      'bench set wrong': 1,
      'closed stop out': 1,
      debris: 1,
      'bottom guide blocked': 1,
      'lock engaged': 1,
    },
    of: closesByAir,
    notFor: ['half travel', 'no motion', 'passes when shut'],
  },
} as const satisfies Record<string, Check>;
