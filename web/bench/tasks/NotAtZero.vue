<script setup lang="ts">
import { feedsOf, SIDES, type EnergyKind } from '@dusk-wren/core/isolation';
import { lineOf } from '@dusk-wren/core/job';
import { broughtBack, type PlannedStep } from '@dusk-wren/core/plan';
import { computed, ref } from 'vue';
import LineDrawing from '../../drawings/LineDrawing.vue';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';

/** Ways on from a gauge that does not come to zero: find what feeds it, shut it off another way, have the lead know. */
const props = defineProps<{
  step: PlannedStep;
  what: string;
  energy: EnergyKind | undefined;
  reads: string;
}>();
const job = useJob();
const looking = ref(false);
const changing = ref(false);
const line = computed(() => job.state && lineOf(job.state));
/** The side that is still fed, drawn in the line. */
const side = computed(() => SIDES.find((at) => props.energy === `${at} pressure`));
const feeds = computed(() => (line.value && props.energy ? feedsOf(props.energy, line.value) : []));

const strike = computed(() => {
  const drawn = job.state?.records['line-drawn'].at(-1);
  return (
    drawn && {
      kind: 'strike-entry' as const,
      body: { entry: drawn.seq, reason: `${props.what} did not come to zero: shut off another way` },
    }
  );
});
const refusal = computed(() => (strike.value ? job.refusal(strike.value) : 'No line is drawn.'));
const comesBack = computed(() => {
  const then = strike.value && job.would(strike.value);
  return then && job.planned ? broughtBack(job.planned, then).map(({ title }) => title) : [];
});
function change(): void {
  if (strike.value) job.act(strike.value);
}

const told = computed(() =>
  job.state?.records['note-added'].findLast(({ body }) => body.text.startsWith(words.value)),
);
const words = computed(() => `Lead to know: ${props.what} stands at ${props.reads}.`);
const tell = () => job.act({ kind: 'add-note', body: { text: words.value } });
</script>

<template>
  <section class="not-at-zero">
    <p class="problem" role="alert">
      Not at zero: {{ reads }}. Something still feeds it: a block valve may pass. Nothing is opened until it
      is found.
    </p>
    <div class="ways">
      <BenchButton v-if="feeds.length > 0" @press="looking = !looking">Find what feeds it</BenchButton>
      <BenchButton v-if="line" @press="changing = !changing">Change how it is shut off</BenchButton>
      <BenchButton :disabled="told !== undefined" :lacking="told ? 'written down' : ''" @press="tell"
        >Tell the lead</BenchButton
      >
    </div>
    <LineDrawing
      v-if="line && side"
      :line="line"
      :tag="job.planned?.valve.tag ?? ''"
      :fails="side"
      class="line"
    />
    <ol v-if="looking">
      <li v-for="each in feeds" :key="each">{{ each }}</li>
    </ol>
    <div v-if="changing" class="change" @keydown.escape.stop="changing = false">
      <p v-if="refusal" class="problem">{{ refusal }}</p>
      <template v-else>
        <p>
          The line is chosen again; every lock stays where it hangs.<template v-if="comesBack.length > 0">
            Asked for again: {{ comesBack.join('; ') }}.</template
          >
        </p>
        <div class="ways">
          <BenchButton @press="change">Choose the line again</BenchButton>
          <BenchButton @press="changing = false">Leave it</BenchButton>
        </div>
      </template>
    </div>
  </section>
</template>

<style scoped>
.not-at-zero,
.change {
  display: grid;
  gap: 8px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
ol {
  list-style: decimal;
  padding-left: 24px;
  display: grid;
  gap: 4px;
}
</style>
