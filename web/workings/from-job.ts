import { jobView } from '@dusk-wren/contract';
import { figuresFor } from '@dusk-wren/core/figures';
import { fold } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import type { UnitSystem } from '@dusk-wren/core/quantity';
import type { RegisteredWorking } from '@dusk-wren/core/workings';
import { call } from '../api/client';
import type { Typed } from './given';

/** What an open job knows of the fields of a working, as it would be typed, and the tag of its valve. */
export async function figuresFromJob(
  id: string,
  working: RegisteredWorking,
  units: UnitSystem,
): Promise<{ readonly tag: string; readonly figures: Typed }> {
  const { entries } = await call(`/jobs/${id}`, jobView);
  const state = fold(entries);
  const planned = state.ok ? plan(state.value) : undefined;
  if (!state.ok || !planned?.ok || !planned.value) throw new Error('this job is of another version');
  return {
    tag: planned.value.valve.tag,
    figures: figuresFor(working, planned.value, state.value, units),
  };
}

/** How many figures came from where, in words. */
export function saidOfFill({ tag, figures }: { tag: string; figures: Typed }): string {
  const count = Object.keys(figures).length;
  if (count === 0) return `${tag} knows nothing of what is asked here.`;
  return `${count === 1 ? 'One figure' : `${count} figures`} from ${tag}.`;
}
