import { closesByAir, closureOf, moverOf, opensByAir, positionerOf, type Features } from '../valve';
import type { CauseId } from './causes';
import type { Gauges, Read, Sign } from './gauges';
import { priorsOf, type SymptomId } from './symptoms';

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
  /** Symptoms that it only says again, or in which it cannot be tried. */
  readonly notFor?: readonly SymptomId[];
  /** The result, read off gauges. */
  readonly read?: (read: Read) => number;
}

const FULL = { signal: { at: 1, from: 'below' } } as const;
const HALF = { signal: { at: 0.5, from: 'below' } } as const;
const HALF_FROM_ABOVE = { signal: { at: 0.5, from: 'above' } } as const;
const SHUT = { signal: 'shuts' } as const;
const judged = (second: boolean): number => (second ? 1 : 0);

/** Share of the supply its plate wants that will still do; signal that stands for full command, percent. */
const SUPPLY_LEAST = 0.9;
const SIGNAL_LEAST = 85;

/** The air across the power element, as a share of what drives it home. */
const drive = ({ actuator, below, driveWanted }: Gauges): number => (actuator - below) / driveWanted;
const seen = (sign: Sign) => (read: Read) => judged(read(HALF).signs.has(sign));

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
    of: ({ moved }) => 'liftingLever' in moved && moved.liftingLever,
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

/** Checks that these features allow and that tell some causes of the symptom apart. */
export function checksFor(features: Features, symptom: SymptomId): CheckId[] {
  const causes = [...priorsOf(symptom, features).keys()];
  return CHECK_IDS.filter((id) => {
    const { shows, of = () => true, notFor } = checkOf(id);
    return of(features) && !notFor?.includes(symptom) && causes.some((cause) => (shows[cause] ?? 0) > 0);
  });
}
