<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { useMediaQuery } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { useTimeoutFn } from '@vueuse/core';
import { sayMoment } from '../parts/dates';
import { SETTLED_AFTER_MILLISECONDS, stepChanged, useKeys } from '../keys/keys';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';
import PlaceAdvice from './PlaceAdvice.vue';
import PlannedSign from './PlannedSign.vue';
import ScopeAdvice from './ScopeAdvice.vue';
import StepFold from './StepFold.vue';
import StepInHand from './StepInHand.vue';
import TakeBack from './TakeBack.vue';

/** The plan: what came before folds up above, the step in hand stands large, what follows waits below with its reasons. */
const job = useJob();
const { tell } = usePreferences();
const allBefore = ref(false);
const steps = computed(() => job.planned?.steps ?? []);
const done = computed(() =>
  steps.value
    .filter(({ status }) => status === 'done')
    .sort((a, b) => (a.finished?.seq ?? 0) - (b.finished?.seq ?? 0)),
);
const last = computed(() => done.value.at(-1));
const open = computed(() =>
  steps.value.filter((step) => step.status !== 'done' && step.id !== job.inHand?.id),
);
/** On a phone the rest of the plan would keep the tray and the drawing out of reach. */
const NEXT_ON_A_PHONE = 4;
const narrow = useMediaQuery('(max-width: 860px)');
const low = useMediaQuery('(max-height: 600px)');
const allAfter = ref(false);
const after = computed(() =>
  narrow.value && !allAfter.value ? open.value.slice(0, NEXT_ON_A_PHONE) : open.value,
);
const signed = computed(() => job.summary && job.summary.state !== 'open');

const doneWords = (step: PlannedStep) =>
  step.finished
    ? `done ${sayMoment(step.finished.at)}, ${step.finished.by.name.split(' ')[0] ?? ''}`
    : 'done';
function choose(step: PlannedStep): void {
  if (step.status === 'ready') job.chosen = step.id;
}
const otherReady = computed(() => steps.value.filter((step) => step.status === 'ready'));
function nextReady(): void {
  const at = otherReady.value.findIndex(({ id }) => id === job.inHand?.id);
  const next = otherReady.value[(at + 1) % otherReady.value.length];
  if (next) job.chosen = next.id;
}
/** Until then keys do nothing to the step that has just come into hand. */
const fresh = useTimeoutFn(() => undefined, SETTLED_AFTER_MILLISECONDS);
watch(
  () => job.inHand?.id,
  async (_now, before) => {
    stepChanged(job.inHand?.deliberate ?? false);
    fresh.start();
    await nextTick();
    // On a low screen, as at 200 % zoom, plate and scale would fill it: there the job opens at its step.
    if (before === undefined && !low.value) return;
    // A proposal stands over the step: it is seen first.
    const proposed = document.getElementById('scope-advice');
    (proposed ?? document.getElementById('in-hand'))?.scrollIntoView({ block: 'nearest' });
  },
  { immediate: true },
);
useKeys([
  { key: 'n', label: 'Another step that is ready', run: nextReady, when: () => otherReady.value.length > 1 },
]);
</script>

<template>
  <section class="plan" aria-label="The plan">
    <PlannedSign v-if="!signed && job.id" :job="job.id" :version="job.confirmedVersion" />
    <template v-if="last">
      <template v-if="allBefore"
        ><StepFold v-for="step in done" :key="step.id" :step="step"
          >{{ doneWords(step)
          }}<template v-if="step === last && step.finished" #end
            ><TakeBack :key="step.finished.seq" :step="step" /></template></StepFold
      ></template>
      <StepFold v-else :step="last">
        {{ doneWords(last)
        }}<template #end>
          <TakeBack v-if="last.finished" :key="last.finished.seq" :step="last" />
          <button
            v-if="done.length > 1"
            type="button"
            class="unfold label"
            aria-expanded="false"
            @click="allBefore = true"
          >
            {{ done.length === 2 ? '1 step' : `${done.length - 1} steps` }} before this
          </button>
        </template>
      </StepFold>
      <button
        v-if="allBefore"
        type="button"
        class="unfold label"
        aria-expanded="true"
        @click="allBefore = false"
      >
        Fold up what is done
      </button>
    </template>
    <ScopeAdvice />
    <PlaceAdvice />
    <p v-if="signed" class="signed label">
      The certificate is signed. <router-link :to="`/jobs/${job.id}/certificate`">Open it</router-link>
    </p>
    <StepInHand
      v-else-if="job.inHand"
      id="in-hand"
      :key="job.inHand.id"
      :class="{ fresh: fresh.isPending.value }"
      :step="job.inHand"
    />
    <p v-if="job.said && (signed || !job.inHand)" class="problem said" role="alert">{{ job.said }}</p>
    <StepFold
      v-for="step in after"
      :key="step.id"
      :step="step"
      :open="step.status === 'ready'"
      @choose="choose(step)"
    >
      <template v-if="step.status === 'ready'">can be done now · </template>
      <template v-else-if="step.waits.some(({ kind }) => kind === 'part')">waits for the part · </template>
      <template v-if="step.because.kind === 'finding'">because {{ tell(step.because.text) }}</template>
      <template v-else>{{ tell(step.why) }}</template>
    </StepFold>
    <button
      v-if="narrow && open.length > NEXT_ON_A_PHONE"
      type="button"
      class="unfold label"
      :aria-expanded="allAfter"
      @click="allAfter = !allAfter"
    >
      {{ allAfter ? 'Fold up what waits' : `${open.length - after.length} more after these` }}
    </button>
  </section>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 7px;
  align-content: start;
  grid-template-columns: minmax(0, 1fr);
}
.fresh :deep(kbd) {
  visibility: hidden;
}
.unfold {
  justify-self: start;
  font-size: 15px;
  color: var(--muted);
  background: none;
  border: 0;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  min-height: var(--touch);
  cursor: pointer;
}
.said {
  padding: 8px 14px;
  border: 1px solid var(--condemn);
  border-radius: var(--radius);
}
.signed {
  padding: 18px;
  font-size: 20px;
  font-weight: 600;
  border: 1px solid var(--fit);
  border-left-width: 5px;
  border-radius: var(--radius);
}
</style>
