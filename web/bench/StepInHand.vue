<script setup lang="ts">
import { mdiAlertOutline } from '@mdi/js';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { DEFER } from '@dusk-wren/core/procedure';
import { taskKind } from '@dusk-wren/core/task';
import { computed, onMounted, provide, useTemplateRef } from 'vue';
import { toEmptyField } from '../keys/fields';
import { sayMinutes } from '../parts/dates';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';
import { STEP_DRAFTS } from '../stores/drafts';
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
    if (heading.value?.parentElement && toEmptyField(heading.value.parentElement)) return;
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
const notNeeded = () => job.act({ kind: 'do-step', body: { step: props.step.id, notNeeded: true } });
/** What is signed with a PIN says so itself. */
const signed = computed(() => taskKind(task.value).signed === true);
/** Whose word comes first is said once a stage, with its first caution: said with each, nobody reads it. */
const defers = computed(
  () =>
    job.planned?.steps.find(({ stage, caution }) => stage === props.step.stage && caution)?.id ===
    props.step.id,
);
const needs = computed(() =>
  [...props.step.tools, ...props.step.consumables, ...(props.step.kit ?? [])].join(', '),
);
</script>

<template>
  <article class="in-hand" :class="{ deliberate: step.deliberate }">
    <h2 ref="heading" tabindex="-1">{{ step.title }}</h2>
    <p v-if="step.optional" class="label optional">Wanted {{ step.optional }}.</p>
    <p class="why">{{ tell(step.why) }}</p>
    <p v-if="step.caution" class="caution">
      <svg viewBox="0 0 24 24" width="22" height="22" role="img" aria-label="Caution">
        <path :d="mdiAlertOutline" fill="currentColor" />
      </svg>
      <span
        >{{ step.caution }}<small v-if="defers"> {{ DEFER }}</small></span
      >
    </p>
    <p class="label meta muted">
      <span>{{ sayMinutes(step.minutes) }}</span><span v-if="needs">take {{ needs }}</span
      ><span>here because: {{ tell(step.because.text) }}</span>
    </p>
    <p v-if="scrap.length > 0" class="label tray">To scrap: {{ scrap.join(', ') }}</p>
    <p v-if="tray.length > 0" class="label tray">
      To the tray:
      <span v-for="each in tray" :key="each.role"
        ><b class="number">{{ each.place }}</b> {{ each.name }}</span
      >
    </p>
    <p v-if="step.deliberate && !signed" class="label only">
      By its own button alone, no key: pressure or an open valve comes next.
    </p>
    <component :is="TASK_COMPONENTS[task.kind]" :step="step" :task="task" />
    <footer class="foot">
      <p v-if="job.said" class="problem" role="alert">{{ job.said }}</p>
      <div ref="bar" class="bar">
        <BenchButton v-if="step.optional && task.kind === 'measure'" class="last" @press="notNeeded"
          >Not needed</BenchButton
        >
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
.caution svg {
  flex: none;
  color: var(--lamp);
}
small {
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
