import { capital } from '../../quantity';
import type { PartRole } from '../../valve';
import type { Sketch } from '../sequence';

/** A diaphragm between plates: what it is called, and what holds it, on the valve it stands in. */
interface Stack {
  readonly id: string;
  readonly diaphragm: PartRole;
  readonly plates: readonly PartRole[];
  readonly held: readonly PartRole[];
}

/** A diaphragm stack taken apart. Shared by every valve and actuator that has one. */
export const stackApart = ({ id, diaphragm, plates, held }: Stack, also: Partial<Sketch> = {}): Sketch => ({
  id: `strip.${id}`,
  title: held.length > 0 ? `Nut off; ${diaphragm} off its plates` : `${capital(diaphragm)} out`,
  why: 'Note which way up each lies, and where the part number stands.',
  off: [...held, ...plates, diaphragm],
  minutes: 6,
  ...also,
});

/** And together again, the right way up. */
export const stackTogether = (
  { id, diaphragm, plates, held }: Stack,
  also: Partial<Sketch> = {},
): Sketch => ({
  id: `rebuild.${id}`,
  title: `${plates.length > 0 ? `Plates and ${diaphragm}` : capital(diaphragm)} the right way up`,
  why: 'The part number down, the bevel of the plate down: the other way round it is cut in a day.',
  caution: 'Wrong way up it works on the bench and fails in service.',
  on: [...plates, diaphragm, ...held],
  minutes: 8,
  ...also,
});
