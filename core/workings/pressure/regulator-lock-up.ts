import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { si, type GaugePressure, type PressureDifference } from '../../quantity';
import { REGULATOR, REGULATOR_LIMITS } from '../../standards';
import { quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  wanted: quantityField('gauge pressure', { label: 'Set pressure wanted', example: '30 psig' }),
  flowing: quantityField('gauge pressure', { label: 'Outlet, at a steady flow', example: '30.2 psig' }),
  shut: quantityField('gauge pressure', {
    label: 'Outlet, one minute after it is shut',
    example: '32 psig',
    inExample: true,
  }).exactOptional(),
  later: quantityField('gauge pressure', {
    label: 'Outlet, five minutes later',
    example: '32 psig',
    inExample: true,
  }).exactOptional(),
});

export interface RegulatorLockUp {
  lowest: GaugePressure;
  highest: GaugePressure;
  lockUp?: PressureDifference;
  most: GaugePressure;
  creep?: PressureDifference;
  verdict: 'fit' | 'not fit';
}

/**
 * A regulator’s set and lock-up: set within 2 % at a steady flow; lock-up, the outlet a minute after it is shut less its
 * set, at most 10 % of set or 1 psi, whichever is more; creep, what it rises in the five minutes after, none that the
 * gauge shows. Errors: a later reading without the first. Source: common practice.
 * Example: 30 psig wanted, 30.2 flowing, 32 shut, 32 later → lock-up 1.8 psi of 3, no creep: fit.
 */
export const regulatorLockUp: Working<typeof input, RegulatorLockUp> = {
  id: 'regulator.lock-up',
  title: 'Set and lock-up of a regulator',
  asks: ['regulator', 'lock-up', 'creep', 'set pressure', 'reducing valve', 'no flow'],
  meaning: 'Whether a regulator holds what it is set to, and shuts when nothing is drawn.',
  input,
  results: {
    lowest: 'Set, lowest',
    highest: 'Set, highest',
    lockUp: 'Lock-up',
    most: 'Shut, at most',
    creep: 'Creep',
    verdict: 'Verdict',
  },
  source: REGULATOR,
  work: ({ wanted, flowing, shut, later }): Result<Worked<RegulatorLockUp>> => {
    if (later && !shut) return inConflict(['shut', 'later'], 'The reading after one minute comes first.');
    const sheet = sheetFor(wanted);
    const { setWithin, lockUpShare, lockUpLeast, creepShows } = REGULATOR_LIMITS;
    const gauge = (pascals: number) => sheet.of('gauge pressure', pascals);
    const difference = (pascals: number) => sheet.of('pressure difference', pascals);
    const set = si(wanted);
    const [lowest, highest] = [gauge(set * (1 - setWithin)), gauge(set * (1 + setWithin))];
    const most = set + Math.max(lockUpShare * set, lockUpLeast);
    const lockUp = shut && si(shut) - si(flowing);
    const creep = shut && later && si(later) - si(shut);
    const isSet = Math.abs(si(flowing) - set) <= setWithin * set * (1 + 1e-9);
    const isShut = (!shut || si(shut) <= most * (1 + 1e-9)) && (creep ?? 0) <= creepShows;
    return ok({
      result: {
        lowest,
        highest,
        ...(lockUp === undefined ? {} : { lockUp: difference(lockUp) }),
        most: gauge(most),
        ...(creep === undefined ? {} : { creep: difference(creep) }),
        verdict: isSet && isShut ? 'fit' : 'not fit',
      },
      steps: [
        line('Set', 'within 2 %', `${shown(lowest)} to ${shown(highest)}`, flowing),
        line('Shut, at most', 'set + the more of 10 % and 1 psi', shown(wanted), gauge(most)),
        ...(lockUp === undefined ? [] : [line('Lock-up', 'shut − flowing', '', difference(lockUp))]),
        ...(creep === undefined
          ? []
          : [line('Creep', 'five minutes later − after one', '', difference(creep))]),
      ],
      notes: [
        'Shut the outlet slowly; a small volume behind it, with a relief valve of its own.',
        'Creeping up is the seat, or dirt on it.',
      ],
      source: REGULATOR,
    });
  },
};
