<script setup lang="ts">
import type { LivedView, ValvePage } from '@dusk-wren/contract';
import { SCOPE_WORDS } from '@dusk-wren/core/job';
import { capital } from '@dusk-wren/core/quantity';
import { computed } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import { ringOf } from '../parts/found-ring';
import { isoDay, sayDay, sayMinutes } from '../parts/dates';
import { usePreferences } from '../stores/preferences';

/** The jobs of a valve along the years that it is known for: how it left each, and what each was for. */
const props = defineProps<{ jobs: ValvePage['jobs'] }>();
const YEAR = 365.25 * 86_400_000;

const oldest = computed(() => props.jobs.at(-1)?.job.openedAt);
/** From a little before its first job to now, whole years shown. */
const span = computed(() => {
  const now = Date.now();
  const from = oldest.value ? Math.min(Date.parse(oldest.value), now - YEAR) : now - YEAR;
  return { from, to: now };
});
const at = (moment: number): string => {
  const { from, to } = span.value;
  return `${(100 * (moment - from)) / (to - from)}%`;
};
const years = computed(() => {
  const [first, last] = [new Date(span.value.from).getFullYear() + 1, new Date(span.value.to).getFullYear()];
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i).map((year) => ({
    year,
    at: at(new Date(year, 0, 1).getTime()),
  }));
});
const marks = computed(() =>
  props.jobs.map(({ job, lived }) => ({
    ...{ id: job.id, at: at(Date.parse(job.openedAt)), state: job.summary.state },
    found: lived?.asFound ? ringOf(lived.asFound.found) : 'fit',
  })),
);
const { show } = usePreferences();
/** What its part is, and why it was renewed, in a line. */
const renewed = ({ renewed: parts }: LivedView): string =>
  parts.map(({ part, why }) => (why === 'found bad' ? `${part} (found bad)` : part)).join(', ');
/** Figures of a job that can be held side by side. */
const read = ({ measures }: LivedView) => measures.filter(({ found, left }) => found ?? left);
const OUTCOME = { open: 'on a bench', released: 'released', condemned: 'condemned' } as const;
</script>

<template>
  <section class="life" aria-label="Its life">
    <div v-if="jobs.length > 0" class="line" aria-hidden="true">
      <span v-for="each in years" :key="each.year" class="year label" :style="{ left: each.at }">{{
        each.year
      }}</span>
      <i
        v-for="mark in marks"
        :key="mark.id"
        class="mark"
        :class="[mark.state, mark.found]"
        :style="{ left: mark.at }"
      />
    </div>
    <ol class="jobs">
      <li
        v-for="{ job, scope, reported, by, lived } in jobs"
        :key="job.id"
        class="row-flat"
        :class="job.summary.state"
      >
        <router-link class="way label day" :to="`/jobs/${job.id}`">{{
          sayDay(isoDay(new Date(job.openedAt)))
        }}</router-link>
        <span class="what">
          <span
            ><b>{{ capital(SCOPE_WORDS[scope]) }}</b
            ><template v-if="reported">: {{ reported }}</template></span
          >
          <span class="label muted">{{ OUTCOME[job.summary.state] }}, opened by {{ by.name }}</span>
        </span>
        <router-link v-if="job.summary.state !== 'open'" class="way label" :to="`/jobs/${job.id}/certificate`"
          >Its certificate</router-link
        >
        <div v-if="lived" class="told label">
          <span v-if="lived.asFound" class="found"
            ><ContactRing :verdict="ringOf(lived.asFound.found)" :size="18" />
            <b>found {{ lived.asFound.found }}</b>
            <template v-if="lived.asFound.found !== 'good'">{{ lived.asFound.why }}</template></span
          >
          <span v-if="lived.reworked.length > 0"
            >put right: {{ lived.reworked.map(({ part, method }) => `${part}, ${method}`).join('; ') }}</span
          >
          <span v-if="lived.renewed.length > 0">renewed: {{ renewed(lived) }}</span>
          <span class="muted">{{ sayMinutes(lived.minutes) }} by {{ lived.by.join(', ') }}</span>
          <details v-if="read(lived).length > 0">
            <summary>As found and as left</summary>
            <table>
              <thead>
                <tr>
                  <th scope="col">What</th>
                  <th scope="col">Found</th>
                  <th scope="col">Left</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="each in read(lived)" :key="each.what">
                  <td>{{ each.what }}</td>
                  <td class="number">{{ each.found ? show(each.found) : 'not read' }}</td>
                  <td class="number">
                    {{ each.left ? show(each.left) : each.renewed ? 'new' : 'not read' }}
                  </td>
                </tr>
              </tbody>
            </table>
          </details>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.life {
  display: grid;
  gap: 10px;
}
.line {
  position: relative;
  print-color-adjust: exact;
  height: 54px;
  margin: 0 12px;
  background: linear-gradient(var(--line), var(--line)) 0 16px / 100% 3px no-repeat;
}
.year {
  position: absolute;
  top: 9px;
  padding: 20px 0 0;
  color: var(--muted);
  translate: -50%;
  background: linear-gradient(var(--muted), var(--muted)) 50% 0 / 2px 16px no-repeat;
}
.mark {
  position: absolute;
  top: 8px;
  width: 19px;
  height: 19px;
  border: 3px solid var(--ground);
  border-radius: 50%;
  translate: -50%;
}
.mark.released {
  background: var(--fit);
}
/* As it was found; a condemned one is that whatever it was found like. */
.mark.rework {
  background: var(--rework);
}
.mark.condemn,
.mark.condemned {
  background: var(--condemn);
}
.mark.open {
  background: var(--lamp);
}
.jobs {
  display: grid;
  gap: 6px;
  padding: 0;
  margin: 0;
  list-style: none;
}
.jobs li {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: center;
  padding: 4px 14px;
  border-left: 5px solid var(--fit);
}
.jobs .open {
  border-left-color: var(--lamp);
}
.jobs .condemned {
  border-left-color: var(--condemn);
}
.told {
  display: grid;
  grid-column: 2 / -1;
  gap: 2px;
  padding-bottom: 6px;
}
.what,
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: center;
}
.told summary {
  min-height: var(--touch);
  padding-top: 12px;
}
.told table {
  width: 100%;
  border-collapse: collapse;
}
.told th,
.told td {
  padding: 2px 10px 2px 0;
  text-align: left;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  .jobs li {
    grid-template-columns: minmax(0, 1fr);
  }
  .told {
    grid-column: 1;
  }
}
</style>
