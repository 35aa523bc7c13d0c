import type { Place } from '../job';
import {
  HAZARDS,
  rolesByRoom,
  type Features,
  type Hazard,
  type PartRole,
  type Room,
  type Valve,
} from '../valve';
import { closureProcedure } from './closures';
import { consumableOf } from './consumables';
import type { Draft } from './draft';
import { chosenFor } from './lubricants';

const OXYGEN =
  'Oxygen service: no oil or grease at all, on parts, tools or hands; only what the site’s list allows.';

/** The step as this medium and this place allow it. */
export const inService = (valve: Valve, place: Place, step: Draft): Draft =>
  guarded(valve, place, clean(valve, { ...step, consumables: chosenFor(valve, step.consumables) }));

/** In oxygen nothing oily is fetched, and where it was asked for it is said. */
function clean({ medium }: Valve, step: Draft): Draft {
  if (!medium?.hazards.includes('oxygen')) return step;
  const allowed = step.consumables.filter((name) => !consumableOf(name).oily);
  return allowed.length === step.consumables.length
    ? step
    : {
        ...step,
        consumables: [...allowed, 'oxygen-compatible lubricant from the site’s list'],
        caution: step.caution ? `${OXYGEN} ${step.caution}` : OXYGEN,
      };
}

/** What guards whoever slackens a joint, and whoever stands at line pressure: there it is not let cool first. */
const SLACKENED: readonly Hazard[] = ['hot', 'flammable', 'h2s', 'corrosive'];
const LIVE: readonly Hazard[] = ['flammable', 'h2s', 'corrosive'];

/** A poisonous or burning medium is said at every step that slackens a joint, and at every step at line pressure. */
function guarded(valve: Valve, place: Place, step: Draft): Draft {
  const against = slackens(valve, step) ? SLACKENED : isLive(valve, place, step) ? LIVE : [];
  const guards = (valve.medium?.hazards ?? [])
    .filter((hazard) => against.includes(hazard))
    .map((hazard) => HAZARDS[hazard].guard)
    .filter((guard) => step.caution?.includes(guard) !== true);
  return guards.length === 0
    ? step
    : { ...step, caution: [step.caution, ...guards].filter((words) => words !== undefined).join(' ') };
}

/** Rooms that hold the pressure in; where closure and mover are one thing, its housing does. */
const heldIn = (features: Features): readonly Room[] => [
  'gland',
  'joint',
  'packing',
  ...(closureProcedure(features).steps ? [] : (['mover'] as const)),
];

function holdsPressure({ features }: Valve, parts: readonly PartRole[]): boolean {
  const roles = rolesByRoom(features);
  return heldIn(features).some((room) => roles[room].some((part) => parts.includes(part)));
}

const slackens = (valve: Valve, { stage, task, parts }: Draft): boolean =>
  stage === 'strip' && task.kind === 'do' && holdsPressure(valve, parts);

function isLive(valve: Valve, place: Place, { stage, isolation, parts, task }: Draft): boolean {
  if (stage === 'diagnose') return holdsPressure(valve, parts);
  if (stage === 'test') return place === 'in line' && task.kind !== 'hold';
  return isolation !== undefined && 'live' in isolation;
}
