import { outOfRange, type Result } from '../../../problem';
import {
  quantity,
  type Flow,
  type FlowCoefficient,
  type GaugePressure,
  type Length,
  type PressureDifference,
  type Time,
} from '../../../quantity';
import type { Api598Edition, IronBody, MaterialGroup, NominalSize, Orifice } from '../../../standards';

/** What a question about leakage may hold; each standard takes what it needs and says what is missing. */
export interface LeakQuestion {
  code: 'API 598' | 'ISO 5208' | 'FCI 70-2' | 'API 527' | 'MSS SP-61';
  edition?: Api598Edition;
  size?: NominalSize;
  valve?: 'globe' | 'gate' | 'plug' | 'ball' | 'butterfly' | 'check' | 'control' | 'relief';
  seat?: 'metal' | 'soft';
  /** A pressure class or a leak class, as its standard writes it. */
  class?: string;
  rate?: string;
  group?: MaterialGroup;
  iron?: IronBody;
  fluid: 'liquid' | 'gas';
  portDiameter?: Length;
  difference?: PressureDifference;
  ratedCv?: FlowCoefficient;
  orifice?: Orifice;
  setPressure?: GaugePressure;
}

export interface LeakAllowance {
  flow: Flow;
  dropsPerMinute?: number;
  bubblesPerMinute?: number;
  /** Absent where the class that it follows from is not known. */
  testPressure?: GaugePressure;
  hold: Time;
}

/** Says which entry a standard needs and has not got. */
export const needed = (field: keyof LeakQuestion, what: string, standard: string): Result<never> =>
  outOfRange(field, 'nothing', what, `${standard} goes by it`);

export const mlPerMinute = (value: number): Flow => quantity('flow', value, 'mL/min');

/** The pressure class of a question as a number. */
export function pressureClassOf(given: LeakQuestion, standard: string): Result<number> {
  const value = Number(given.class);
  return given.class !== undefined && Number.isInteger(value) && value > 0
    ? { ok: true, value }
    : outOfRange(
        'class',
        given.class ?? 'nothing',
        'the pressure class, such as 600',
        `the test pressure of ${standard} follows from it`,
      );
}
