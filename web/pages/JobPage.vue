<script setup lang="ts">
import { SCOPE_WORDS, type Stage } from '@dusk-wren/core/job';
import type { PartRole } from '@dusk-wren/core/valve';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { sayDay, sayMinutes } from '../parts/dates';
import { PANELS, provideLeftPanel } from '../bench/left-panel';
import HistoryPanel from '../bench/HistoryPanel.vue';
import JobTools from '../bench/JobTools.vue';
import KitPanel from '../bench/KitPanel.vue';
import WaysPanel from '../bench/WaysPanel.vue';
import TrayPanel from '../bench/TrayPanel.vue';
import PartsPanel from '../bench/PartsPanel.vue';
import PlanColumn from '../bench/PlanColumn.vue';
import SectionPanel from '../bench/SectionPanel.vue';
import SyncSign from '../bench/SyncSign.vue';
import { useKeys } from '../keys/keys';
import { useFolding } from '../parts/folding';
import ImportedSign from '../parts/ImportedSign.vue';
import RecalledSign from '../parts/RecalledSign.vue';
import NamePlate from '../parts/NamePlate.vue';
import ViewTabs from '../parts/ViewTabs.vue';
import TravelScale from '../parts/TravelScale.vue';
import { useKeptHere } from '../stores/kept-here';
import { useOpenJob } from '../stores/open-job';

/** The bench: nameplate and travel above, the valve in section on the left, the step in hand on the right. */
const props = defineProps<{ id: string }>();
const job = useOpenJob(() => props.id);
const route = useRoute();
/** A step that another page led to is in hand, once it is there. */
watch(
  () => job.planned !== undefined,
  (there) => {
    const { step } = route.query;
    if (there && typeof step === 'string') job.chosen = step;
  },
  { immediate: true },
);
const picked = ref<PartRole>();
const tab = useKeptHere().text(() => `${props.id}/tab`);
/** The tab that was open here last; the section on a first visit. */
const view = computed({
  get: () => PANELS.find(([name]) => name === tab.value)?.[0] ?? 'section',
  set: (name) => (tab.value = name),
});

provideLeftPanel((panel) => (view.value = panel));

const opening = computed(() => job.state?.records['job-opened'][0]?.body);
/** What changes while it is on the bench: what it is for, how long it takes still, the day it is wanted. */
const time = computed(() => {
  const { summary } = job;
  const scope = job.planned?.scope ?? 'overhaul';
  const about = scope === 'overhaul' ? 'This job' : `${SCOPE_WORDS[scope]}:`;
  if (!summary || summary.state !== 'open') return { about, left: summary?.state ?? '', due: '' };
  const due = opening.value?.due;
  return {
    about,
    left: `${sayMinutes(summary.remainingMinutes)} left`,
    due: due ? `due ${sayDay(due)}` : `ready ${job.ready ? sayDay(job.ready) : '?'}`,
  };
});
const work = useTemplateRef<{ $el: HTMLElement }>('work');
const { folded, unfold } = useFolding(() => work.value?.$el);
const photographed = computed(
  () => new Set((job.state?.records['photo-added'] ?? []).flatMap(({ body }) => body.part ?? [])),
);
function pick(part: PartRole): void {
  picked.value = part;
  view.value = 'parts';
}
/** The drawing, with this part marked in it. */
function draw(part: PartRole): void {
  picked.value = part;
  view.value = 'section';
}
function toStage(stage: Stage): void {
  const first = job.planned?.steps.find((step) => step.stage === stage);
  const fold =
    first &&
    document.getElementById(
      first.status === 'ready' && first.id === job.inHand?.id ? 'in-hand' : `step-${first.id}`,
    );
  if (!fold) return;
  fold.scrollIntoView({ block: 'center' });
  // A short light, so that it is seen where the press led.
  fold.animate?.([{ outline: '3px solid var(--lamp)' }, { outline: '3px solid transparent' }], 1400);
}
useKeys([
  { key: 's', label: 'Section', run: () => (view.value = 'section') },
  { key: 'p', label: 'Parts and calls', run: () => (view.value = 'parts') },
  { key: 't', label: 'Tray, photographs, hand-over', run: () => (view.value = 'tray') },
  { key: 'k', label: 'Kit check', run: () => (view.value = 'kit') },
  { key: 'y', label: 'Choices of method', run: () => (view.value = 'ways') },
  { key: 'h', label: 'History', run: () => (view.value = 'log') },
]);
</script>

<template>
  <div v-if="job.failed" class="page failed">
    <p class="problem" role="alert">{{ job.failed }} <router-link to="/">Back to the floor</router-link></p>
    <SyncSign />
  </div>
  <div v-else-if="job.planned && job.summary" class="job">
    <div class="top">
      <NamePlate :valve="job.planned.valve" :job="time" :folded="folded" @unfold="unfold" />
      <TravelScale
        :travel="job.summary.travel"
        :holds="job.summary.holds"
        :stage="job.summary.stage"
        labelled
        @stage="toStage"
      />
      <SyncSign />
      <ImportedSign :state="job.state" />
      <RecalledSign :job="props.id" />
    </div>
    <h1 class="visually-hidden">Job {{ job.planned.valve.tag }}</h1>
    <section class="left row-flat" aria-label="The valve">
      <ViewTabs v-model="view" :views="PANELS"><JobTools /></ViewTabs>
      <SectionPanel
        v-if="view === 'section'"
        :planned="job.planned"
        :in-hand="job.inHand?.parts ?? []"
        :picked="picked"
        :photographed="photographed"
        :on-tray="job.onTray"
        @pick="pick"
      />
      <PartsPanel v-else-if="view === 'parts'" :picked="picked" @pick="picked = $event" />
      <TrayPanel v-else-if="view === 'tray'" @pick="draw" />
      <KitPanel v-else-if="view === 'kit'" />
      <WaysPanel v-else-if="view === 'ways'" />
      <HistoryPanel v-else />
    </section>
    <PlanColumn ref="work" class="right" />
  </div>
  <p v-else class="page muted">Opening the job…</p>
</template>

<style scoped>
.failed {
  display: grid;
  gap: 10px;
}
.job {
  display: grid;
  grid-template-columns: minmax(340px, 41%) minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  gap: 10px 12px;
  padding: 12px 16px 12px;
  height: 100vh;
  box-sizing: border-box;
}
.top {
  grid-column: 1 / -1;
  display: grid;
  gap: 5px;
}
.left {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr);
  padding: 6px 14px 8px;
  min-height: 0;
  overflow: auto;
}
.right {
  min-height: 0;
  overflow: auto;
}
@media (max-width: 860px), (max-height: 600px) {
  .job {
    display: flex;
    flex-direction: column;
    height: auto;
    padding: 8px 8px 96px;
  }
  .top {
    position: sticky;
    top: 0;
    z-index: 4;
    background: var(--ground);
    padding: 4px 0;
  }
  .right {
    order: 1;
    overflow: visible;
  }
  .left {
    order: 2;
  }
}
/* Too low a screen for anything that stays: the buttons alone do. */
@media (max-height: 600px) {
  .top {
    position: static;
  }
}
</style>
