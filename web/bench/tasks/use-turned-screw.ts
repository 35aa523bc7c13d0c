import type { PlannedStep } from '@dusk-wren/core/plan';
import { formatNumber, quantity, valueIn } from '@dusk-wren/core/quantity';
import type { ScrewAdvice } from '@dusk-wren/core/task';
import { computed } from 'vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';

/** The screw that is advised next, in words, and its turn as it is kept. */
export function useTurnedScrew(
  step: () => PlannedStep,
  advice: () => ScrewAdvice | undefined,
  /** Whether it was turned since it was read. */
  waits: () => boolean,
) {
  const job = useJob();
  const { show } = usePreferences();
  const words = computed(() => {
    const to = advice();
    if (!to) return '';
    if (waits()) return 'turned since it was read. Read it again: what that did is seen then.';
    const turns = valueIn(to.turn, 'turn');
    if (turns === 0) return 'it moves nothing: it slips, or is at its stop. Look at it.';
    const way = turns > 0 ? 'clockwise' : 'anticlockwise';
    const aim =
      to.comesTo.length > 0
        ? `; it should come to ${to.comesTo.map((each) => show(each)).join(' and ')}`
        : ', to see what it does';
    return `${formatNumber(Math.abs(turns), 2)} turns ${way}${aim}.`;
  });
  /** Keeps a turn; whether it was kept. */
  function turn(turns: number): boolean {
    const { screw } = advice() ?? {};
    if (screw === undefined) return false;
    const by = quantity('angle', turns, 'turn');
    return job.act({ kind: 'turn-screw', body: { step: step().id, screw, by } });
  }
  return { words, turn };
}
