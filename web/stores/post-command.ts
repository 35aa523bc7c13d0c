import { commandView, staleView } from '@dusk-wren/contract';
import type { Command } from '@dusk-wren/core/command';
import type { JobId } from '@dusk-wren/core/job';
import { ApiProblem, callOr409 } from '../api/client';
import { uploadPhoto } from '../api/photos';
import type { PostAnswer, Sent } from '../sync/ports';
import type { Delay } from '../sync/view';
import { device } from './device';
import { faultOf } from './fault';

const LATE_MILLISECONDS = 10_000;
/** Sent so long after it was done that the server's own clock would be wrong about it. */
const isLate = (at: string) => Date.now() - Date.parse(at) > LATE_MILLISECONDS;

/** Sends what waits, under the name of whose it is. What the server has not decided on waits on. */
export async function postCommand(jobId: JobId, baseVersion: number, sent: Sent): Promise<PostAnswer> {
  const { commandId, command, person, at, confirmation, signer } = sent;
  try {
    await sendKeptPhoto(jobId, command, person.id);
    const answer = await callOr409(`/jobs/${jobId}/commands`, commandView, staleView, {
      method: 'POST',
      person: person.id,
      body: {
        baseVersion,
        commandId,
        command,
        ...(isLate(at) ? { doneAt: at } : {}),
        ...(confirmation === undefined ? {} : { confirmation }),
        ...(signer === undefined ? {} : { signedBy: signer.id }),
      },
    });
    return 'taken' in answer
      ? { kind: 'taken', entries: answer.taken.entries }
      : { kind: 'stale', missed: answer.stale.missed };
  } catch (error) {
    if (error instanceof ApiProblem && error.isDecision) return { kind: 'refused', text: error.message };
    return { kind: 'later', delay: delayOf(error) };
  }
}

/** A photograph that still lies on this device goes before the command that pins it. */
async function sendKeptPhoto(jobId: JobId, command: Command, person: string): Promise<void> {
  if (command.kind !== 'add-photo') return;
  const { photo } = command.body;
  const picture = await device.photo(photo).catch(() => undefined);
  if (!picture) return;
  await uploadPhoto(jobId, photo, picture, person);
  await device.removePhoto(photo);
}

/** Only what no answer came to is lost; what is not understood would not be, however often it is asked. */
export function delayOf(error: unknown): Delay {
  if (!(error instanceof ApiProblem)) return { kind: 'fault', text: faultOf(error) };
  if (error.isAboutSignIn) return { kind: 'sign-in' };
  return error.isLost ? { kind: 'no connection' } : { kind: 'server', text: error.message };
}
