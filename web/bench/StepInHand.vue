<script setup lang="ts">
import { mdiAlertOutline } from '@mdi/js';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { DEFER } from '@dusk-wren/core/procedure';
import { computed } from 'vue';
import { sayMinutes } from '../app/dates';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';
import { trayOf } from './tray';
import AskTask from './tasks/AskTask.vue';
import BluingTask from './tasks/BluingTask.vue';
import BoltUpTask from './tasks/BoltUpTask.vue';
import DoTask from './tasks/DoTask.vue';
import HoldTask from './tasks/HoldTask.vue';
import LappingTask from './tasks/LappingTask.vue';
import LineTask from './tasks/LineTask.vue';
import LockTask from './tasks/LockTask.vue';
import LookTask from './tasks/LookTask.vue';
import MakersSheetTask from './tasks/MakersSheetTask.vue';
import MarksTask from './tasks/MarksTask.vue';
import MeasureTask from './tasks/MeasureTask.vue';
import PackingTask from './tasks/PackingTask.vue';
import PartTask from './tasks/PartTask.vue';
import PlaceTask from './tasks/PlaceTask.vue';
import PressureTestTask from './tasks/PressureTestTask.vue';
import RunoutTask from './tasks/RunoutTask.vue';
import SparesTask from './tasks/SparesTask.vue';
import SignOffTask from './tasks/SignOffTask.vue';
import SignTask from './tasks/SignTask.vue';

/** The step in hand, large: what, why, caution, tools, and its task in place. */
const props = defineProps<{ step: PlannedStep }>();
const task = computed(() => props.step.task);
const job = useJob();
/** Where what comes off here goes: places are counted as parts come off. */
const tray = computed(() =>
  trayOf(job.planned, job.state).filter(({ role }) => props.step.off.includes(role)),
);
const notNeeded = () => job.act({ kind: 'do-step', body: { step: props.step.id, notNeeded: true } });
/** What is signed with a PIN says so itself. */
const signed = computed(() => ['hold', 'sign-off', 'sign'].includes(task.value.kind));
const needs = computed(() => [...props.step.tools, ...props.step.consumables].join(', '));
</script>

<template>
  <article class="in-hand" :class="{ deliberate: step.deliberate }">
    <h2>{{ step.title }}</h2>
    <p v-if="step.optional" class="label optional">Wanted {{ step.optional }}.</p>
    <p class="why">{{ step.why }}</p>
    <p v-if="step.caution" class="caution">
      <svg viewBox="0 0 24 24" width="22" height="22" role="img" aria-label="Caution">
        <path :d="mdiAlertOutline" fill="currentColor" />
      </svg>
      <span
        >{{ step.caution }} <small>{{ DEFER }}</small></span
      >
    </p>
    <p class="label meta muted">
      <span>{{ sayMinutes(step.minutes) }}</span><span v-if="needs">take {{ needs }}</span
      ><span>here because: {{ step.because.text }}</span>
    </p>
    <p v-if="tray.length > 0" class="label tray">
      To the tray:
      <span v-for="each in tray" :key="each.role"
        ><b class="number">{{ each.place }}</b> {{ each.name }}</span
      >
    </p>
    <p v-if="step.deliberate && !signed" class="label only">
      By its own button alone, no key: pressure or an open valve comes next.
    </p>
    <BenchButton v-if="step.optional && task.kind === 'measure'" @press="notNeeded">Not needed</BenchButton>
    <DoTask v-if="task.kind === 'do'" :step="step" :task="task" />
    <MakersSheetTask v-else-if="task.kind === 'makers-sheet'" :step="step" :task="task" />
    <SparesTask v-else-if="task.kind === 'spares'" :step="step" />
    <MarksTask v-else-if="task.kind === 'marks'" :step="step" :task="task" />
    <PlaceTask v-else-if="task.kind === 'place'" :step="step" :task="task" />
    <LineTask v-else-if="task.kind === 'line'" :step="step" />
    <LockTask v-else-if="task.kind === 'lock' || task.kind === 'unlock'" :step="step" :task="task" />
    <SignOffTask v-else-if="task.kind === 'sign-off'" :step="step" :task="task" />
    <AskTask v-else-if="task.kind === 'ask'" :step="step" :task="task" />
    <LookTask v-else-if="task.kind === 'look'" :step="step" :task="task" />
    <MeasureTask v-else-if="task.kind === 'measure'" :step="step" :task="task" />
    <RunoutTask v-else-if="task.kind === 'runout'" :step="step" :task="task" />
    <BluingTask v-else-if="task.kind === 'bluing'" :step="step" :task="task" />
    <LappingTask v-else-if="task.kind === 'lapping'" :step="step" :task="task" />
    <PackingTask v-else-if="task.kind === 'packing'" :step="step" :task="task" />
    <BoltUpTask v-else-if="task.kind === 'bolt-up'" :step="step" :task="task" />
    <PressureTestTask v-else-if="task.kind === 'pressure-test'" :step="step" :task="task" />
    <PartTask v-else-if="task.kind === 'order' || task.kind === 'arrive'" :step="step" :task="task" />
    <HoldTask v-else-if="task.kind === 'hold'" :step="step" :task="task" />
    <SignTask v-else-if="task.kind === 'sign'" :step="step" :task="task" />
    <p v-else class="problem">
      Figures are missing: {{ task.wants.join(', ') }}. Answer the questions of the first stage.
    </p>
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
