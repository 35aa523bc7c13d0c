import { screwEffectsView } from '@dusk-wren/contract';
import { NOTHING_TAUGHT, type Taught } from '@dusk-wren/core/task';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { useJob } from './job';

/** What the screws of this valve's model did the last time, to a first guess. Nothing where nobody knows, or nobody answers. */
export function useScrewEffects() {
  const job = useJob();
  const model = computed(() => job.planned?.valve.plate?.model);
  const { data } = useQuery({
    key: () => ['screw-effects', model.value ?? ''],
    query: () =>
      call(
        `/screw-effects?${new URLSearchParams({ model: model.value ?? '' }).toString()}`,
        screwEffectsView,
      ),
    enabled: () => model.value !== undefined,
  });
  return computed<Taught>(() => {
    const effects = data.value?.effects;
    if (!effects) return NOTHING_TAUGHT;
    return (screw, what) => effects.find((each) => each.screw === screw && each.what === what)?.perTurn;
  });
}
