import type { Sequelize } from 'sequelize';
import { eraseLongGone } from '../database/erase-person';
import { pruneTold } from '../database/happenings';
import { pruneDevices } from '../database/known-devices';
import { pruneTries } from '../database/sign-in-tries';

const EVERY = 60 * 60 * 1000;

/**
 * Once an hour: rows that mean nothing any more, and what is known of who left longer ago than the shop keeps it. Sessions are
 * swept by their own store.
 */
export function pruneHourly(sequelize: Sequelize, onFailure: (error: unknown) => void): () => void {
  const prune = () => {
    const now = new Date();
    Promise.all([pruneTries(now), pruneDevices(now), pruneTold(now), eraseLongGone(sequelize, now)]).catch(
      onFailure,
    );
  };
  const timer = setInterval(prune, EVERY).unref();
  return () => clearInterval(timer);
}
