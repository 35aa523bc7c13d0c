<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import { readingsOf } from '@dusk-wren/core/calls';
import {
  judgesOf,
  type Judge,
  type Judged,
  type Judgements,
  type Readings,
} from '@dusk-wren/core/inspection';
import type { MeasureAsk } from '@dusk-wren/core/task';
import { capital, formatExactly, ofDimension, type Quantity } from '@dusk-wren/core/quantity';
import { describeSource } from '@dusk-wren/core/standards';
import { computed } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import WorkingPaper from '../parts/WorkingPaper.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';

/** What the figures of a step come to, while they are typed: computed, against their limit, and the call that follows. */
const props = defineProps<{
  asks: readonly MeasureAsk[];
  typed: Readonly<Record<string, Quantity | undefined>>;
}>();
const job = useJob();
const { show } = usePreferences();

/** What is typed stands before what was kept. */
const reading: Readings = (what, dimension) =>
  ofDimension(props.typed[what], dimension) ?? (job.state && readingsOf(job.state)(what, dimension));
const found = computed(() => {
  const valve = job.planned?.valve;
  if (!valve) return [];
  const asked = new Set(props.asks.map(({ what }) => what));
  return judgesOf(valve).flatMap((judge) => {
    if (!judge.reads.some((what) => asked.has(what))) return [];
    const answer = judge.judge(reading, valve);
    return answer ? [{ judge, answer }] : [];
  });
});
const figure = (value: Quantity | string) => (typeof value === 'string' ? value : show(value));
const words = ({ part }: Judge, { verdict }: Judged) =>
  part === undefined || verdict === 'fit' ? verdict : `${verdict} the ${part}`;
const link = ({ working, given }: Judgements) => ({
  path: `/workings/${working}`,
  query: {
    ...Object.fromEntries(
      Object.entries(given).map(([name, value]) => [
        name,
        typeof value === 'string' ? value : formatExactly(value),
      ]),
    ),
    ...(job.id ? { job: job.id } : {}),
  },
});
</script>

<template>
  <div v-for="{ judge, answer } in found" :key="judge.subject" class="judged" role="status">
    <template v-if="answer.ok">
      <p v-for="(each, i) in answer.value.figures" :key="each.what" class="line" :class="each.verdict">
        <ContactRing :verdict="each.verdict" :size="24" />
        <span class="label">{{ capital(judge.subject) }}: {{ each.what }}</span>
        <b class="number">{{ figure(each.found) }}</b>
        <span v-if="each.limit" class="label muted">limit {{ figure(each.limit) }}</span>
        <b class="label verdict">{{ capital(words(judge, each)) }}</b>
        <span v-if="each.source !== answer.value.figures[i + 1]?.source" class="label muted">{{
          describeSource(each.source)
        }}</span>
      </p>
      <WorkingPaper
        :steps="answer.value.shown.steps"
        :notes="answer.value.shown.notes"
        :source="answer.value.shown.source"
      />
      <router-link class="label" :to="link(answer.value)">Open this working by itself</router-link>
    </template>
    <p v-else class="problem">{{ capital(judge.subject) }}: {{ wordProblem(answer.problem) }}</p>
  </div>
</template>

<style scoped>
.judged {
  display: grid;
  gap: 4px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
}
.line > .number {
  font-size: 22px;
}
.verdict {
  font-size: 18px;
}
a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
</style>
