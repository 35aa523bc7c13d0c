<script setup lang="ts">
import type { WeekJobView } from '@dusk-wren/contract/week';
import { useMediaQuery, useNow } from '@vueuse/core';
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { sayTime } from '../parts/dates';
import { axisOf } from '../plan/axis';
import BetterPlan from '../plan/BetterPlan.vue';
import LateJobs from '../plan/LateJobs.vue';
import { useMoving } from '../plan/moving';
import PieceInHand from '../plan/PieceInHand.vue';
import PlaceLoad from '../plan/PlaceLoad.vue';
import { railsOf, type Piece } from '../plan/rails';
import { usePlanner, useWeek } from '../plan/week';
import WeekAgenda from '../plan/WeekAgenda.vue';
import WeekFiles from '../plan/WeekFiles.vue';
import WeekHeading from '../plan/WeekHeading.vue';
import WeekRails from '../plan/WeekRails.vue';
import { sayChanges, sayQuality } from '../plan/words';
import NewJobPromise from './plan/NewJobPromise.vue';
import { useSession } from '../stores/session';
import { useKeys } from '../keys/keys';

/** The shop's week: who does what where and when, what will be late and why, and what a lead wants otherwise. */
const session = useSession();
const isLead = computed(() => session.person?.role === 'lead');
const week = useWeek();
const { view, error, wrong } = week;
const planner = usePlanner();
const moving = useMoving(view, planner, week);
const { held } = moving;
const isNarrow = useMediaQuery('(max-width: 760px)');

const by = ref<'people' | 'places'>('people');
const span = ref<1 | 3 | 5>(1);
const first = ref(0);
const openOn = computed(() => {
  const { week: file, days } = view.value ?? { week: undefined, days: [] };
  const open = [...(file?.people ?? []), ...(file?.places ?? [])].flatMap((each) => each.open ?? []);
  const working = days.filter(({ midnight }) =>
    open.some(([from, to]) => from < midnight + 24 * 60 && to > midnight),
  );
  return { open, working };
});
const axis = computed(() => {
  const { open, working } = openOn.value;
  const from = working[first.value]?.midnight ?? 0;
  const last = working[first.value + span.value - 1] ?? working.at(-1);
  return axisOf(open, from, (last?.midnight ?? 0) + 24 * 60);
});
const canGoOn = computed(() => first.value + span.value < openOn.value.working.length);
const shift = (days: number) =>
  (first.value = Math.max(0, Math.min(first.value + days, openOn.value.working.length - span.value)));

/** While a piece is held the rails show what would become of everybody. */
const plan = computed(() => moving.tried.value?.plan ?? view.value?.plan ?? []);
const rails = computed(() => (view.value ? railsOf(view.value, by.value, plan.value) : []));
const clock = useNow({ interval: 30_000 });
const now = computed(() => (view.value ? (clock.value.getTime() - Date.parse(view.value.from)) / 60_000 : 0));

const chosenKey = ref<string>();
const chosen = ref<string>();
const chain = shallowRef<readonly string[]>([]);
const piece = computed(() =>
  rails.value.flatMap(({ pieces }) => pieces).find(({ key }) => key === chosenKey.value),
);
const heldKey = computed(() => held.value && `${held.value.job} ${held.value.id}`);
const railsView = useTemplateRef('railsView');

function choose(next: Piece): void {
  moving.leave();
  [chosenKey.value, chosen.value] = [next.key, next.job.id];
  // As a list, what is said of it lies below all rails.
  if (isNarrow.value)
    void nextTick(() => document.querySelector('.in-hand')?.scrollIntoView({ block: 'center' }));
}
function chooseJob(job: WeekJobView): void {
  moving.leave();
  chosen.value = chosen.value === job.id ? undefined : job.id;
  chosenKey.value = undefined;
}
function take(next: Piece): void {
  choose(next);
  moving.take(next);
  void railsView.value?.focus(next.key);
}
async function unpin(): Promise<void> {
  if (piece.value) await week.unpin(piece.value.job.id, piece.value.placing.id);
}
const changes = computed(() => (view.value ? sayChanges(view.value) : []));
useKeys([
  {
    key: 'p',
    label: 'People or places',
    run: () => (by.value = by.value === 'people' ? 'places' : 'people'),
  },
  { key: 'enter', label: 'Put it here', run: () => void moving.put(), when: () => held.value !== undefined },
  { key: 'escape', label: 'Leave it', run: moving.leave, when: () => held.value !== undefined },
  { key: '[', label: 'A day back', run: () => shift(-1) },
  { key: ']', label: 'A day on', run: () => shift(1) },
]);
</script>

<template>
  <div class="page plan">
    <header>
      <WeekHeading title="The week" />
      <p v-if="view" class="label muted">{{ sayQuality(view) }} As of {{ sayTime(view.from) }}.</p>
    </header>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-for="line in view?.said ?? []" :key="line" class="said label">{{ line }}</p>
    <template v-if="view">
      <div class="turn">
        <ChoiceRow
          label="Rails of"
          :options="[
            { value: 'people', label: 'People' },
            { value: 'places', label: 'Places' },
          ]"
          :picked="by"
          @pick="by = $event"
        />
        <ChoiceRow
          label="How many days"
          :options="[
            { value: 1, label: 'A day' },
            { value: 3, label: 'Three' },
            { value: 5, label: 'Five' },
          ]"
          :picked="span"
          @pick="span = $event"
        />
        <span class="days">
          <BenchButton :disabled="first === 0" aria-label="A day back" hint="[" @press="shift(-1)"
            >‹</BenchButton
          >
          <BenchButton :disabled="!canGoOn" aria-label="A day on" hint="]" @press="shift(1)">›</BenchButton>
        </span>
      </div>
      <BetterPlan v-if="view.plan.length > 0" :view="view" :week="week" :is-lead="isLead" />
      <p v-if="view.jobs.length === 0" class="row-flat empty">
        No job is open: what is left of each stands here as soon as one is.
      </p>
      <WeekAgenda
        v-else-if="isNarrow"
        :view="view"
        :rails="rails"
        :until="axis.to"
        :chosen="chosen"
        @choose="choose"
      />
      <WeekRails
        v-else
        ref="railsView"
        :view="view"
        :rails="rails"
        :axis="axis"
        :now="now"
        :chosen="chosen"
        :held="heldKey"
        :chain="held ? [] : chain"
        :may-move="isLead"
        @choose="choose"
        @take="take"
        @over="(minute, rail) => moving.moveTo(minute, by === 'people' ? rail : undefined)"
        @step="moving.step"
        @to-next="moving.toNext"
        @put="moving.put"
        @leave="moving.leave"
      />
      <PieceInHand
        v-if="piece"
        :piece="piece"
        :view="view"
        :may-move="isLead"
        :held="held"
        :told="moving.told.value"
        :asking="moving.asking.value"
        :can-put="moving.canPut.value"
        @take="take(piece)"
        @put="moving.put"
        @leave="moving.leave"
        @unpin="unpin"
        @step="moving.step"
        @to-next="moving.toNext"
        @want="week.want(piece.job.id, $event)"
      />
      <div class="below">
        <LateJobs
          :view="view"
          :week="week"
          :planner="planner"
          :chosen="chosen"
          :is-lead="isLead"
          @choose="chooseJob"
          @chain="chain = $event"
        />
        <div class="beside">
          <section aria-label="What changed since this morning">
            <h2>Since this morning</h2>
            <ul v-if="changes.length > 0">
              <li v-for="line in changes" :key="line">{{ line }}</li>
            </ul>
            <p v-else class="muted">Nothing is ready on another day than it was.</p>
          </section>
          <NewJobPromise />
          <PlaceLoad :view="view" />
          <WeekFiles :view="view" :day="openOn.working[first]?.day ?? view.days[0]?.day ?? ''" />
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: baseline;
}
.turn {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: center;
}
.days {
  display: flex;
  gap: 6px;
  margin-left: auto;
}
.said {
  padding: 4px 12px;
  border-left: 5px solid var(--ask);
}
.empty {
  padding: 20px;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 24px;
  margin-top: 6px;
}
.beside {
  display: grid;
  gap: 16px;
  align-content: start;
}
.beside ul {
  display: grid;
  gap: 4px;
}
@media (max-width: 900px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
