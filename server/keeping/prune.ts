import { pruneTold } from '../database/happenings';
import { pruneDevices } from '../database/known-devices';
import { pruneTries } from '../database/sign-in-tries';

const EVERY = 60 * 60 * 1000;

/** Once an hour: rows that mean nothing any more. Sessions are swept by their own store. */
export function pruneHourly(onFailure: (error: unknown) => void): () => void {
  const prune = () => {
    const now = new Date();
    Promise.all([pruneTries(now), pruneDevices(now), pruneTold(now)]).catch(onFailure);
  };
  const timer = setInterval(prune, EVERY).unref();
  return () => clearInterval(timer);
}
