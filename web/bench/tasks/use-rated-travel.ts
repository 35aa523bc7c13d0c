import { COUPLED, MATCH } from '@dusk-wren/core/inspection';
import { measuredLast } from '@dusk-wren/core/job';
import { computed } from 'vue';
import { useJob } from '../../stores/job';

/** The travel of this valve on its own scale, where somebody has taken it. */
export function useRatedTravel() {
  const job = useJob();
  return computed(
    () =>
      job.state &&
      (measuredLast(job.state, COUPLED.travel, 'length') ?? measuredLast(job.state, MATCH.stroke, 'length')),
  );
}
