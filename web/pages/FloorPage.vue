<script setup lang="ts">
import { instrumentsView, jobListView, type JobLine } from '@dusk-wren/contract';
import { CALIBRATION_SOON } from '@dusk-wren/core/job';
import { wordBlocked, workingDaysBetween } from '@dusk-wren/core/plan';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { call } from '../api/client';
import { isoDay, sayDay, sayMoment } from '../parts/dates';
import { useKeys } from '../keys/keys';
import BenchButton from '../parts/BenchButton.vue';
import FloorHeading from '../parts/FloorHeading.vue';
import FloorRow from '../parts/FloorRow.vue';
import NobodyOnShift from '../drill/NobodyOnShift.vue';
import MineToday from '../plan/MineToday.vue';
import { device } from '../stores/device';
import { useLastList } from '../stores/last-list';
import { usePreferences } from '../stores/preferences';
import { useSession } from '../stores/session';

/** All jobs as travel scales: where each stands, what stops it, who is on it, when it is due. */
const session = useSession();
const { tell } = usePreferences();
const router = useRouter();
const typed = ref('');
const sought = refDebounced(typed, 200);
/** What it opens on: what waits for this person. */
const state = ref<'waiting' | 'open' | 'released' | 'all'>('waiting');
const mine = ref(false);
const cursors = ref<string[]>([]);
const search = ref<{ focus: () => void }>();

const query = computed(() => {
  const parts = new URLSearchParams(
    state.value === 'waiting' ? { state: 'open', waits: 'me' } : { state: state.value },
  );
  if (sought.value.trim()) parts.set('q', sought.value.trim());
  if (mine.value && state.value !== 'waiting' && session.person) parts.set('person', session.person.id);
  const cursor = cursors.value.at(-1);
  if (cursor) parts.set('cursor', cursor);
  return parts.toString();
});
const { data, error } = useQuery({
  key: () => ['jobs', query.value],
  query: () => call(`/jobs?${query.value}`, jobListView),
  staleTime: 2000,
});
const { data: shop } = useQuery({
  key: () => ['instruments'],
  query: () => call('/instruments', instrumentsView),
});

const kept = ref<{ id: string; tag: string }[]>([]);
watch(error, async (failed) => {
  if (failed) kept.value = await device.list().catch(() => []);
});
const lastList = useLastList();
watch(data, (now) => {
  if (now && cursors.value.length === 0 && sought.value.trim() === '') lastList.keep(now);
});
/** Without a connection the list that was last seen here, said to be that. */
const seen = computed(() => data.value ?? (error.value ? lastList.last?.list : undefined));
/** What is stopped by pressure comes before all else. */
const isStop = ({ summary }: JobLine) => (summary.blocked?.kind === 'pressure' ? 0 : 1);
const jobs = computed<JobLine[]>(() => (seen.value?.jobs ?? []).toSorted((a, b) => isStop(a) - isStop(b)));
const today = isoDay(new Date());
const blocked = computed(() => jobs.value.filter(({ summary }) => summary.blocked));
const late = computed(() => jobs.value.filter((job) => isLate(job)));
const isLate = ({ due, readyBy, summary }: JobLine) =>
  summary.state === 'open' && due !== null && (due < today || (readyBy !== null && readyBy > due));
/** Only those that are stopped, or late. */
const only = ref<'blocked' | 'late'>();
const shown = computed(() =>
  only.value === undefined ? jobs.value : only.value === 'late' ? late.value : blocked.value,
);
/** Enter in the search opens the first that it found. */
function openFirst(): void {
  const first = shown.value[0];
  if (typed.value.trim() !== '' && typed.value === sought.value && first)
    void router.push(`/jobs/${first.id}`);
}
const orders = computed(() =>
  blocked.value.flatMap(({ id, tag, summary }) =>
    summary.blocked?.kind === 'part' ? [{ id, tag, ...summary.blocked }] : [],
  ),
);
/** What waits for somebody's eye or word. */
const holds = computed(() =>
  blocked.value.flatMap(({ id, tag, summary: { blocked } }) =>
    blocked && blocked.kind !== 'part' && blocked.kind !== 'pressure'
      ? [{ id, tag, what: tell(wordBlocked(blocked)) }]
      : [],
  ),
);
const tests = computed(() => jobs.value.filter(({ summary }) => summary.stage === 'test'));
const lapsed = computed(() => (shop.value?.instruments ?? []).filter(({ inCalibration }) => !inCalibration));
/** Soon out of calibration, the next one first. */
const lapsing = computed(() =>
  (shop.value?.instruments ?? [])
    .filter(
      (each) => each.inCalibration && workingDaysBetween(today, each.calibrationDue) <= CALIBRATION_SOON,
    )
    .toSorted((a, b) => a.calibrationDue.localeCompare(b.calibrationDue)),
);
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

function filter(change: () => void): void {
  change();
  cursors.value = [];
}
const receive = () => void router.push('/jobs/new');
useKeys([
  { key: 'n', label: 'Receive a valve', run: receive },
  { key: '/', label: 'Find', run: () => search.value?.focus() },
]);
</script>

<template>
  <div class="page floor">
    <header>
      <h1>The floor</h1>
      <p v-if="seen" class="counts label" role="group" aria-label="Only these">
        <button type="button" :aria-pressed="only === undefined" @click="only = undefined">
          {{ count(jobs.length, 'job', 'jobs') }}
        </button>
        <button type="button" :aria-pressed="only === 'blocked'" @click="only = 'blocked'">
          {{ blocked.length }} blocked
        </button>
        <button type="button" :aria-pressed="only === 'late'" @click="only = 'late'">
          {{ late.length }} late
        </button>
      </p>
      <p v-else class="label muted">How many is not known{{ error ? ' without a connection' : ' yet' }}.</p>
      <v-text-field
        ref="search"
        class="find"
        :model-value="typed"
        label="Find: tag, serial, customer, place"
        autocomplete="off"
        @keydown.enter="openFirst"
        @keydown.escape="filter(() => (typed = ''))"
        @update:model-value="(text: string) => filter(() => (typed = text))"
      />
      <BenchButton lamp hint="n" @press="receive">Receive a valve</BenchButton>
    </header>
    <div class="filters label" role="group" aria-label="Which jobs">
      <button
        v-for="[value, name] in [
          ['waiting', 'Waits for you'],
          ['open', 'On benches'],
          ['released', 'Released'],
          ['all', 'All'],
        ] as const"
        :key="value"
        type="button"
        :aria-pressed="state === value"
        @click="filter(() => (state = value))"
      >
        {{ name }}
      </button>
      <label v-if="state !== 'waiting'" class="mine"
        ><input v-model="mine" type="checkbox" @change="cursors = []" /> With me</label
      >
    </div>
    <NobodyOnShift />
    <MineToday v-if="!error && cursors.length === 0 && typed === ''" />
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="error && !data && lastList.last" class="label">
      As it was {{ sayMoment(lastList.last.at) }}; what has changed since is not known.
    </p>
    <p v-if="error && kept.length > 0" class="label">
      Kept on this device, and open without a connection:
      <router-link v-for="job in kept" :key="job.id" :to="`/jobs/${job.id}`" class="kept">{{
        job.tag
      }}</router-link>
    </p>
    <template v-if="shown.length > 0">
      <FloorHeading />
      <ul class="rows">
        <li v-for="job in shown" :key="job.id"><FloorRow :job="job" :late="isLate(job)" /></li>
      </ul>
      <p class="legend label muted">
        <span><i class="hold" aria-hidden="true" />a hold that waits</span>
        <span><i class="hold released" aria-hidden="true" />one that is released</span>
        <span><i class="pointer" aria-hidden="true" />where the job stands</span>
      </p>
    </template>
    <p v-else-if="data" class="empty row-flat">
      {{
        typed
          ? `No job's tag, serial, customer or place has “${typed}” in it${mine ? ', of those with you' : ''}.`
          : only
            ? `None of these is ${only}.`
            : state === 'waiting'
              ? 'Nothing waits for you. Everything on benches is one tab on.'
              : mine
                ? 'Nothing is with you here. Take a job from the floor, or receive a valve.'
                : 'No job here yet. Receive a valve to begin.'
      }}
    </p>
    <div v-if="data?.next || cursors.length > 0" class="more">
      <BenchButton v-if="cursors.length > 0" @press="cursors = cursors.slice(0, -1)">Earlier</BenchButton>
      <BenchButton v-if="data?.next" @press="cursors = [...cursors, data.next ?? '']">Later</BenchButton>
    </div>
    <section v-if="state === 'open' && jobs.length > 0" class="notes" aria-label="What needs somebody">
      <div class="row-flat">
        <h3>Parts on the way</h3>
        <router-link v-for="order in orders" :key="order.id" :to="`/jobs/${order.id}`">
          {{ order.part }} for {{ order.tag
          }}<template v-if="order.expected">, {{ sayDay(order.expected) }}</template>
        </router-link>
        <p v-if="orders.length === 0" class="muted">Nothing is waited for.</p>
      </div>
      <div class="row-flat">
        <h3>Holds and asks</h3>
        <router-link v-for="hold in holds" :key="hold.id" :to="`/jobs/${hold.id}`"
          >{{ hold.tag }}: {{ hold.what }}</router-link
        >
        <p v-if="holds.length === 0" class="muted">No hold is waiting.</p>
      </div>
      <div class="row-flat">
        <h3>At the rig</h3>
        <router-link v-for="job in tests" :key="job.id" :to="`/jobs/${job.id}`"
          >{{ job.tag }}: {{ job.summary.inHand.toLowerCase() }}</router-link
        >
        <p v-if="tests.length === 0" class="muted">The rig is free.</p>
      </div>
      <div class="row-flat">
        <h3>Instruments</h3>
        <p v-for="each in lapsed" :key="each.id">
          {{ each.name }} out of calibration since {{ sayDay(each.calibrationDue) }}: its readings do not
          count
        </p>
        <p v-for="each in lapsing" :key="each.id">
          {{ each.name }} due {{ sayDay(each.calibrationDue) }}: in
          {{ count(workingDaysBetween(today, each.calibrationDue), 'working day', 'working days') }}
        </p>
        <p v-if="lapsed.length + lapsing.length === 0" class="muted">All in calibration, none due soon.</p>
        <router-link v-if="session.person?.role === 'lead'" to="/setup?view=instruments"
          >The register</router-link
        >
      </div>
    </section>
  </div>
</template>

<style scoped>
.kept {
  display: inline-block;
  min-height: var(--touch);
  margin-right: 14px;
  font-weight: 600;
}
header {
  display: grid;
  grid-template-columns: auto 1fr minmax(200px, 290px) auto;
  gap: 6px 18px;
  align-items: center;
  margin-bottom: 8px;
}
.filters {
  display: flex;
  gap: 4px 18px;
  margin-bottom: 10px;
}
.counts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.counts button[aria-pressed='true'] {
  color: var(--ink);
  border-color: var(--muted);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
  margin-top: 8px;
}
.legend span {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.hold,
.pointer {
  width: 14px;
  height: 11px;
}
.hold {
  background: var(--ask);
  clip-path: polygon(50% 0, 100% 100%, 0 100%, 50% 0, 50% 28%, 16% 88%, 84% 88%, 50% 28%);
}
.hold.released {
  background: var(--fit);
  clip-path: polygon(50% 0, 100% 100%, 0 100%);
}
.pointer {
  height: 16px;
  background: var(--lamp);
  clip-path: polygon(0 0, 100% 0, 100% 55%, 50% 100%, 0 55%);
}
.notes a {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  color: var(--ink);
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.mine {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
  margin-left: auto;
}
.mine input {
  width: 24px;
  height: 24px;
  accent-color: var(--blue);
}
.counts button,
.filters button {
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0 8px;
  font: inherit;
  color: var(--muted);
  background: none;
  border: 0;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
.filters button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
  border-color: var(--lamp);
}
.rows {
  display: grid;
  gap: 6px;
}
.empty {
  padding: 24px;
}
.more {
  display: flex;
  gap: 10px;
  margin-top: 10px;
}
.notes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 10px;
  margin-top: 14px;
}
.notes > div {
  padding: 9px 14px 12px;
  font-family: var(--label);
}
@media (max-width: 860px) {
  header {
    grid-template-columns: 1fr auto;
  }
  header p {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .find {
    grid-column: 1 / -1;
    grid-row: 3;
  }
}
</style>
