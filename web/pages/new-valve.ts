import type { Quantity } from '@dusk-wren/core/quantity';
import type { MaterialGroup, PackingStyle, PressureClass, StudMaterial } from '@dusk-wren/core/standards';
import { bareFeatures, type Hazard, type Valve } from '@dusk-wren/core/valve';

/** A new valve while it is being typed: every figure may be missing. */
export interface ValveDraft {
  tag: string;
  serial: string;
  customer: string;
  location: string;
  nps: number | null;
  pressureClass: PressureClass | null;
  group: MaterialGroup | null;
  medium: string;
  mediumPressure?: Quantity<'gauge pressure'> | undefined;
  mediumTemperature?: Quantity<'temperature'> | undefined;
  hazards: Hazard[];
  seatKind: 'screwed' | 'integral';
  seatFace: 'hard-faced' | 'plain';
  seatDiameter?: Quantity<'length'> | undefined;
  stem?: Quantity<'length'> | undefined;
  packing: PackingStyle;
  bolts: string;
  thread: string;
  studMaterial: StudMaterial;
  makersTorque?: Quantity<'torque'> | undefined;
  backseat: boolean;
}

export function blankDraft(): ValveDraft {
  return {
    tag: '',
    serial: '',
    customer: '',
    location: '',
    medium: '',
    nps: null,
    pressureClass: null,
    group: null,
    hazards: [],
    seatKind: 'screwed',
    seatFace: 'hard-faced',
    packing: 'die-formed',
    bolts: '',
    thread: '',
    studMaterial: 'B7',
    backseat: true,
  };
}

/** The valve as far as it is known; unknown figures are absent, so that the plan asks for them. */
export function valveFrom(draft: ValveDraft): Valve {
  const bolts = Number(draft.bolts);
  const medium = draft.medium.trim();
  return {
    tag: draft.tag.trim(),
    construction: 'globe-bolted',
    customer: draft.customer,
    location: draft.location.trim(),
    ...(draft.serial.trim() ? { serial: draft.serial.trim() } : {}),
    ...(draft.nps ? { nps: draft.nps } : {}),
    ...(draft.pressureClass ? { pressureClass: draft.pressureClass } : {}),
    ...(draft.group ? { group: draft.group } : {}),
    ...(medium
      ? {
          medium: {
            name: medium,
            hazards: draft.hazards,
            ...(draft.mediumPressure ? { pressure: draft.mediumPressure } : {}),
            ...(draft.mediumTemperature ? { temperature: draft.mediumTemperature } : {}),
          },
        }
      : {}),
    features: {
      ...bareFeatures('globe-bolted'),
      joint: {
        kind: 'bolted-bonnet',
        gasket: 'spiral-wound',
        blindHead: false,
        studMaterial: draft.studMaterial,
        ...(Number.isInteger(bolts) && bolts >= 3 && bolts <= 96 ? { bolts } : {}),
        ...(draft.thread.trim() ? { thread: draft.thread.trim() } : {}),
        ...(draft.makersTorque ? { makersTorque: draft.makersTorque } : {}),
      },
      seat: {
        kind: draft.seatKind,
        face: draft.seatFace,
        ...(draft.seatDiameter ? { diameter: draft.seatDiameter } : {}),
      },
      stem: { motion: 'rising', ...(draft.stem ? { diameter: draft.stem } : {}) },
      packing: { style: draft.packing, chamber: 'finished', adapters: false },
      backseat: draft.backseat,
    },
  };
}
