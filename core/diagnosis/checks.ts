import { closesByAir, closureOf, moverOf, positionerOf, type Features } from '../valve';
import type { CauseId } from './causes';
import type { Read } from './gauges';

interface Definition {
  readonly title: string;
  readonly how: string;
  readonly minutes: number;
  /** 0 only looks, 1 moves the valve, 2 touches an adjustment, 3 takes something off. */
  readonly invasive: 0 | 1 | 2 | 3;
  readonly results: readonly [string, string, ...string[]];
  /** The result that each cause shows; a cause not named shows the first. */
  readonly shows: Partial<Record<CauseId, number>>;
  /** How often a cause shows what it should, of readings taken (common practice). */
  readonly sure: number;
  readonly of?: (features: Features) => boolean;
  /** The result, read off gauges. */
  readonly read?: (read: Read) => number;
}

const FULL = { signal: { at: 1, from: 'below' } } as const;
const HALF = { signal: { at: 0.5, from: 'below' } } as const;
const HALF_FROM_ABOVE = { signal: { at: 0.5, from: 'above' } } as const;
const SHUT = { signal: 'shuts' } as const;
const judged = (second: boolean): number => (second ? 1 : 0);

/** Supply that a positioner of the usual kind wants at least, psig; signal that stands for full command, percent. */
const SUPPLY_LEAST = 18;
const SIGNAL_LEAST = 85;

/**
 * How often an answer is right: read off an instrument, by eye, ear or hand, and by trying something on the valve, which
 * other things may spoil (common practice).
 */
const BY_GAUGE = 0.97;
const BY_HAND = 0.92;
const BY_TRIAL = 0.88;

/** A look at the scale with the valve called shut; what keeps it off its mark depends on what shuts it. */
const SHUT_MARK = {
  title: 'Read the travel indicator at full closing signal',
  minutes: 1,
  invasive: 0,
  results: ['on the mark', 'short of it'],
  sure: BY_GAUGE,
  read: (read: Read) => judged(read(SHUT).open > 4),
} as const;

/** Everything that can be asked of a valve, and what each answer tells. */
export const CHECKS = {
  supply: {
    title: 'Read the supply gauge, valve moving',
    how: 'While it strokes, not at rest: a blocked filter only shows in flow.',
    minutes: 1,
    invasive: 0,
    results: ['holds', 'low'],
    shows: { 'supply low': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read(FULL).supply < SUPPLY_LEAST),
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
    shows: { 'supply low': 1, 'signal lost': 1, 'flapper dirty': 1, 'relay faulty': 1, 'diaphragm torn': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read(FULL).actuator < 13),
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
    how: 'About 75 % of supply and within 5 psi of each other is right (positioner set-up).',
    minutes: 2,
    invasive: 0,
    results: ['as they should', 'both low'],
    shows: { 'relay faulty': 1, 'flapper dirty': 1, 'supply low': 1 },
    sure: BY_GAUGE,
    of: (features) => moverOf(features).positioner === 'side or top',
    read: (read) => {
      const { actuator, below } = read(HALF);
      return judged((actuator + below) / 2 < 12);
    },
  },
  flapper: {
    title: 'Move the flapper by hand, watch the output',
    how: 'Full swing by hand: relay and all behind it are sound, the flapper or its signal is not.',
    minutes: 3,
    invasive: 1,
    results: ['full output', 'weak output'],
    shows: { 'relay faulty': 1, 'supply low': 1, 'diaphragm torn': 1 },
    sure: BY_TRIAL,
    of: (features) => positionerOf(features) !== undefined,
    read: (read) => judged(read({ ...FULL, with: 'flapper held by hand' }).actuator < 13),
  },
  locks: {
    title: 'Look at locks, stops and handwheel',
    how: 'Nothing pinned, wound in or tied: a minute with the eyes.',
    minutes: 1,
    invasive: 0,
    results: ['free', 'engaged'],
    shows: { 'lock engaged': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read(HALF).lockEngaged),
  },
  friction: {
    title: 'Stroke up and down to half, compare the air it takes',
    how: 'The difference is twice the friction (hysteresis).',
    minutes: 6,
    invasive: 1,
    results: ['little', 'much'],
    shows: { 'packing too tight': 1, 'guides galled': 1 },
    sure: BY_TRIAL,
    read: (read) => {
      const [up, down] = [read(HALF), read(HALF_FROM_ABOVE)];
      return judged(up.actuator - down.actuator > 3.2);
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
      return judged(before.actuator - after.actuator > 1.5);
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
    read: (read) => judged(!read(SHUT).weepHoleClear),
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
      return judged((up.stroke + down.stroke) / 2 < 38);
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
  'shut mark': {
    ...SHUT_MARK,
    how: 'The spring shuts it: short of its mark is friction, or something under the plug.',
    shows: {
      debris: 1,
      'bottom guide blocked': 1,
      'packing too tight': 1,
      'guides galled': 1,
      'lock engaged': 1,
    },
    of: (features) => !closesByAir(features),
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
      'bench set wrong': 1,
      debris: 1,
      'bottom guide blocked': 1,
      'lock engaged': 1,
    },
    of: closesByAir,
  },
  manual: {
    title: 'Loop in manual: does it stand still?',
    how: 'A valve that stands still in manual is not the one that hunts.',
    minutes: 2,
    invasive: 0,
    results: ['still swings', 'stands still'],
    shows: { 'oversize or process': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read({ ...HALF, with: 'loop in manual' }).swing < 2),
  },
  gain: {
    title: 'Turn the gain down by a third',
    how: 'Note where it stood. Steady now: it was too high.',
    minutes: 5,
    invasive: 2,
    results: ['swings on', 'steadies'],
    shows: { 'gain too high': 1 },
    sure: BY_TRIAL,
    of: (features) => positionerOf(features) !== undefined,
    read: (read) => judged(read({ ...HALF, with: 'gain turned down' }).swing < 2),
  },
  'gland look': {
    title: 'Look at the gland: flange, threads left, stem',
    how: 'Flange bottomed or nuts at the end of their thread: used up. A line on the stem: scored.',
    minutes: 2,
    invasive: 0,
    results: ['room left, stem clean', 'bottomed', 'stem scored'],
    shows: { 'packing used up': 1, 'stem scored': 2 },
    sure: BY_HAND,
  },
  'gland nuts': {
    title: 'Try the gland nuts by hand',
    how: 'They turn with the fingers: slack. Even on both sides?',
    minutes: 1,
    invasive: 0,
    results: ['tight', 'slack'],
    shows: { 'gland slack': 1 },
    sure: BY_HAND,
  },
  lubricate: {
    title: 'Five or six turns of the lubricator, stroke, watch',
    how: 'Isolating valve shut, stick in, five or six turns, valve open, force it in.',
    minutes: 10,
    invasive: 1,
    results: ['leaks on', 'holds'],
    shows: { 'packing dry': 1 },
    sure: BY_TRIAL,
    of: ({ lantern }) => lantern.kind === 'lantern-ring' && lantern.lubricator,
  },
  lever: {
    title: 'Measure where the weight sits against its reckoned place',
    how: 'Working lever.weight gives the place for the head wanted.',
    minutes: 3,
    invasive: 0,
    results: ['in its place', 'moved'],
    shows: { 'weight moved': 1 },
    sure: BY_HAND,
  },
  'needle valve': {
    title: 'Open the needle valve of the drip pot',
    how: 'It drips: the pot is clear. Nothing: blocked.',
    minutes: 3,
    invasive: 1,
    results: ['drips', 'nothing'],
    shows: { 'pot blocked': 1, 'hole blocked': 1 },
    sure: BY_HAND,
  },
  'pot off': {
    title: 'Drip pot off: does the hole behind it breathe?',
    how: 'Depressured first.',
    minutes: 12,
    invasive: 3,
    results: ['breathes', 'does not'],
    shows: { 'hole blocked': 1 },
    sure: BY_HAND,
  },
  'listen shut': {
    title: 'Listen at the outlet, lever held shut by hand',
    how: 'It passes still: seat or dirt. Silent: lever and diaphragm.',
    minutes: 2,
    invasive: 0,
    results: ['silent', 'passes still'],
    shows: { 'seat worn': 1, debris: 1 },
    sure: BY_HAND,
    of: (features) => moverOf(features).weight === true,
  },
  coil: {
    title: 'Voltage at the coil, and a click?',
    how: 'By a qualified person; a screwdriver near the coil is pulled.',
    minutes: 3,
    invasive: 0,
    results: ['clicks', 'does not'],
    shows: { 'armature stuck': 1 },
    sure: BY_HAND,
  },
  'pilot breath': {
    title: 'Coil on and off: does the pilot breathe?',
    how: 'A short breath at the pilot port each time.',
    minutes: 3,
    invasive: 1,
    results: ['breathes', 'does not'],
    shows: { 'pilot orifice dirty': 1, 'armature stuck': 1 },
    sure: BY_HAND,
  },
  light: {
    title: 'Equalising orifice to the light',
    how: 'Depressured, cover off: no light is blocked.',
    minutes: 12,
    invasive: 3,
    results: ['light through', 'blocked'],
    shows: { 'equalising orifice blocked': 1 },
    sure: BY_HAND,
  },
  margin: {
    title: 'Operating pressure against set pressure',
    how: 'Above about nine tenths of set it simmers (API 520 practice, from memory).',
    minutes: 1,
    invasive: 0,
    results: ['margin left', 'too close'],
    shows: { 'runs near set': 1 },
    sure: BY_HAND,
  },
  'seat flush': {
    title: 'Lift it by its lever at three quarters of set, listen again',
    how: 'Where the site allows it; dirt is blown off, wear is not.',
    minutes: 4,
    invasive: 1,
    results: ['weeps on', 'tight'],
    shows: { debris: 1 },
    sure: BY_TRIAL,
    of: (features) => moverOf(features).setBySpring === true,
  },
  'piping strain': {
    title: 'Loosen the outlet flange: does the weep change?',
    how: 'Blocked and vented first; a flange that springs apart strains the body.',
    minutes: 25,
    invasive: 3,
    results: ['the same', 'changes'],
    shows: { misaligned: 1 },
    sure: BY_HAND,
  },
} as const satisfies Record<string, Definition>;

export type CheckId = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as [CheckId, ...CheckId[]];

export function checkOf(id: CheckId): Definition {
  return CHECKS[id];
}

/** Chance that a valve with this cause shows this result. */
export function likelihood(check: CheckId, cause: CauseId, result: number): number {
  const { results, shows, sure } = checkOf(check);
  const expected = shows[cause] ?? 0;
  return result === expected ? sure : (1 - sure) / (results.length - 1);
}

/** Checks that these features allow and that tell some of these causes apart. */
export function checksFor(features: Features, causes: readonly CauseId[]): CheckId[] {
  return CHECK_IDS.filter((id) => {
    const { shows, of = () => true } = checkOf(id);
    const told = causes.filter((cause) => (shows[cause] ?? 0) > 0);
    return of(features) && told.length > 0;
  });
}
