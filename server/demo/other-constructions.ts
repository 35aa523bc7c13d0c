import { psig, quantity, thou } from '@dusk-wren/core/quantity';
import {
  CONSTRUCTIONS,
  featuresSchema,
  type ConstructionId,
  type Hazard,
  type RawFeatures,
  type Valve,
} from '@dusk-wren/core/valve';
import type { Place } from '@dusk-wren/core/job';
import type { PlantedFault } from '@dusk-wren/core/simulation';
import type { Story } from './story';

/** What came in besides the bolted globes: one of every other construction, all invented. */
interface Came {
  readonly tag: string;
  readonly construction: ConstructionId;
  readonly serial: string;
  readonly site: 'sugar' | 'field' | 'heat';
  readonly location: string;
  readonly medium: { name: string; hazards: Hazard[]; psig?: number; celsius?: number };
  readonly nps?: number;
  readonly plate?: NonNullable<Valve['plate']>;
  readonly features?: Partial<RawFeatures>;
  readonly place?: Place;
  readonly reported: string;
  readonly technician: number;
  readonly daysAgo: number;
  readonly dueInDays: number;
  readonly until: Story['until'];
  /** What the gauges of the fault finder then read. */
  readonly fault?: PlantedFault;
  readonly takes?: NonNullable<Story['takes']>;
  readonly finds?: NonNullable<Story['finds']>;
  readonly counted?: NonNullable<Story['counted']>;
}

export const STEAM = { name: 'Steam', hazards: ['hot'] as Hazard[], psig: 520, celsius: 240 };
export const JUICE = { name: 'Thin juice', hazards: ['hot'] as Hazard[], psig: 80, celsius: 105 };
const SYRUP = { name: 'Syrup', hazards: ['hot'] as Hazard[], psig: 60, celsius: 85 };
export const SOUR = { name: 'Sour gas', hazards: ['h2s', 'flammable'] as Hazard[], psig: 1200, celsius: 40 };
const GAS = { name: 'Field gas', hazards: ['flammable'] as Hazard[], psig: 110, celsius: 30 };
export const BRINE = { name: 'Produced water', hazards: ['h2s'] as Hazard[], psig: 90, celsius: 35 };
const MUD = { name: 'Drilling mud', hazards: ['corrosive'] as Hazard[], psig: 2400 };
const HEATING = { name: 'Heating water', hazards: ['hot'] as Hazard[], psig: 230, celsius: 125 };
export const FEED = { name: 'Boiler feed water', hazards: ['hot'] as Hazard[], psig: 640, celsius: 110 };
const AIR = { name: 'Instrument air', hazards: [] as Hazard[], psig: 100 };

const CAME: readonly Came[] = [
  {
    tag: 'HV-0412',
    construction: 'globe-yoke-clamp',
    serial: 'F 88 310',
    site: 'sugar',
    location: 'turbine drain 3',
    medium: STEAM,
    reported: 'Passes to the drain',
    technician: 1,
    daysAgo: 1,
    dueInDays: 4,
    until: { stage: 'strip', task: 'do', part: 'clamped yoke' },
  },
  {
    tag: 'DH-118',
    construction: 'gate-wedge',
    serial: '70-1186',
    site: 'heat',
    location: 'main header, north',
    medium: HEATING,
    nps: 8,
    plate: { model: 'G 80' },
    reported: 'Will not shut tight',
    technician: 2,
    daysAgo: 3,
    dueInDays: 11,
    until: { looksAt: 'wedge' },
  },
  {
    tag: 'TW-02',
    construction: 'gate-slab-unitised',
    serial: 'K 19 002',
    site: 'field',
    location: 'well 2, wing valve',
    medium: SOUR,
    place: 'in line',
    reported: 'Stem packing leaks',
    technician: 0,
    daysAgo: 0,
    dueInDays: 3,
    until: { point: 'body-bleed' },
  },
  {
    tag: 'GF-33',
    construction: 'plug-lubricated',
    serial: 'P 5 5102',
    site: 'field',
    location: 'gas header, station 4',
    medium: GAS,
    reported: 'Hard to turn',
    technician: 3,
    daysAgo: 2,
    dueInDays: 9,
    until: { looksAt: 'plug' },
  },
  {
    tag: 'SJ-61',
    construction: 'plug-eccentric',
    serial: 'E 7 0061',
    site: 'sugar',
    location: 'juice screen 2, outlet',
    medium: JUICE,
    place: 'in line',
    reported: 'Gland drips',
    technician: 1,
    daysAgo: 0,
    dueInDays: 2,
    until: { stage: 'diagnose', part: 'gland nuts' },
  },
  {
    tag: 'BF-07',
    construction: 'check-recirculation',
    serial: 'R 2 7071',
    site: 'sugar',
    location: 'boiler feed pump B',
    medium: FEED,
    reported: 'Bypass does not shut',
    technician: 2,
    daysAgo: 4,
    dueInDays: 6,
    until: { stage: 'inspect', task: 'look', part: 'bypass insert' },
  },
  {
    tag: 'DH-240',
    construction: 'check-swing',
    serial: '71-0240',
    site: 'heat',
    location: 'circulating pump 3, delivery',
    medium: HEATING,
    reported: 'Slams',
    technician: 3,
    daysAgo: 5,
    dueInDays: 8,
    until: { stage: 'inspect', task: 'measure', part: 'hinge pin' },
    finds: { 'hinge pin': { kind: 'worn' } },
  },
  {
    tag: 'SY-15',
    construction: 'ball-three-piece',
    serial: 'B 1 5151',
    site: 'sugar',
    location: 'syrup sample line',
    medium: SYRUP,
    reported: 'Passes',
    technician: 0,
    daysAgo: 1,
    dueInDays: 3,
    until: { on: 'soft seats' },
  },
  {
    tag: 'PCV-301',
    construction: 'control-globe-double-seat',
    serial: 'C 40 301',
    site: 'sugar',
    location: 'let-down station',
    medium: STEAM,
    place: 'out and back',
    reported: 'Half travel at full signal',
    technician: 0,
    daysAgo: 1,
    dueInDays: 7,
    until: { task: 'place' },
    fault: 'bottom guide blocked',
  },
  {
    tag: 'TCV-118',
    construction: 'control-balanced-cage',
    serial: 'C 41 118',
    site: 'heat',
    location: 'exchanger 1, supply',
    medium: HEATING,
    reported: 'Leaks through when shut',
    technician: 2,
    daysAgo: 4,
    dueInDays: 5,
    until: { looksAt: 'plug' },
    takes: { at: { task: 'marks' }, kind: 'rebuilt actuator', serial: 'RA 112' },
  },
  {
    tag: 'FV-22',
    construction: 'control-ball-in-venturi',
    serial: 'V 3 2201',
    site: 'field',
    location: 'choke, separator inlet',
    medium: BRINE,
    reported: 'First service',
    technician: 3,
    daysAgo: 3,
    dueInDays: 4,
    until: { on: 'cartridge' },
  },
  {
    tag: 'LV-40',
    construction: 'control-rotary-eccentric',
    serial: 'N 8 0040',
    site: 'sugar',
    location: 'evaporator 2, level',
    medium: JUICE,
    reported: 'To be turned to air-to-open',
    technician: 1,
    daysAgo: 2,
    dueInDays: 6,
    until: { off: 'spring barrel' },
  },
  {
    tag: 'TV-77',
    construction: 'control-butterfly',
    serial: 'W 2 7700',
    site: 'heat',
    location: 'cooling water return',
    medium: { name: 'Cooling water', hazards: [], psig: 45 },
    reported: 'To be turned to air-to-close',
    technician: 3,
    daysAgo: 1,
    dueInDays: 9,
    until: { off: 'vane arm' },
  },
  {
    tag: 'LP-09',
    construction: 'control-lowpressure-diaphragm',
    serial: 'L 6 0901',
    site: 'field',
    location: 'separator 1, gas outlet',
    medium: GAS,
    reported: 'Will not hold pressure',
    technician: 0,
    daysAgo: 0,
    dueInDays: 4,
    until: { task: 'spares' },
    counted: {
      sheet: 'PS-K15',
      kit: '15-S',
      found: [
        { line: '1', count: 1, cureDate: '2Q25' },
        { line: '3', count: 1, cureDate: '2Q25' },
        { line: '5', count: 1, cureDate: '3Q06' },
        { line: '6', count: 1 },
      ],
    },
  },
  {
    tag: 'SS-18',
    construction: 'control-hygienic-seat',
    serial: 'H 9 1801',
    site: 'sugar',
    location: 'liquid sugar, filler 1',
    medium: SYRUP,
    reported: 'Leak hole drips',
    technician: 2,
    daysAgo: 1,
    dueInDays: 2,
    until: { off: 'locking wire' },
  },
  {
    tag: 'LD-05',
    construction: 'dump-weight-lever',
    serial: 'D 5 0511',
    site: 'field',
    location: 'knock-out vessel 5',
    medium: BRINE,
    reported: 'Dumps early',
    technician: 3,
    daysAgo: 1,
    dueInDays: 5,
    until: { off: 'drip pot' },
  },
  {
    tag: 'PR-12',
    construction: 'regulator-self-acting',
    serial: 'G 4 1203',
    site: 'field',
    location: 'fuel gas, heater 2',
    medium: GAS,
    reported: 'Creeps at no flow',
    technician: 1,
    daysAgo: 2,
    dueInDays: 3,
    until: { on: 'seat' },
  },
  {
    tag: 'RV-61',
    construction: 'relief-shear-pin',
    serial: 'S 3 6101',
    site: 'field',
    location: 'mud pump 1',
    medium: MUD,
    reported: 'Popped twice below set',
    technician: 0,
    daysAgo: 0,
    dueInDays: 1,
    until: { off: 'shear pin' },
  },
  {
    tag: 'SV-03',
    construction: 'solenoid-pilot',
    serial: 'M 1 0303',
    site: 'heat',
    location: 'purge air, burner 3',
    medium: AIR,
    reported: 'Will not close',
    technician: 2,
    daysAgo: 0,
    dueInDays: 2,
    until: { looksAt: 'equalising orifice' },
  },
  {
    tag: 'PSV-110',
    construction: 'relief-spring',
    serial: 'Y 7 1101',
    site: 'heat',
    location: 'boiler 1, drum',
    medium: STEAM,
    plate: { setPressure: psig(600), orifice: 'K', stamp: 'V' },
    reported: 'Interval',
    technician: 3,
    daysAgo: 2,
    dueInDays: 10,
    until: { stage: 'inspect', task: 'measure', part: 'spring' },
    finds: { spindle: { kind: 'bent' } },
  },
];

/** The stories of the other constructions, for the customers named. */
export function otherStories(sites: Readonly<Record<Came['site'], string>>): Story[] {
  return CAME.map((came) => ({
    valve: valveOf(came, sites[came.site]),
    condition: {
      stemBow: thou(0.7),
      stemBowDegrees: 110,
      stemOvality: thou(0.1),
      trapped: [],
      blockValvePasses: false,
      ...(came.fault === undefined ? {} : { fault: came.fault }),
    },
    place: came.place ?? 'bare',
    reported: came.reported,
    technician: came.technician,
    openedDaysAgo: came.daysAgo,
    dueInDays: came.dueInDays,
    until: came.until,
    ...(came.takes === undefined ? {} : { takes: came.takes }),
    ...(came.finds === undefined ? {} : { finds: came.finds }),
    ...(came.counted === undefined ? {} : { counted: came.counted }),
  }));
}

/** What is told of a valve that is no bolted globe. */
type Told = Pick<
  Came,
  'tag' | 'serial' | 'construction' | 'location' | 'medium' | 'nps' | 'plate' | 'features'
>;

export function valveOf(came: Told, customer: string): Valve {
  const { usual, features } = CONSTRUCTIONS[came.construction];
  const { psig: at, celsius, ...medium } = came.medium;
  return {
    tag: came.tag,
    serial: came.serial,
    construction: came.construction,
    customer,
    location: came.location,
    ...usual,
    ...(came.plate === undefined ? {} : { plate: came.plate }),
    ...(came.nps === undefined ? {} : { nps: came.nps }),
    medium: {
      ...medium,
      ...(at === undefined ? {} : { pressure: psig(at) }),
      ...(celsius === undefined ? {} : { temperature: quantity('temperature', celsius, '°C') }),
    },
    features: featuresSchema.parse({ ...features, ...came.features }),
  };
}
