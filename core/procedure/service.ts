import type { Valve } from '../valve';
import { consumableOf } from './consumables';
import type { Draft } from './draft';

const OXYGEN =
  'Oxygen service: no oil or grease at all, on parts, tools or hands; only what the site’s list allows.';

/** The step as this medium allows it: in oxygen nothing oily is fetched, and where it was asked for it is said. */
export function inService({ medium }: Valve, step: Draft): Draft {
  if (!medium?.hazards.includes('oxygen')) return step;
  const clean = step.consumables.filter((name) => !consumableOf(name).oily);
  return clean.length === step.consumables.length
    ? step
    : {
        ...step,
        consumables: [...clean, 'oxygen-compatible lubricant from the site’s list'],
        caution: step.caution ? `${OXYGEN} ${step.caution}` : OXYGEN,
      };
}
