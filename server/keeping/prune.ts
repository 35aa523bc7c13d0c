import { pruneDevices } from '../database/known-devices';
import { pruneTries } from '../database/sign-in-tries';

const EVERY = 60 * 60 * 1000;

/** Once an hour: rows of sign-ins that mean nothing any more. Sessions are swept by their own store. */
export function pruneSignIns(onFailure: (error: unknown) => void): () => void {
  const prune = () => {
    const now = new Date();
    Promise.all([pruneTries(now), pruneDevices(now)]).catch(onFailure);
  };
  const timer = setInterval(prune, EVERY).unref();
  return () => clearInterval(timer);
}
