import type { Quantity } from '../quantity';
import type { PressureClass, StudMaterial } from '../standards';
import type { ConstructionId } from './constructions';
import { withDetails, type Details } from './details';
import { boltedJoint, type Features } from './features';
import type { Hazard } from './medium';
import type { PlateRead } from './plate-reader';
import { bareFeatures, type Ends, type Valve } from './valve';

/** A new valve while it is being typed: every figure may be missing. */
export interface ValveDraft {
  tag: string;
  serial: string;
  customer: string;
  location: string;
  construction: ConstructionId;
  /** Its kinds and variants as chosen, without figures. */
  features: Features;
  /** What else its plate says. */
  plate: NonNullable<Valve['plate']>;
  nps: number | null;
  pressureClass: PressureClass | null;
  ratedPressure?: Quantity<'gauge pressure'> | undefined;
  group: Details['group'] | null;
  ends: Ends | null;
  medium: string;
  mediumPressure?: Quantity<'gauge pressure'> | undefined;
  mediumTemperature?: Quantity<'temperature'> | undefined;
  hazards: Hazard[];
  h2s?: Quantity<'ratio'> | undefined;
  seatDiameter?: Quantity<'length'> | undefined;
  stem?: Quantity<'length'> | undefined;
  bolts: string;
  thread: string;
  studMaterial: StudMaterial;
  makersTorque?: Quantity<'torque'> | undefined;
}

export function blankDraft(): ValveDraft {
  return {
    tag: '',
    serial: '',
    customer: '',
    location: '',
    construction: 'globe-bolted',
    features: bareFeatures('globe-bolted'),
    medium: '',
    plate: {},
    nps: null,
    pressureClass: null,
    group: null,
    ends: null,
    hazards: [],
    bolts: '',
    thread: '',
    studMaterial: 'B7',
  };
}

/** What was set by a plate line alone, and not since by hand. */
const OF_PLATE = ['tag', 'serial', 'nps', 'pressureClass', 'ratedPressure', 'group'] as const;

/** A figure read, and the same figure shown in a field and read again. */
const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The draft as it was before that line: another plate was read, and nothing of the first may stay on the valve. */
export function withoutPlate(draft: ValveDraft, { plate }: PlateRead): ValveDraft {
  const blank = blankDraft();
  const own = Object.fromEntries(
    OF_PLATE.flatMap((key) =>
      plate[key] !== undefined && isSame(draft[key], plate[key]) ? [[key, blank[key]] as const] : [],
    ),
  );
  const stamped = Object.entries(draft.plate).filter(
    ([key, value]) => !Object.entries(plate).some(([name, read]) => name === key && isSame(read, value)),
  );
  return { ...draft, ...own, plate: Object.fromEntries(stamped) };
}

/** A nameplate line read into the draft, in place of the one before it; what it does not say is left as it was. */
export function withPlate(before: ValveDraft, { plate }: PlateRead, replaced?: PlateRead): ValveDraft {
  const draft = replaced ? withoutPlate(before, replaced) : before;
  const { tag, serial, nps, pressureClass, ratedPressure, group, bodyMaterial: _grade, ...rest } = plate;
  return {
    ...draft,
    plate: { ...draft.plate, ...rest },
    ...(tag === undefined ? {} : { tag }),
    ...(serial === undefined ? {} : { serial }),
    ...(nps === undefined ? {} : { nps }),
    ...(pressureClass === undefined ? {} : { pressureClass }),
    ...(ratedPressure === undefined ? {} : { ratedPressure }),
    ...(group === undefined ? {} : { group }),
  };
}

/** Another construction: its usual features, everything else kept. */
export const ofConstruction = (draft: ValveDraft, construction: ConstructionId): ValveDraft => ({
  ...draft,
  construction,
  features: bareFeatures(construction),
});

/** The valve as far as it is known; unknown figures are absent, so that the plan asks for them. */
export function valveFrom(draft: ValveDraft): Valve {
  const bolts = Number(draft.bolts);
  const medium = draft.medium.trim();
  const bolted = boltedJoint(draft.features) !== undefined;
  return withDetails(
    {
      tag: draft.tag.trim(),
      construction: draft.construction,
      customer: draft.customer,
      location: draft.location.trim(),
      ...(draft.ends ? { ends: draft.ends } : {}),
      ...(Object.keys(draft.plate).length > 0 ? { plate: draft.plate } : {}),
      ...(medium
        ? {
            medium: {
              name: medium,
              hazards: draft.hazards,
              ...(draft.mediumPressure ? { pressure: draft.mediumPressure } : {}),
              ...(draft.h2s ? { h2s: draft.h2s } : {}),
              ...(draft.mediumTemperature ? { temperature: draft.mediumTemperature } : {}),
            },
          }
        : {}),
      features: draft.features,
    },
    {
      ...(draft.serial.trim() ? { serial: draft.serial.trim() } : {}),
      ...(draft.nps ? { nps: draft.nps } : {}),
      ...(draft.pressureClass ? { pressureClass: draft.pressureClass } : {}),
      ...(draft.ratedPressure ? { ratedPressure: draft.ratedPressure } : {}),
      ...(draft.group ? { group: draft.group } : {}),
      ...(bolted && Number.isInteger(bolts) && bolts >= 3 && bolts <= 96 ? { bolts } : {}),
      ...(bolted && draft.thread.trim() ? { thread: draft.thread.trim() } : {}),
      ...(bolted ? { studMaterial: draft.studMaterial } : {}),
      ...(bolted && draft.makersTorque ? { makersTorque: draft.makersTorque } : {}),
      ...(draft.seatDiameter ? { seatDiameter: draft.seatDiameter } : {}),
      ...(draft.stem ? { stemDiameter: draft.stem } : {}),
    },
  );
}
