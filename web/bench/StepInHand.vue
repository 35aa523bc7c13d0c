<script setup lang="ts">
import { mdiAlertOutline } from '@mdi/js';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { DEFER } from '@dusk-wren/core/procedure';
import { capital } from '@dusk-wren/core/quantity';
import { taskKind } from '@dusk-wren/core/task';
import { computed, onMounted, provide, useTemplateRef } from 'vue';
import { toEmptyField } from '../keys/fields';
import { sayMinutes } from '../parts/dates';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';
import { STEP_DRAFTS } from '../stores/drafts';
import GaugeLines from './GaugeLines.vue';
import GaugePort from './GaugePort.vue';
import NotNeeded from './NotNeeded.vue';
import ShowMe from './ShowMe.vue';
import { STEP_BAR } from './step-bar';
import { trayOf, type TrayPlace } from './tray';
import { TASK_COMPONENTS } from './tasks';

/** Tasks whose first act is typing: a figure, a lock, an answer. A gauge or a wrench is picked up first. */
const typedFirst = (of: PlannedStep['task']): boolean =>
  of.kind === 'lock' ||
  of.kind === 'ask' ||
  (of.kind === 'measure' &&
    !of.asks.some(({ mustBe, instrument }) => mustBe === 'zero' && instrument === 'gauge'));
/** The step in hand, large: what, why, caution, tools, and its task in place. */
const props = defineProps<{ step: PlannedStep }>();
const job = useJob();
const task = computed(() => props.step.task);
provide(STEP_DRAFTS, `${job.id ?? ''}/${props.step.id}`);
provide(STEP_BAR, useTemplateRef<HTMLElement>('bar'));
const heading = useTemplateRef<HTMLElement>('heading');
/** The hand goes to the first figure, lock number or answer; where nothing is typed first, the keys are the bench's. */
onMounted(() => {
  const now = document.activeElement;
  if (now && now !== document.body && now.id !== 'main') return;
  if (matchMedia('(pointer: fine)').matches && typedFirst(task.value)) {
    const step = heading.value?.closest('article');
    if (step && toEmptyField(step)) return;
  }
  heading.value?.focus({ preventScroll: true });
});
const { tell } = usePreferences();
/** Where what comes off here goes: places are counted as parts come off. */
const off = computed(() =>
  trayOf(job.planned, job.state).filter(({ role }) => props.step.off.includes(role)),
);
/** What is always new is thrown away: no place is kept for it. */
const isScrap = ({ role }: TrayPlace) => {
  const call = job.planned?.calls.get(role);
  return call?.verdict === 'renew' && call.because.length === 0;
};
const scrap = computed(() => off.value.filter(isScrap).map(({ name }) => name));
const tray = computed(() => off.value.filter((each) => !isScrap(each)));
/** What is signed with a PIN says so itself. */
const signed = computed(() => taskKind(task.value).signed === true);
/** Whose word comes first is said once a stage, with its first caution: said with each, nobody reads it. */
const defers = computed(
  () =>
    job.planned?.steps.find(({ stage, caution }) => stage === props.step.stage && caution)?.id ===
    props.step.id,
);
/** Why it is on this job; nothing where it is on every one. */
const because = computed(() => {
  const words = tell(props.step.because.text);
  return words === 'every job' ? '' : words;
});
/** A caution that stood at a step before this one in the stage is read again in a line, not boxed as if it were new. */
const isAgain = computed(() => {
  const steps = job.planned?.steps ?? [];
  const before = steps.slice(
    0,
    steps.findIndex(({ id }) => id === props.step.id),
  );
  return before.some(({ stage, caution }) => stage === props.step.stage && caution === props.step.caution);
});
const needs = computed(() =>
  [...props.step.tools, ...props.step.consumables, ...(props.step.kit ?? [])].join(', '),
);
</script>

<template>
  <article class="in-hand" :class="{ deliberate: step.deliberate }">
    <header class="title">
      <h2 ref="heading" tabindex="-1">{{ step.title }}</h2>
      <ShowMe :step="step" />
    </header>
    <p v-if="step.optional" class="label optional">{{ capital(step.optional) }}.</p>
    <p class="why">{{ tell(step.why) }}</p>
    <p v-if="step.caution" class="caution" :class="{ again: isAgain }">
      <svg viewBox="0 0 24 24" width="22" height="22" role="img" aria-label="Caution">
        <path :d="mdiAlertOutline" fill="currentColor" />
      </svg>
      <span
        >{{ step.caution }}<small v-if="defers"> {{ DEFER }}</small></span
      >
    </p>
    <p class="label meta muted">
      <span>{{ sayMinutes(step.minutes) }}</span><span v-if="needs">take {{ needs }}</span
      ><span v-if="because">here because: {{ because }}</span>
    </p>
    <p v-if="scrap.length > 0" class="label tray">To scrap: {{ scrap.join(', ') }}</p>
    <p v-if="tray.length > 0" class="label tray">
      To the tray:
      <span v-for="each in tray" :key="each.role"
        ><b class="number">{{ each.mark }}</b> {{ each.name }}</span
      >
    </p>
    <p v-if="step.deliberate && !signed" class="label only">
      By its own button alone, no key: pressure or an open valve comes next.
    </p>
    <component :is="TASK_COMPONENTS[task.kind]" :step="step" :task="task" />
    <GaugePort />
    <footer class="foot">
      <p v-if="job.said" class="problem" role="alert">{{ job.said }}</p>
      <GaugeLines />
      <div ref="bar" class="bar">
        <NotNeeded
          v-if="step.optional && (task.kind === 'measure' || task.kind === 'stroke-test')"
          :step="step"
          class="last"
        />
      </div>
    </footer>
  </article>
</template>

<style scoped>
.in-hand {
  padding: 12px 18px 16px;
  background: var(--lit);
  border: 1px solid var(--line);
  border-left: 5px solid var(--lamp);
  border-radius: var(--radius);
  display: grid;
  gap: 9px;
}
.title {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  align-items: start;
}
h2 {
  font-size: 25px;
  font-weight: 700;
}
.why {
  font-size: 17px;
}
.caution {
  display: flex;
  gap: 9px;
  padding: 7px 10px;
  color: var(--ink);
  border: 1px solid var(--hazard);
  border-radius: var(--radius);
}
.again {
  padding: 0;
  border: 0;
}
.caution svg {
  flex: none;
  color: var(--lamp);
}
small {
  margin-left: 6px;
  color: var(--muted);
  font-size: 14px;
}
h2:focus {
  outline: none !important;
}
.foot {
  position: sticky;
  bottom: 0;
  z-index: 2;
  margin: 0 -18px -16px -18px;
  padding: 10px 18px 14px;
  display: grid;
  gap: 8px;
  background: var(--lit);
  border-top: 1px solid var(--line);
}
.foot:has(> .bar:empty:only-child) {
  display: none;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
.last {
  order: 1;
}
@media (max-width: 600px) {
  .title {
    flex-direction: column;
  }
}
@media (max-width: 860px), (max-height: 600px) {
  .foot {
    position: fixed;
    left: var(--rail-left);
    right: 0;
    bottom: var(--rail-foot);
    margin: 0;
    padding: 8px 12px;
    box-shadow: 0 -4px 12px rgb(0 0 0 / 30%);
  }
  .bar > :deep(.lamp) {
    flex: 1 1 auto;
  }
}
/* Under plate and scale, which stay there. */
@media (max-width: 860px) and (min-height: 601px) {
  .in-hand {
    scroll-margin-top: 128px;
  }
}
.only {
  color: var(--lamp);
}
.deliberate :deep(kbd) {
  display: none;
}
.optional {
  color: var(--blue);
}
.tray {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.tray b {
  display: inline-block;
  min-width: 22px;
  text-align: center;
  border: 1px solid var(--muted);
  border-radius: 4px;
}
.meta {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
</style>
