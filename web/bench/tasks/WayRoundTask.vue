<script setup lang="ts">
import { wayRoundOn, waysOf } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { capital } from '@dusk-wren/core/quantity';
import { wantedRound, type RoundAsk, type TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import WayRoundPicture from '../../drawings/ways-round/WayRoundPicture.vue';
import { useJob } from '../../stores/job';

/** Which way round a part stands, chosen between two pictures; at rebuild beside how it came. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'way-round'> }>();
const job = useJob();
const rows = computed(() =>
  props.task.rounds.map((ask) => {
    const seen = job.state && wayRoundOn(job.state, props.step.id, ask.what);
    const wanted = job.state && wantedRound(job.state, ask);
    return {
      ...ask,
      ways: waysOf(ask.what),
      seen,
      came: job.state && ask.was !== undefined ? wayRoundOn(job.state, ask.was, ask.what) : undefined,
      isOff: seen !== undefined && wanted !== undefined && seen !== wanted,
      wanted,
    };
  }),
);
const choose = ({ what }: RoundAsk, way: string) =>
  job.act({ kind: 'see-way-round', body: { step: props.step.id, what, way } });
</script>

<template>
  <div class="rounds">
    <fieldset v-for="row in rows" :key="row.what">
      <legend>
        {{ capital(row.what) }}:
        <template v-if="row.turned">the other way round than it came</template>
        <template v-else-if="row.came">as it came</template>
        <template v-else-if="row.settled">which way does it go in?</template>
        <template v-else>which way does it lie?</template>
      </legend>
      <div class="ways">
        <button
          v-for="way in row.ways"
          :key="way"
          type="button"
          class="way"
          :class="{ off: row.isOff && row.seen === way }"
          :aria-pressed="row.seen === way"
          @click="choose(row, way)"
        >
          <WayRoundPicture :what="row.what" :way="way" />
          <b>{{ way }}</b>
          <span v-if="row.came === way" class="label muted">so it came</span>
        </button>
      </div>
      <p v-if="row.isOff" class="problem" role="alert">
        Wrong way round: it goes in {{ row.wanted }}. Turn it before anything is closed over it.
      </p>
    </fieldset>
  </div>
</template>

<style scoped>
.rounds {
  display: grid;
  gap: 16px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  padding: 0 0 8px;
  font-size: 17px;
}
.ways {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 220px));
  gap: 12px;
}
.way {
  display: grid;
  grid-template-rows: 90px auto auto;
  gap: 6px;
  justify-items: center;
  padding: 10px;
  font-size: 16px;
  color: var(--ink);
  background: none;
  border: 2px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.way[aria-pressed='true'] {
  border-color: var(--blue);
}
.way.off {
  border-color: var(--condemn, var(--lamp));
}
</style>
