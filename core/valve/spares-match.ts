import { z } from 'zod';
import { formatSize, NOMINAL_SIZES, PRESSURE_CLASSES } from '../standards';
import { CONSTRUCTION_IDS, CONSTRUCTIONS } from './constructions';
import { plateKey } from './plate-reader';
import type { Valve } from './valve';

export const SPARE_KINDS = ['kit', 'insert', 'trim', 'torque sheet', 'parts list'] as const;

/** A spare or a paper laid out for the job, by what is printed on it; what is not printed is absent. */
export const laidSpare = z.strictObject({
  what: z.enum(SPARE_KINDS),
  construction: z.enum(CONSTRUCTION_IDS).exactOptional(),
  nps: z
    .number()
    .refine((nps) => NOMINAL_SIZES.some(([each]) => each === nps), 'not a nominal size')
    .exactOptional(),
  pressureClass: z.literal(PRESSURE_CLASSES).exactOptional(),
  model: z.string().trim().min(1).max(60).exactOptional(),
  /** Size code, K or order key. */
  code: z.string().trim().min(1).max(40).exactOptional(),
  serial: z.string().trim().min(1).max(60).exactOptional(),
});
export type LaidSpare = z.output<typeof laidSpare>;

/** One thing printed on a spare, held against the plate. */
export interface SpareLine {
  readonly what: LaidSpare['what'];
  readonly field: string;
  readonly printed: string;
  readonly plate: string;
  readonly verdict: 'agrees' | 'mismatch' | 'not on the plate';
}

/** Every printed thing against the plate. A mismatch stops the job before the valve leaves its line (common practice). */
export function matchSpares(valve: Valve, laid: readonly LaidSpare[]): SpareLine[] {
  return laid.flatMap(({ what, construction, nps, pressureClass, model, code, serial }) => [
    ...held(
      what,
      'construction',
      construction && CONSTRUCTIONS[construction].name,
      CONSTRUCTIONS[valve.construction].name,
    ),
    ...held(
      what,
      'size',
      nps === undefined ? undefined : formatSize({ nps }),
      valve.nps === undefined ? undefined : formatSize({ nps: valve.nps }),
    ),
    ...held(what, 'class', pressureClass?.toString(), valve.pressureClass?.toString()),
    ...held(what, 'model', model, valve.plate?.model),
    ...held(what, 'code', code, valve.plate?.sizeCode),
    ...held(what, 'serial', serial, valve.serial),
  ]);
}

function held(
  what: LaidSpare['what'],
  field: string,
  printed: string | undefined,
  plate: string | undefined,
): SpareLine[] {
  if (printed === undefined) return [];
  const verdict =
    plate === undefined ? 'not on the plate' : plateKey(printed) === plateKey(plate) ? 'agrees' : 'mismatch';
  return [{ what, field, printed, plate: plate ?? 'nothing', verdict }];
}

/** What does not agree, in words; empty when all of it does. */
export const mismatches = (lines: readonly SpareLine[]): string[] =>
  lines
    .filter(({ verdict }) => verdict === 'mismatch')
    .map(({ what, field, printed, plate }) => `${what}: ${field} ${printed}, the plate says ${plate}`);
