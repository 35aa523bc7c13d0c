import { capital, thou } from '../../quantity';
import {
  closureOf,
  packedBox,
  PART_CATALOGUE,
  type Features,
  type Part,
  type PartKind,
  type PartRole,
} from '../../valve';
import { slug } from '../blocks/arrival';
import type { Draft } from '../draft';
import type { LookChoice } from '../../task';
import { stepName, type StepName } from '../relations';

const SOUND: LookChoice = { label: 'Nothing found', finding: { kind: 'sound' } };
const UNSURE: LookChoice = {
  label: 'Not sure: ask',
  finding: { kind: 'unsure', what: 'not sure what this is' },
};
const CRACKED: LookChoice = { label: 'Cracked', finding: { kind: 'cracked' } };
const WORN: LookChoice = { label: 'Worn', finding: { kind: 'worn' } };
const SCORED: LookChoice = { label: 'Scored', finding: { kind: 'scored' } };
const GALLED: LookChoice = { label: 'Scored or galled', finding: { kind: 'galled' } };
const BENT: LookChoice = { label: 'Bent', finding: { kind: 'bent' } };
const LIGHT_MARKS: LookChoice = { label: 'Minor marks', finding: { kind: 'light marks' } };
const BLOCKED: LookChoice = { label: 'Dirty or blocked', finding: { kind: 'blocked' } };
const THREAD: LookChoice = { label: 'Thread worn', finding: { kind: 'thread worn' } };
const DEEP: LookChoice = { label: 'Deep corrosion', finding: { kind: 'corroded', degree: 'deep' } };
const POCKET: LookChoice = {
  label: 'Corroded where the seat meets it',
  finding: { kind: 'seat pocket corroded' },
};
const asked = (label: string, finding: LookChoice['finding']): LookChoice => ({
  label,
  finding,
  asksDepth: true,
});

const SEATING: readonly LookChoice[] = [
  asked('Wire drawn', { kind: 'seat damage', form: 'wire drawn', depth: thou(0) }),
  asked('Pitted', { kind: 'seat damage', form: 'pitted', depth: thou(0) }),
  asked('Dented', { kind: 'seat damage', form: 'dented', depth: thou(0) }),
  asked('Worn to one side', { kind: 'seat damage', form: 'worn to one side', depth: thou(0) }),
  CRACKED,
];

const JOINT_FACE: readonly LookChoice[] = [
  asked('Steam cut', { kind: 'joint face damage', form: 'steam cut', depth: thou(0) }),
  asked('Pit', { kind: 'joint face damage', form: 'pit', depth: thou(0) }),
  { label: 'Light corrosion', finding: { kind: 'corroded', degree: 'light' } },
  DEEP,
  CRACKED,
];

const STEM: readonly LookChoice[] = [
  { label: 'Marked where packing runs', finding: { kind: 'stem mark', zone: 'packing zone' } },
  { label: 'Marked below the backseat', finding: { kind: 'stem mark', zone: 'below the backseat' } },
  { label: 'Thread marked', finding: { kind: 'stem mark', zone: 'thread' } },
  CRACKED,
];

/** What may be said of a part of each kind, and why it is looked at. */
const BY_KIND: Readonly<Record<PartKind, { why: string; choices: readonly LookChoice[] }>> = {
  seating: { why: 'The deepest mark decides how it is put right.', choices: SEATING },
  'soft seating': {
    why: 'A soft seat that is cut or flattened is not dressed.',
    choices: [{ label: 'Cut or flattened', finding: { kind: 'cut seal', form: 'cut' } }, WORN],
  },
  joint: { why: 'A cut across the face leaks past any gasket.', choices: JOINT_FACE },
  stem: { why: 'What matters is whether packing runs there.', choices: STEM },
  shaft: {
    why: 'A bent or worn shaft carries what it turns out of place.',
    choices: [BENT, WORN, SCORED, CRACKED],
  },
  gasket: { why: 'Once crushed it does not seal again.', choices: [CRACKED] },
  seal: {
    why: 'A nick or a flat leaks.',
    choices: [
      { label: 'Nicked', finding: { kind: 'cut seal', form: 'nick' } },
      { label: 'Cut', finding: { kind: 'cut seal', form: 'cut' } },
      { label: 'Flattened', finding: { kind: 'cut seal', form: 'flat' } },
    ],
  },
  packing: { why: 'How it came out says how it ran.', choices: [WORN] },
  fastener: { why: 'A stretched or corroded stud gives a torque and no load.', choices: [DEEP, THREAD] },
  thread: { why: 'Its thread carries the whole load.', choices: [THREAD, CRACKED] },
  gland: { why: 'A scored or oval gland marks what runs through it.', choices: [SCORED, CRACKED] },
  guide: { why: 'What runs in a galled guide sticks.', choices: [GALLED, WORN, CRACKED] },
  spring: {
    why: 'A fracture hides in the end coils.',
    choices: [
      { label: 'Fractured', finding: { kind: 'spring fault', form: 'fractured' } },
      { label: 'Taken a set', finding: { kind: 'spring fault', form: 'set' } },
      { label: 'Out of square', finding: { kind: 'spring fault', form: 'out of square' } },
    ],
  },
  diaphragm: {
    why: 'Hold it to the light and flex it: a pinhole or a hard place is the end of it.',
    choices: [
      { label: 'Hole', finding: { kind: 'torn', form: 'hole' } },
      { label: 'Crack', finding: { kind: 'torn', form: 'crack' } },
      { label: 'Tear', finding: { kind: 'torn', form: 'tear' } },
      { label: 'Gone hard', finding: { kind: 'torn', form: 'hardened' } },
    ],
  },
  bore: { why: 'A scored bore cuts every new seal.', choices: [SCORED, WORN, CRACKED] },
  port: { why: 'Dirt in a small hole stops the whole valve.', choices: [BLOCKED, SCORED, WORN] },
  insert: {
    why: 'It must slide freely in the valve.',
    choices: [{ label: 'Stiff', finding: { kind: 'stiff' } }, LIGHT_MARKS, GALLED],
  },
  pin: { why: 'A worn pin is lost motion.', choices: [WORN, BENT, CRACKED] },
  plain: { why: 'It goes back as it came off, or not at all.', choices: [WORN, CRACKED] },
  assembly: { why: 'It goes back as it came off, or not at all.', choices: [WORN, CRACKED] },
};

interface Look {
  /** Its step's id, where the part's name is not used. */
  readonly id?: string;
  readonly title: string;
  readonly why?: string;
  readonly minutes?: number;
  readonly choices?: readonly LookChoice[];
}

/** Parts that are looked at in words of their own. */
const LOOKS: Partial<Record<PartRole, Look>> = {
  stem: { title: 'Stem: marks, and where they are' },
  'stem bushing': {
    id: 'inspect.bushing',
    title: 'Threads of the stem bushing',
    why: 'Worn through, system pressure pushes the valve open and it can no longer be closed.',
  },
  gland: { title: 'Gland: bore and end', why: 'Scored or oval it marks the new stem.', minutes: 3 },
  'bonnet studs': { id: 'inspect.studs', title: 'Studs and nuts' },
  bonnet: { id: 'inspect.bonnet-face', title: 'Joint face of the bonnet' },
  body: {
    id: 'inspect.body-face',
    title: 'Body: joint face, flanges, walls, guides, seat pocket',
    why: 'A cut across the face leaks past any gasket; corroded under a seat, no seat will seal in it.',
    minutes: 8,
    choices: [...JOINT_FACE, POCKET],
  },
  disc: { title: 'Seating face of the disc' },
  seat: {
    title: 'Seating face of the seat',
    why: 'The deepest mark decides how it is put right. Wire drawn: not closed tight. Dented: weld beads caught. Worn to one side: usual in drain valves.',
  },
  wedge: {
    title: 'Wedge: both faces and its guides',
    why: 'Each face belongs to its own seat. It must ride high enough to have wear travel left.',
    choices: [...SEATING, { label: 'Rides too low', finding: { kind: 'rides low' } }, GALLED],
  },
  'left seat': {
    title: 'Left seat',
    why: 'A seat that does not come out and is too far gone condemns the valve.',
  },
  'right seat': {
    title: 'Right seat',
    why: 'A seat that does not come out and is too far gone condemns the valve.',
  },
  'bonnet chamber': {
    title: 'Bonnet chamber: joint seat, backseat nose, wall',
    why: 'Three of the four seal areas: body joint, backseat, and the wall the packing runs against.',
    choices: [...JOINT_FACE, SCORED],
  },
  'backseat retainer': {
    title: 'Backseat retainer',
    why: 'It cracks when the valve was over-torqued open.',
    choices: [CRACKED, SCORED],
  },
  'clamped yoke': { title: 'Yoke bushing and yoke thread' },
  'outer gate': {
    title: 'Outer gate: lapped faces',
    why: 'Guard the lapped faces while they are turned over.',
  },
  'inner gate': {
    title: 'Inner gate: lapped faces',
    why: 'Guard the lapped faces while they are turned over.',
  },
  plug: { title: 'Plug: seating faces', choices: [...SEATING, GALLED] },
  'thrust washer': { title: 'Thrust washer', why: 'It stops the plug galling on its end.' },
  'grease injector': {
    title: 'Injector and its check',
    why: 'A check that passes lets the medium out through it.',
  },
  'check disc': { title: 'Check disc and its guide surfaces', choices: [...SEATING, LIGHT_MARKS, GALLED] },
  'bypass insert': {
    title: 'Bypass insert: does it slide freely?',
    why: 'Stiff: clean it, an even grind. Severe scratches: the complete insert.',
  },
  'hinge pin': {
    title: 'Hinge pin',
    why: 'Wear in pin and bushes lets the disc drop and miss its seat.',
    choices: [WORN, BENT, SCORED],
  },
  spring: { title: 'Spring: fractures, free length, squareness' },
  ball: { title: 'Ball', why: 'A scratched ball cuts its new seats.' },
  'lower guide': {
    title: 'Lower guide and the drain hole in the blind head',
    why: 'Sand and scale collect here: a plug that cannot travel is often only this.',
    choices: [GALLED, WORN, BLOCKED],
  },
  cage: { title: 'Cage bore and ports', choices: [GALLED, WORN, BLOCKED, CRACKED] },
  'wear bushings': { title: 'Wear bushings', why: 'Renewed as needed.' },
  shaft: {
    title: 'Shaft: straight, unworn where it runs',
    why: 'Rolled on a flat bench it shows a bend; worn in its bushes it leaks.',
  },
  vane: { title: 'Disc edge', choices: SEATING },
  'actuator diaphragm': { title: 'Actuator diaphragm' },
  'rolling diaphragm': { title: 'Rolling diaphragm' },
  cylinder: {
    title: 'Cylinder bore',
    why: 'Scored, it cuts every new piston seal; worn, the actuator hunts.',
    choices: [SCORED, WORN, CRACKED],
  },
  'relay body': {
    title: 'Relay: bushing and ports',
    why: 'A scored bushing means a whole new relay body.',
    choices: [{ label: 'Bushing scored', finding: { kind: 'galled' } }, BLOCKED],
  },
  'inner valve': { title: 'Relay: inner valve for nicks', choices: [SCORED, BLOCKED] },
  'relay diaphragms': { title: 'Relay: diaphragms for holes, cracks, tears' },
  flappers: {
    title: 'Flappers and nozzles',
    why: 'The cheapest fault of a sluggish actuator: swing them out and clean them.',
    choices: [BLOCKED, WORN],
  },
  'equalising orifice': {
    title: 'Equalising orifice: hold it to the light',
    why: 'No light: clear it with a needle.',
    choices: [{ label: 'No light', finding: { kind: 'blocked' } }, WORN],
  },
  'pilot orifice': { title: 'Pilot orifice: dirt, nicks', choices: [BLOCKED, SCORED] },
  armature: { title: 'Armature: dirt in its tube', choices: [BLOCKED, WORN] },
  'drip pot': {
    title: 'Drip pot: sludge',
    why: 'It is in no kit, and it is always cleaned.',
    choices: [BLOCKED, DEEP],
  },
  'removable seat': {
    title: 'Removable seat, where it stands',
    why: 'Sound, and no seat wrench at hand: leave it alone.',
  },
  'reversible seat': {
    title: 'Reversible seat: both faces',
    why: 'One face worn: turn it over. Both: a new one.',
    choices: [{ label: 'One face worn', finding: { kind: 'light marks' } }, WORN],
  },
  cartridge: {
    title: 'Cartridge: which seat worked, and how both look',
    why: 'One seat worn: it is turned end for end. Both: a new cartridge.',
    choices: [
      { label: 'Working seat worn, the other sound', finding: { kind: 'light marks' } },
      WORN,
      CRACKED,
    ],
  },
  'relief piston': { title: 'Piston set' },
  'liner sub': { title: 'Bore of the liner sub' },
  nozzle: { title: 'Nozzle seat' },
  spindle: {
    title: 'Spindle: points and straightness',
    why: 'Bent or worn on its point it leans on the disc.',
    choices: [BENT, WORN, SCORED],
  },
  'disc holder': { title: 'Disc holder in its guide: clearance' },
  'seat retainer': { title: 'Seat retainer and its thread' },
  coil: {
    title: 'Coil: burnt, damp, cracked',
    choices: [{ label: 'Burnt or damp', finding: { kind: 'worn' } }, CRACKED],
  },
};

/** Small things are looked at in passing. */
const MINUTES: Partial<Record<PartKind, number>> = { fastener: 2, pin: 2, plain: 2, gland: 2, assembly: 3 };

/** The step that looks at a part, where one does. */
export const lookOf = (part: PartRole): StepName => stepName(LOOKS[part]?.id ?? `inspect.${slug(part)}`);

/** The look at one part, when it is one that is looked at. */
export function lookAt(part: Part, features: Features): LookStep | undefined {
  const { role, policy } = part;
  const own = LOOKS[role];
  if (policy !== 'inspect') return undefined;
  const usual = BY_KIND[PART_CATALOGUE[role].kind];
  const why =
    role === 'wedge' && features.seat.kind === 'wedge-pair' && !features.seat.removable
      ? `${own?.why ?? usual.why} These seats do not come out.`
      : (own?.why ?? usual.why);
  return {
    name: lookOf(role),
    title: own?.title ?? capital(part.name),
    why,
    minutes: own?.minutes ?? MINUTES[part.kind] ?? 5,
    parts: [role],
    task: {
      kind: 'look',
      part: role,
      choices: [SOUND, ...(own?.choices ?? usual.choices), ...besides(role, features), UNSURE],
    },
  };
}

/** What else this valve’s part can show, because of how it is built. */
function besides(role: PartRole, features: Features): readonly LookChoice[] {
  const { seat } = features;
  if (role === 'body' && seat.kind === 'ported' && seat.port === 'full')
    return [{ label: 'Its own seat cut or worn', finding: { kind: 'own seat damaged' } }];
  if (role === 'bonnet' && packedBox(features))
    return [{ label: 'Wall of its box scored', finding: { kind: 'light marks' } }];
  const guides = closureOf(features).guides === 'body and cover';
  return guides && (role === 'body' || role === 'cover')
    ? [{ label: 'Guides marked', finding: { kind: 'light marks' } }]
    : [];
}

type LookStep = Pick<Draft, 'name' | 'title' | 'why' | 'minutes' | 'parts' | 'task'>;

/** A look at whether the disc swivels on its stem. */
export function lookSwivel(): Pick<Draft, 'task' | 'parts'> {
  return {
    parts: ['disc'],
    task: {
      kind: 'look',
      part: 'disc',
      choices: [
        { label: 'Swivels freely', finding: { kind: 'sound' } },
        { label: 'Stuck', finding: { kind: 'stuck' } },
        THREAD,
        UNSURE,
      ],
    },
  };
}
