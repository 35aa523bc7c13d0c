<script setup lang="ts">
import type { OutageValve } from '@dusk-wren/contract/outages';
import { computed, ref, shallowRef, watch } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { sayDay } from '../parts/dates';
import { axisOf } from '../plan/axis';
import { fitting, type Fitting } from '../plan/outage/fitting';
import OutageParts from '../plan/outage/OutageParts.vue';
import OutageRow from '../plan/outage/OutageRow.vue';
import { useOutage, type ToOpen } from '../plan/outage/outages';
import { usePlanner } from '../plan/week';
import WeekHeading from '../plan/WeekHeading.vue';
import { useSession } from '../stores/session';
import { useTrying } from '../stores/trying';

/** One shutdown: its valves by risk, what fits, what had better be done before, what stays, and what all of it takes. */
const props = defineProps<{ id: string }>();
const session = useSession();
const isLead = computed(() => session.person?.role === 'lead');
const { view, error, wrong, busy, told, open } = useOutage(() => props.id);
const planner = usePlanner();
const { wrong: notFitted, trying } = useTrying();

/** Left out by hand, while this page is open. */
const leftOut = ref<ReadonlySet<string>>(new Set());
const found = shallowRef<Fitting>();
watch(
  [view, leftOut],
  async ([outage, out]) => {
    if (!outage) return;
    const fitted = await trying(() => fitting(planner, outage, out));
    if (outage === view.value && out === leftOut.value) found.value = fitted;
  },
  { immediate: true },
);
function leave(valve: OutageValve, isOut: boolean): void {
  const next = new Set(leftOut.value);
  if (isOut) next.add(valve.id);
  else next.delete(valve.id);
  leftOut.value = next;
}
const ranks = computed(() => new Map(view.value?.valves.map(({ id }, i) => [id, i + 1])));
const axis = computed(() => {
  const { week, window } = found.value ?? { week: undefined, window: { from: 0, to: 1 } };
  const open_ = (week?.week.people ?? []).flatMap((person) => person.open ?? []);
  return axisOf(open_, window.from, window.to);
});
const sections = computed(() => {
  const fitted = found.value;
  if (!fitted || !view.value) return [];
  const plain = (valves: readonly OutageValve[]) => valves.map((valve) => ({ valve, why: '' }));
  return [
    { name: 'In the window', key: 'within', rows: plain(fitted.fits) },
    {
      name: 'Their spares before it, to be exchanged in it',
      key: 'before',
      rows: fitted.before.map(({ valve, spare }) => ({
        valve,
        why: `${spare.tag} is done before, and goes in`,
      })),
    },
    { name: 'On a bench already', key: 'open', rows: plain(fitted.open) },
    { name: 'Left: no room in the window', key: 'left', rows: fitted.left },
    {
      name: 'Left out by hand',
      key: 'out',
      rows: plain(view.value.valves.filter(({ id, open: job }) => leftOut.value.has(id) && job === null)),
    },
  ].filter(({ rows }) => rows.length > 0);
});
const toOpen = computed((): ToOpen[] => [
  ...(found.value?.fits ?? []).map(({ id, tag }): ToOpen => ({ valve: id, tag, when: 'within' })),
  ...(found.value?.before ?? []).map(({ spare: { id, tag } }): ToOpen => ({
    valve: id,
    tag,
    when: 'before',
  })),
]);
const piecesOf = (id: string) => found.value?.plan.filter(({ job }) => job === id) ?? [];
const counted = (count: number, what: string) => (count === 1 ? `1 ${what}` : `${count} ${what}s`);
const print = () => window.print();
</script>

<template>
  <div class="page outage">
    <WeekHeading :title="view?.name ?? 'An outage'" />
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-if="notFitted" class="problem" role="alert">{{ notFitted }}</p>
    <template v-if="view">
      <div class="head">
        <p>
          <b class="number">{{ sayDay(view.from) }} to {{ sayDay(view.to) }}</b>
          <span class="muted">
            · {{ counted(view.valves.length, 'valve') }}, the worst first: how it was found, when it is due,
            whether a spare lies ready. Brought in by {{ view.by }}.</span
          >
        </p>
        <div class="acts no-print">
          <BenchButton v-if="isLead && toOpen.length > 0" lamp :disabled="busy" @press="open(toOpen)"
            >Open {{ counted(toOpen.length, 'job') }}</BenchButton
          >
          <BenchButton @press="print">Print</BenchButton>
        </div>
      </div>
      <div v-if="told" class="row-flat told" role="status">
        <b>{{ counted(told.opened, 'job') }} opened, not begun before {{ sayDay(view.from) }}.</b>
        <router-link class="way" to="/">To the floor</router-link>
        <p v-for="each in told.left" :key="each.tag">{{ each.tag }} was left: {{ each.why }}</p>
      </div>
      <p v-if="!found" role="status">Trying what fits beside the week as it stands…</p>
      <section v-for="{ name, key, rows } in sections" :key="key" :aria-label="name">
        <h2>
          {{ name }} <span class="number muted">{{ rows.length }}</span>
        </h2>
        <ol>
          <OutageRow
            v-for="{ valve, why } in rows"
            :key="valve.id"
            :rank="ranks.get(valve.id) ?? 0"
            :valve="valve"
            :minutes="found?.minutes.get(valve.id)"
            :pieces="key === 'within' ? piecesOf(valve.id) : []"
            :axis="axis"
            :why="why"
            :is-left="key === 'left'"
          >
            <BenchButton
              v-if="isLead && key !== 'open'"
              class="no-print"
              :aria-label="key === 'out' ? `Ask for ${valve.tag} again` : `Leave ${valve.tag} out`"
              @press="leave(valve, key !== 'out')"
              >{{ key === 'out' ? 'Ask again' : 'Leave out' }}</BenchButton
            >
          </OutageRow>
        </ol>
      </section>
      <OutageParts :outage="view" />
    </template>
  </div>
</template>

<style scoped>
.outage {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.head,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  justify-content: space-between;
}
.head > p {
  flex: 1 1 380px;
}
.told {
  padding: 10px 14px;
}
ol {
  display: grid;
  gap: 5px;
  padding: 0;
  margin: 6px 0 0;
  list-style: none;
}
</style>
