import type { RoundOf } from '../../job';
import { capital } from '../../quantity';
import type { PartRole } from '../../valve';
import { stepName, type StepName } from '../relations';
import type { Sketch } from '../sequence';
import { putRound, seenRound } from './taken';

/** A diaphragm between plates: what it is called, and what holds it, on the valve it stands in. */
interface Stack {
  readonly id: string;
  readonly diaphragm: PartRole;
  readonly plates: readonly PartRole[];
  readonly held: readonly PartRole[];
  /** What tells its sides apart. */
  readonly told: RoundOf;
}

const apartOf = (id: string): StepName => stepName('strip', id);

/** A diaphragm stack taken apart. Shared by every valve and actuator that has one. */
export const stackApart = (
  { id, diaphragm, plates, held, told }: Stack,
  also: Partial<Sketch> = {},
): Sketch => ({
  id: apartOf(id),
  title: held.length > 0 ? `Nut off; ${diaphragm} off its plates` : `${capital(diaphragm)} out`,
  why: 'Which way up it lies is seen before it is turned over.',
  task: seenRound(told),
  off: [...held, ...plates, diaphragm],
  minutes: 6,
  ...also,
});

/** And together again, the right way up. */
export const stackTogether = (
  { id, diaphragm, plates, held, told }: Stack,
  also: Partial<Sketch> = {},
): Sketch => ({
  id: `rebuild.${id}`,
  title: `${plates.length > 0 ? `Plates and ${diaphragm}` : capital(diaphragm)} the right way up`,
  why: 'As it lay: the other way round it is cut in a day.',
  task: putRound(apartOf(id), told),
  caution: 'Wrong way up it works on the bench and fails in service.',
  on: [...plates, diaphragm, ...held],
  minutes: 8,
  ...also,
});
