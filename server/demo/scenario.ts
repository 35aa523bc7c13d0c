import type { WorkHours } from '@dusk-wren/contract';
import { USUAL_RULES, type SiteRules } from '@dusk-wren/core/inspection';
import type { InstrumentKind, Role } from '@dusk-wren/core/job';
import { inches, psig, quantity, thou } from '@dusk-wren/core/quantity';
import type { Condition } from '@dusk-wren/core/simulation';
import { bareFeatures, boltedJoint, type Hazard, type Valve } from '@dusk-wren/core/valve';
import { otherStories } from './other-constructions';
import type { Story } from './story';

/** Pinder Street valve shop: everybody and everything here is invented. */
export const DEMO_PIN = '2468';

export const PEOPLE: readonly { name: string; role: Role; skills: readonly string[] }[] = [
  { name: 'Ines Okoro', role: 'technician', skills: ['lathe', 'field'] },
  { name: 'Tam Brackley', role: 'technician', skills: ['relief valves'] },
  { name: 'Jory Velde', role: 'technician', skills: ['field', 'relief valves'] },
  { name: 'Wen Aldous', role: 'technician', skills: ['lathe'] },
  { name: 'Noor Castellane', role: 'inspector', skills: [] },
  { name: 'Petra Lundholm', role: 'lead', skills: [] },
];

/** When they work. */
export const HOURS: WorkHours = {
  days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'],
  ...{ opens: '06:30', closes: '15:00', breakFrom: '09:30', breakTo: '09:50' },
};

/** Who is away on the Friday that comes next. */
export const OFF_ON_FRIDAY = { name: 'Wen Aldous', why: 'moves house' } as const;

/** Where they work: name, kind, how many, opens, closes; on weekdays. */
export const PLACES = [
  ['Chain vices', 'vice', 2, '06:30', '15:00'],
  ['Lapping table', 'lapping plate', 1, '06:30', '15:00'],
  ['Seat lathe', 'lathe', 1, '07:00', '12:30'],
  ['Wash', 'wash', 1, '06:30', '14:00'],
  ['Water rig', 'rig', 1, '07:00', '15:00'],
  ['Pop rig', 'pop rig', 1, '07:00', '15:00'],
] as const;

export const INSTRUMENTS: readonly {
  name: string;
  kind: InstrumentKind;
  driver: string;
  dueInDays: number;
}[] = [
  { name: 'Dial 1', kind: 'dial indicator', driver: 'simulated dial', dueInDays: 200 },
  { name: 'Dial 2', kind: 'dial indicator', driver: 'simulated dial', dueInDays: 96 },
  { name: 'Wrench A', kind: 'torque wrench', driver: 'simulated wrench', dueInDays: 61 },
  { name: 'Wrench B', kind: 'torque wrench', driver: 'simulated wrench', dueInDays: 240 },
  { name: 'Rig north', kind: 'test rig', driver: 'simulated rig', dueInDays: 130 },
  { name: 'Gauge 3', kind: 'gauge', driver: 'simulated gauge', dueInDays: 44 },
  { name: 'Gauge set 1', kind: 'gauge set', driver: 'simulated gauge set', dueInDays: 90 },
  { name: 'Gauge 4', kind: 'gauge', driver: 'simulated gauge', dueInDays: -9 },
  { name: 'Caliper 1', kind: 'caliper', driver: 'read by eye', dueInDays: 170 },
];

export const SUGAR = 'Mossgate sugar refinery';
export const FIELD = 'Tarn Edge gas and water field';
export const HEAT = 'Harbour Hill heat works';

export const SITES: Readonly<Record<string, SiteRules>> = {
  [SUGAR]: {
    ...USUAL_RULES,
    name: 'Mossgate valve rules, revised March',
    jointStagger: 90,
    api598Edition: 'per-inch-over-12',
    nextDueMonths: 36,
  },
  [FIELD]: {
    ...USUAL_RULES,
    name: 'Tarn Edge standing order 7',
    stemTirToOneInch: thou(2.5),
    passes: 'thirds',
    nextDueMonths: 24,
  },
  [HEAT]: { ...USUAL_RULES, straighteningAllowed: false, jointStagger: 120, nextDueMonths: 48 },
};

interface Size {
  nps: number;
  pressureClass: 150 | 300 | 600 | 900 | 1500;
  bolts: number;
  thread: string;
  stem: number;
  bore: number;
  depth: number;
}

/** Made-up but likely proportions of a shop's globe valves. */
const SIZES = {
  two1500: { nps: 2, pressureClass: 1500, bolts: 8, thread: '7/8-9', stem: 1.125, bore: 1.875, depth: 2.75 },
  three600: { nps: 3, pressureClass: 600, bolts: 8, thread: '5/8-11', stem: 1.125, bore: 1.875, depth: 3 },
  three300: { nps: 3, pressureClass: 300, bolts: 8, thread: '5/8-11', stem: 0.875, bore: 1.5, depth: 2.25 },
  four300: { nps: 4, pressureClass: 300, bolts: 8, thread: '3/4-10', stem: 1.25, bore: 2, depth: 3.25 },
  six300: { nps: 6, pressureClass: 300, bolts: 12, thread: '3/4-10', stem: 1.5, bore: 2.375, depth: 3.75 },
  two150: { nps: 2, pressureClass: 150, bolts: 6, thread: '1/2-13', stem: 0.75, bore: 1.25, depth: 2 },
  eight150: { nps: 8, pressureClass: 150, bolts: 12, thread: '3/4-10', stem: 1.75, bore: 2.75, depth: 4.25 },
} as const satisfies Record<string, Size>;

interface Medium {
  name: string;
  hazards: Hazard[];
  bar?: number;
  celsius?: number;
}

const STEAM: Medium = { name: 'Steam', hazards: ['hot'], bar: 38, celsius: 248 };
const JUICE: Medium = { name: 'Thin juice', hazards: ['hot'], bar: 6, celsius: 105 };
const SOUR: Medium = { name: 'Sour gas', hazards: ['h2s', 'flammable'], bar: 88, celsius: 40 };
const WATER: Medium = { name: 'Produced water', hazards: ['h2s'], bar: 22, celsius: 35 };
const HEATING: Medium = { name: 'Heating water', hazards: ['hot'], bar: 16, celsius: 130 };

interface About {
  serial: string;
  customer: string;
  location: string;
  size: keyof typeof SIZES;
  medium: Medium;
  seat?: 'screwed' | 'integral';
  plain?: true;
}

function valve(tag: string, about: About): Valve {
  const size = SIZES[about.size];
  const { medium } = about;
  return {
    tag,
    serial: about.serial,
    construction: 'globe-bolted',
    customer: about.customer,
    location: about.location,
    nps: size.nps,
    pressureClass: size.pressureClass,
    group: '1.1',
    medium: {
      name: medium.name,
      hazards: medium.hazards,
      ...(medium.bar === undefined ? {} : { pressure: quantity('gauge pressure', medium.bar, 'bar g') }),
      ...(medium.celsius === undefined ? {} : { temperature: quantity('temperature', medium.celsius, '°C') }),
    },
    features: {
      ...bareFeatures('globe-bolted'),
      joint: {
        kind: 'bolted-bonnet',
        gasket: 'spiral-wound',
        blindHead: false,
        bolts: size.bolts,
        thread: size.thread,
        studMaterial: 'B7',
      },
      seat: {
        kind: about.seat ?? 'screwed',
        face: about.plain ? 'plain' : 'hard-faced',
        diameter: inches(size.nps * 0.96),
        stock: inches(0.055),
      },
      stem: { motion: 'rising', diameter: inches(size.stem) },
      packing: {
        style: 'die-formed',
        bore: inches(size.bore),
        depth: inches(size.depth),
        glandEntry: inches(0.3125),
        chamber: 'finished',
        adapters: false,
      },
    },
  };
}

/** A valve whose plate could not be read: the plan asks. */
function unread(full: Valve): Valve {
  const { pressureClass: _class, ...known } = full;
  const { features } = full;
  const joint = boltedJoint(features);
  if (!joint) return known;
  const { bolts: _bolts, ...unstudded } = joint;
  return { ...known, features: { ...features, joint: unstudded } };
}

const sound: Condition = {
  stemBow: thou(0.6),
  stemBowDegrees: 70,
  stemOvality: thou(0.1),
  trapped: [],
  blockValvePasses: false,
};
const micrometres = (value: number) => quantity('length', value, 'µm');

/** Bolted globes, each standing somewhere else in its work. */
export const GLOBE_STORIES: readonly Story[] = [
  {
    valve: valve('HV-2214', {
      serial: 'B 4051 77',
      customer: SUGAR,
      location: 'boiler 2 feed',
      size: 'three600',
      medium: STEAM,
    }),
    condition: { ...sound, stemBow: thou(3.2), stemBowDegrees: 140, trapped: [micrometres(4)] },
    place: 'out and back',
    reported: 'Gland weeps, repacked twice since spring',
    technician: 0,
    openedDaysAgo: 1,
    dueInDays: 9,
    until: { task: 'runout' },
  },
  {
    valve: unread(
      valve('HV-118', {
        serial: 'worn off',
        customer: SUGAR,
        location: 'evaporator 4',
        size: 'four300',
        medium: JUICE,
      }),
    ),
    condition: sound,
    place: 'bare',
    reported: 'Passes when shut',
    technician: 1,
    openedDaysAgo: 0,
    dueInDays: 14,
    until: { stage: 'receive' },
  },
  {
    valve: valve('TW-31', {
      serial: 'K 20 118',
      customer: FIELD,
      location: 'well pad 3, kill line',
      size: 'two1500',
      medium: SOUR,
    }),
    condition: { ...sound, blockValvePasses: true },
    place: 'out and back',
    reported: 'Will not hold',
    technician: 0,
    openedDaysAgo: 0,
    dueInDays: 7,
    until: { proves: 'upstream pressure' },
    ventPsig: 41,
  },
  {
    valve: valve('WF-07', {
      serial: 'K 61 004',
      customer: FIELD,
      location: 'water injection header',
      size: 'six300',
      medium: WATER,
    }),
    condition: sound,
    place: 'bare',
    reported: 'Stiff to turn',
    technician: 3,
    openedDaysAgo: 1,
    dueInDays: 10,
    until: { off: 'bonnet' },
  },
  {
    valve: valve('DH-402', {
      serial: '77-3310',
      customer: HEAT,
      location: 'pump house, riser 2',
      size: 'three300',
      medium: HEATING,
    }),
    condition: { ...sound, stemBow: thou(4.1), stemBowDegrees: 220 },
    place: 'bare',
    reported: 'Bonnet leak after a frost',
    technician: 1,
    openedDaysAgo: 4,
    dueInDays: 12,
    until: { task: 'arrive' },
    bluedDegrees: 360,
  },
  {
    valve: valve('DH-415', {
      serial: '77-3342',
      customer: HEAT,
      location: 'exchanger 1, return',
      size: 'four300',
      medium: HEATING,
    }),
    condition: sound,
    place: 'bare',
    reported: 'Passes when shut',
    technician: 2,
    openedDaysAgo: 3,
    dueInDays: 5,
    until: { stage: 'repair', task: 'hold' },
    seatDepth: '0.0015 in',
  },
  {
    valve: valve('HV-2230', {
      serial: 'B 4066 02',
      customer: SUGAR,
      location: 'pan 6, vapour',
      size: 'eight150',
      medium: STEAM,
      plain: true,
    }),
    condition: { ...sound, trapped: [micrometres(6.2)] },
    place: 'bare',
    reported: 'Routine',
    technician: 2,
    openedDaysAgo: 3,
    dueInDays: 3,
    until: { tests: 'seat' },
    bluedDegrees: 300,
  },
  {
    valve: valve('DH-420', {
      serial: '77-3361',
      customer: HEAT,
      location: 'exchanger 2, supply',
      size: 'two150',
      medium: HEATING,
    }),
    condition: { ...sound, trapped: [micrometres(6)] },
    place: 'bare',
    reported: 'Passes when shut',
    technician: 3,
    openedDaysAgo: 6,
    dueInDays: 1,
    until: { opening: 2, task: 'lapping' },
    seatDepth: '0.006 in',
  },
  {
    valve: valve('HV-1907', {
      serial: 'B 3920 15',
      customer: SUGAR,
      location: 'boiler 1 blowdown',
      size: 'three600',
      medium: STEAM,
    }),
    condition: sound,
    place: 'bare',
    reported: 'Interval overhaul',
    technician: 0,
    openedDaysAgo: 12,
    until: 'signed',
    bluedDegrees: 320,
  },
  {
    valve: valve('TW-12', {
      serial: 'K 20 097',
      customer: FIELD,
      location: 'separator bypass',
      size: 'two1500',
      medium: SOUR,
      seat: 'integral',
    }),
    condition: sound,
    place: 'bare',
    reported: 'Passes when shut',
    technician: 2,
    openedDaysAgo: 2,
    dueInDays: 6,
    until: { stage: 'repair', task: 'hold' },
    seatDepth: '0.004 in',
    unsure: { part: 'gland', what: 'blue heat tint on one side only' },
  },
];

/** Seats and discs cut too deep for anything but the lathe, more of them than one lathe takes in time. */
const LATHE_STORIES: readonly Story[] = (
  [
    ['DH-433', '77-3392', HEAT, 'riser 5, supply', 'three300', 1, 2],
    ['DH-436', '77-3391', HEAT, 'riser 6, supply', 'three300', 3, 3],
    ['HV-2240', 'B 4071 15', SUGAR, 'pan 8, condensate', 'two150', 2, 3],
    ['HV-2244', 'B 4071 16', SUGAR, 'pan 9, condensate', 'two150', 3, 4],
    ['HV-2246', 'B 4071 17', SUGAR, 'pan 10, condensate', 'two150', 0, 11],
    ['HV-2248', 'B 4071 18', SUGAR, 'pan 11, condensate', 'two150', 1, 12],
    ['DH-438', '77-3394', HEAT, 'riser 7, supply', 'three300', 2, 12],
    ['DH-439', '77-3395', HEAT, 'riser 8, supply', 'three300', 3, 13],
  ] as const
).map(([tag, serial, customer, location, size, technician, dueInDays]) => ({
  valve: valve(tag, {
    ...{ serial, customer, location, size },
    medium: customer === HEAT ? HEATING : STEAM,
  }),
  condition: sound,
  place: 'bare',
  reported: 'Passes when shut, wire drawn',
  ...{ technician, dueInDays },
  openedDaysAgo: 2,
  until: { stage: 'repair' },
  seatDepth: '0.02 in',
  finds: { disc: { kind: 'seat damage', form: 'wire drawn', depth: inches(0.02) } },
}));

/** Every job of the scenario. */
export const STORIES: readonly Story[] = [
  ...GLOBE_STORIES,
  ...LATHE_STORIES,
  ...otherStories({ sugar: SUGAR, field: FIELD, heat: HEAT }),
];

/** On file, with no job open. */
export const SHELF: readonly Valve[] = [
  valve('HV-2231', {
    serial: 'B 4066 03',
    customer: SUGAR,
    location: 'pan 7, vapour',
    size: 'eight150',
    medium: STEAM,
    plain: true,
  }),
  valve('WF-09', {
    serial: 'K 61 009',
    customer: FIELD,
    location: 'water injection, train B',
    size: 'six300',
    medium: WATER,
  }),
  valve('DH-431', {
    serial: '77-3390',
    customer: HEAT,
    location: 'pump house, riser 3',
    size: 'three300',
    medium: HEATING,
  }),
];

/** The pressure at which a rig is said to have held, a little over what was asked. */
export const overPressure = (asked: number) => psig(Math.ceil(asked * 1.004));
