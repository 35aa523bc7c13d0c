import { z } from 'zod';
import { quantityOf, type Dimension } from '../quantity';
import {
  API_6A_RATINGS,
  GROUP_NAMES,
  IRON_BODIES,
  MATERIAL_GROUPS,
  CODE_OF_STAMP,
  NOMINAL_SIZES,
  ORIFICES,
  PRESSURE_CLASSES,
  RELIEF_STAMPS,
  STUD_MATERIALS,
  type IronBody,
} from '../standards';
import { closureOf } from './closures';
import { boltedJoint, metalSeatOf, packedBox, type Features } from './features';
import { jointOf } from './joints';
import { HAZARD_IDS } from './medium';
import { ACTINGS, SIGNAL_RANGES } from './signal';
import { valveSchema, type Valve } from './valve';

/**
 * The figures of a valve that may be unknown when it comes in. Each can be learnt later, one at a time; an unknown
 * one becomes an ask on the plan.
 */
export const detailsSchema = z.strictObject({
  nps: valveSchema.shape.nps,
  pressureClass: z.literal(PRESSURE_CLASSES).exactOptional(),
  /** What the body is of: a material group, or an iron, which says its class as well. */
  group: z.enum([...MATERIAL_GROUPS, ...IRON_BODIES]).exactOptional(),
  ratedPressure: valveSchema.shape.ratedPressure,
  setPressure: quantityOf('gauge pressure').exactOptional(),
  orifice: z.enum(ORIFICES).exactOptional(),
  stamp: z.enum(RELIEF_STAMPS).exactOptional(),
  signal: z.enum(SIGNAL_RANGES).exactOptional(),
  acting: z.enum(ACTINGS).exactOptional(),
  serial: valveSchema.shape.serial,
  mediumName: z.string().trim().min(1).max(60).exactOptional(),
  hazards: z.array(z.enum(HAZARD_IDS)).exactOptional(),
  bolts: z.int().min(3).max(96).exactOptional(),
  thread: z.string().trim().min(1).max(20).exactOptional(),
  studMaterial: z.enum(STUD_MATERIALS).exactOptional(),
  makersTorque: quantityOf('torque').exactOptional(),
  stemDiameter: quantityOf('length').exactOptional(),
  boxBore: quantityOf('length').exactOptional(),
  boxDepth: quantityOf('length').exactOptional(),
  glandEntry: quantityOf('length').exactOptional(),
  seatDiameter: quantityOf('length').exactOptional(),
});

export type Details = z.output<typeof detailsSchema>;
export type DetailId = keyof Details;

export type DetailKind =
  | { kind: 'choice'; choices: readonly { value: string | number; label: string }[] }
  | { kind: 'quantity'; dimension: Dimension; example: string }
  | { kind: 'whole number' }
  | { kind: 'text'; example: string };

/** What to ask, and why the plan needs it. */
export interface Ask {
  readonly id: DetailId;
  readonly question: string;
  readonly why: string;
  readonly input: DetailKind;
}

const plain = <T extends string | number>(values: readonly T[], label: (value: T) => string = String) =>
  values.map((value) => ({ value, label: label(value) }));

const ASKS: readonly (Ask & { known: (valve: Valve) => boolean })[] = [
  {
    id: 'nps',
    question: 'What is the nominal size?',
    why: 'it sets hold times, leak allowance and hours',
    input: {
      kind: 'choice',
      choices: plain(
        NOMINAL_SIZES.map(([nps]) => nps),
        (nps) => `NPS ${nps}`,
      ),
    },
    known: (valve) => valve.nps !== undefined,
  },
  {
    id: 'pressureClass',
    question: 'What is the pressure class?',
    why: 'it sets the test pressures',
    input: { kind: 'choice', choices: plain(PRESSURE_CLASSES) },
    known: ({ pressureClass, iron, features }) =>
      pressureClass !== undefined || iron !== undefined || closureOf(features).ratedBy !== 'class',
  },
  {
    id: 'ratedPressure',
    question: 'What is its rated working pressure?',
    why: 'it sets the test pressures (API 6A)',
    input: {
      kind: 'choice',
      choices: API_6A_RATINGS.map((psi) => ({ value: `${psi} psig`, label: `${psi} psi` })),
    },
    known: ({ ratedPressure, features }) =>
      ratedPressure !== undefined || closureOf(features).ratedBy !== 'working pressure',
  },
  {
    id: 'group',
    question: 'What is the body cast from?',
    why: 'the rating depends on the material group',
    input: {
      kind: 'choice',
      choices: [
        ...plain(MATERIAL_GROUPS, (group) => `${group} · ${GROUP_NAMES[group]}`),
        ...plain(IRON_BODIES),
      ],
    },
    known: ({ group, iron, features }) =>
      group !== undefined || iron !== undefined || closureOf(features).ratedBy !== 'class',
  },
  {
    id: 'setPressure',
    question: 'At which pressure is it set?',
    why: 'pops, reseat and tightness are judged by it',
    input: { kind: 'quantity', dimension: 'gauge pressure', example: '250 psig' },
    known: reliefKnows('setPressure'),
  },
  {
    id: 'stamp',
    question: 'Which code is it stamped for?',
    why: 'a boiler’s valve has other tolerances than a vessel’s',
    input: {
      kind: 'choice',
      choices: RELIEF_STAMPS.map((stamp) => ({
        value: stamp,
        label: `${stamp} · Section ${CODE_OF_STAMP[stamp]}`,
      })),
    },
    known: reliefKnows('stamp'),
  },
  {
    id: 'orifice',
    question: 'Which orifice letter has it?',
    why: 'it sets the bubbles allowed (API 527)',
    input: { kind: 'choice', choices: plain(ORIFICES) },
    known: reliefKnows('orifice'),
  },
  {
    id: 'mediumName',
    question: 'What ran through it?',
    why: 'the medium decides the protection',
    input: { kind: 'text', example: 'Steam' },
    known: (valve) => valve.medium !== undefined,
  },
  {
    id: 'bolts',
    question: 'How many studs hold the joint?',
    why: 'the tightening order depends on it',
    input: { kind: 'whole number' },
    known: ({ features }) => joined(features, 'bolts'),
  },
  {
    id: 'thread',
    question: 'Which thread have the studs?',
    why: 'the torque depends on it',
    input: { kind: 'text', example: '3/4-10' },
    known: ({ features }) => joined(features, 'thread'),
  },
  {
    id: 'seatDiameter',
    question: 'What is the seat diameter?',
    why: 'breaks in the blue line are measured on it',
    input: { kind: 'quantity', dimension: 'length', example: '3 in' },
    known: ({ features }) => !metalSeatOf(features) || features.seat.diameter !== undefined,
  },
];

/** Only a relief valve on a spring is asked what it is set to. */
function reliefKnows(what: 'setPressure' | 'stamp' | 'orifice') {
  return ({ plate, features }: Valve): boolean =>
    closureOf(features).duty !== 'relieve by a spring' || plate?.[what] !== undefined;
}

/** A joint that nobody bolts has no studs to ask about. */
function joined(features: Features, what: 'bolts' | 'thread'): boolean {
  const joint = boltedJoint(features);
  return !joint || jointOf(features).screwed === true || joint[what] !== undefined;
}

/** What is asked where this figure is missing. */
export const questionOf = (id: DetailId): string => ASKS.find((ask) => ask.id === id)?.question ?? `${id}?`;

/** Everything still unknown that the plan needs, in the order to ask it. */
export function asksOf(valve: Valve): Ask[] {
  return ASKS.filter(({ known }) => !known(valve));
}

/** The valve with what was learnt put in; figures already known are replaced. */
export function withDetails(valve: Valve, details: Details): Valve {
  const { features } = valve;
  return {
    ...valve,
    ...picked({
      nps: details.nps,
      pressureClass: details.pressureClass,
      ratedPressure: details.ratedPressure,
      ...bodyOf(details.group),
      serial: details.serial,
    }),
    ...mediumWith(valve, details),
    ...plateWith(valve, details),
    features: {
      ...features,
      joint: withBolting(features, details),
      seat: { ...features.seat, ...picked({ diameter: details.seatDiameter }) },
      stem: { ...features.stem, ...picked({ diameter: details.stemDiameter }) },
      packing: withBox(features, details),
    },
  };
}

const isIron = (body: string): body is IronBody => IRON_BODIES.some((each) => each === body);

const bodyOf = (body: Details['group']): Pick<Valve, 'group' | 'iron'> => {
  if (body === undefined) return {};
  return isIron(body) ? { iron: body } : { group: body };
};

function withBolting(features: Features, details: Details): Features['joint'] {
  const joint = boltedJoint(features);
  return joint
    ? {
        ...joint,
        ...picked({
          bolts: details.bolts,
          thread: details.thread,
          studMaterial: details.studMaterial,
          makersTorque: details.makersTorque,
        }),
      }
    : features.joint;
}

function withBox(features: Features, details: Details): Features['packing'] {
  const box = packedBox(features);
  return box
    ? {
        ...box,
        ...picked({ bore: details.boxBore, depth: details.boxDepth, glandEntry: details.glandEntry }),
      }
    : features.packing;
}

function mediumWith(valve: Valve, { mediumName, hazards }: Details): Pick<Valve, 'medium'> {
  const name = mediumName ?? valve.medium?.name;
  if (name === undefined) return {};
  return { medium: { ...valve.medium, name, hazards: hazards ?? valve.medium?.hazards ?? [] } };
}

function plateWith({ plate }: Valve, details: Details): Pick<Valve, 'plate'> {
  const { setPressure, orifice, stamp, signal, acting } = details;
  const learnt = picked({ setPressure, orifice, stamp, signal, acting });
  return Object.keys(learnt).length === 0 ? {} : { plate: { ...plate, ...learnt } };
}

type Known<T> = { [K in keyof T]?: Exclude<T[K], undefined> };

/** Only what is known: absent stays absent, which `exactOptionalPropertyTypes` asks for. */
function picked<T extends object>(values: T): Known<T> {
  const known: Known<T> = {};
  for (const key in values) {
    const value = values[key];
    if (isKnown(value)) known[key] = value;
  }
  return known;
}

function isKnown<T>(value: T): value is Exclude<T, undefined> {
  return value !== undefined;
}
