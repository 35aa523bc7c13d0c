<script setup lang="ts">
import { hoursView, type WeekJobView, type WeekView } from '@dusk-wren/contract/week';
import type { Cure } from '@dusk-wren/core/schedule';
import type { Remote } from 'comlink';
import { computed, ref, shallowRef, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { sayDay, sayMinutes } from '../parts/dates';
import type { ChainPiece, WeekPlanner } from '../workers/week.worker';
import { sayChain } from './chain';
import { clockAt, dayAt, meansOf, sayCure, sayOutcome } from './cures';
import { keyOf } from './rails';
import type { ShopWeek } from './week';
import { sayAt } from './words';

/** Jobs that end after their date, why, and what would cure it. */
const props = defineProps<{
  view: WeekView;
  week: ShopWeek;
  planner: Remote<WeekPlanner>;
  chosen: string | undefined;
  isLead: boolean;
}>();
const emit = defineEmits<{ choose: [job: WeekJobView]; chain: [keys: readonly string[]] }>();

const late = computed(() =>
  props.view.jobs
    .flatMap((job) => {
      const due = props.view.week.jobs.find(({ id }) => id === job.id)?.due;
      const end = Math.max(...props.view.plan.filter((each) => each.job === job.id).map((each) => each.end));
      return due !== undefined && end > due ? [{ job, minutes: end - due, end }] : [];
    })
    .toSorted((a, b) => Number(b.job.hard) - Number(a.job.hard) || b.minutes - a.minutes),
);
const chain = shallowRef<readonly ChainPiece[]>([]);
const cures = shallowRef<readonly Cure[]>();
const looking = ref(false);
watch(
  () => [props.chosen, props.view] as const,
  async ([job, view]) => {
    cures.value = undefined;
    const isLate = job !== undefined && late.value.some((each) => each.job.id === job);
    const found = isLate ? await props.planner.chain(view.week, view.plan, job) : [];
    if (job !== props.chosen) return;
    chain.value = found;
    emit('chain', found.map(keyOf));
  },
  { immediate: true },
);
async function findCures(job: string): Promise<void> {
  looking.value = true;
  const found = await props.planner.cures(props.view.week, props.view.plan, job, meansOf(props.view));
  [cures.value, looking.value] = [found, false];
}

const said = computed(() => sayChain(props.view, chain.value));

async function take({ change }: Cure): Promise<void> {
  if (change.kind === 'goes first') {
    const job = props.view.jobs.find(({ id }) => id === change.job);
    const start = new Date(Date.parse(props.view.from) + change.start * 60_000).toISOString();
    if (job) await props.week.pin({ job: job.id, id: String(change.id), start });
  } else if (change.kind === 'overtime' || change.kind === 'second shift') {
    const stretches = change.kind === 'overtime' ? [[change.from, change.to] as const] : change.evenings;
    const evenings = stretches.map(([from, to]) => ({
      ...{ day: dayAt(props.view, from), from: clockAt(props.view, from), to: clockAt(props.view, to) },
    }));
    const body = { person: change.person, evenings };
    await props.week.after(() => call('/setup/hours/extra', hoursView, { method: 'POST', body }));
  }
}
</script>

<template>
  <section class="late-jobs" aria-label="Late jobs">
    <h2>
      {{
        late.length === 0
          ? 'Nobody is late'
          : late.length === 1
            ? '1 job is late'
            : `${late.length} jobs are late`
      }}
    </h2>
    <article v-for="{ job, minutes, end } in late" :key="job.id" class="row-flat">
      <button
        type="button"
        class="line label"
        :aria-expanded="chosen === job.id"
        @click="emit('choose', job)"
      >
        <b>{{ job.tag }}</b>
        <span class="by">late by {{ sayMinutes(minutes) }}</span>
        <span class="muted"
          >ready {{ sayAt(view, end) }}<template v-if="job.due">, due {{ sayDay(job.due) }}</template
          ><template v-if="job.hard">, and that does not move</template></span
        >
      </button>
      <div v-if="chosen === job.id" class="why">
        <ol class="label">
          <li v-for="words in said.lines" :key="words">{{ words }}</li>
        </ol>
        <p v-if="said.before > 0" class="label muted">
          and {{ said.before }} more before that, back to now: the line on the rails shows all of it.
        </p>
        <BenchButton v-if="!cures" :disabled="looking" @press="findCures(job.id)">{{
          looking ? 'Trying…' : 'What would cure it'
        }}</BenchButton>
        <p v-else-if="cures.length === 0" role="status">
          Nothing that was tried makes it less late: evenings, parts sooner, going before others.
        </p>
        <ul v-else class="cures" aria-label="Cures">
          <li v-for="cure in cures" :key="JSON.stringify(cure.change)">
            <span
              ><b>{{ sayCure(view, cure.change) }}</b
              ><br />{{ sayOutcome(view, cure) }}</span
            >
            <router-link v-if="cure.change.kind === 'part sooner'" class="way" :to="`/jobs/${job.id}`"
              >Ask for it, and say the new day on the job</router-link
            >
            <BenchButton v-else-if="isLead" lamp :disabled="week.busy.value" @press="take(cure)"
              >Take it</BenchButton
            >
          </li>
        </ul>
      </div>
    </article>
  </section>
</template>

<style scoped>
.late-jobs {
  display: grid;
  gap: 6px;
  align-content: start;
}
article {
  border-left: 5px solid var(--condemn);
}
.line {
  display: grid;
  grid-template-columns: 92px auto minmax(0, 1fr);
  gap: 2px 14px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 14px;
  color: var(--ink);
  text-align: left;
  background: none;
  border: 0;
  cursor: pointer;
}
.line b {
  font-size: 18px;
}
.by {
  color: var(--condemn);
}
.why {
  display: grid;
  gap: 10px;
  padding: 2px 14px 12px;
  justify-items: start;
}
.why ol {
  padding-left: 20px;
  line-height: 1.35;
}
.cures {
  display: grid;
  gap: 8px;
  width: 100%;
}
.cures li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: 92px minmax(0, 1fr);
  }
  .line .muted {
    grid-column: 1 / -1;
  }
}
</style>
