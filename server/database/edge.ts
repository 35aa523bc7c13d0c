import type { Command, Edge } from '@dusk-wren/core/command';
import type { JobId, PersonStamp } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import { countsBySymptom } from './fault-counts';
import { stampsFor } from './instruments';
import { findPerson } from './people';
import { isPhotoOf } from './photos';
import { findUnitToTake } from './shelf';
import { listKits } from './stock';

interface Moment {
  readonly jobId: JobId;
  readonly person: PersonStamp;
  /** When the command is held to have been done. */
  readonly at: string;
  /** When it reached us. */
  readonly now: string;
}

/**
 * What is outside a job's log and a command asks for, looked up in its transaction before the core decides. What its kind
 * never asks for is not read.
 */
export async function edgeFor(
  command: Command,
  { jobId, person, at, now }: Moment,
  transaction: Transaction,
): Promise<Edge> {
  const { kind, body } = command;
  const counts = kind === 'place-fault' ? await countsBySymptom(transaction) : () => ({});
  const colleague = kind === 'assign-person' ? await findPerson(body.person.id, transaction) : undefined;
  const kits = kind === 'match-spares' ? await listKits(transaction) : [];
  const photoIsHere = kind === 'add-photo' && (await isPhotoOf(jobId, body.photo, transaction));
  const unit = kind === 'take-unit' ? await findUnitToTake(body.unit, transaction) : undefined;
  return {
    person,
    now: at,
    // Whatever its device says, a reading is good only by an instrument in calibration on the day it reaches us.
    instrument: await stampsFor(command, now, transaction),
    faultCounts: counts,
    colleague: () => colleague,
    kits: () => kits,
    isPhotoOfJob: () => photoIsHere,
    unit: () => unit,
  };
}
