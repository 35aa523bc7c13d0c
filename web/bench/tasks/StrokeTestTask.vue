<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { quantity, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { CLEAR_OF_STOPS, strokeVerdicts, workedStroke, type TaskOf } from '@dusk-wren/core/task';
import { computed, reactive, ref, watch } from 'vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { sayDay } from '../../parts/dates';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import StepBar from '../StepBar.vue';
import GainScrew from './GainScrew.vue';
import TurnScrew from './TurnScrew.vue';
import ChosenRecording from '../recordings/ChosenRecording.vue';
import LandedRecordings from '../recordings/LandedRecordings.vue';
import { strokeOfFile, type Recorded } from '../recordings/stroke-of-file';
import StrokeGauges from './StrokeGauges.vue';
import { useRatedTravel } from './use-rated-travel';
import { useStrokeBench } from './use-stroke-bench';

/** A stroke in points, up and down: run by the bench or read by hand, judged as it is whole. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'stroke-test'> }>();
const job = useJob();
const { show } = usePreferences();
const bench = useStrokeBench(() => props.step.id);

type Way = 'up' | 'down';
const percent = (share: Quantity<'ratio'>) => valueIn(share, '%');
const fine = ref(false);
const ELEVEN = Array.from({ length: 11 }, (_, i) => i * 10);
/** Ends that a stop or the seat holds: what it would show there is read clear of it. */
const held = reactive({ low: false, high: false });
const at = computed(() => {
  const { low, high } = CLEAR_OF_STOPS;
  const plain = fine.value ? ELEVEN : props.task.at.map((share) => Math.round(valueIn(share, '%')));
  return [...plain, ...(held.low ? [low] : []), ...(held.high ? [high] : [])].sort((a, b) => a - b);
});
/** What the bench read, and what was typed instead. */
const byBench = reactive<Record<string, Quantity<'ratio'> | undefined>>({});
const typed = reactive<Record<string, Quantity<'ratio'> | undefined>>({});
const readAt = (way: Way, percent: number) => typed[keyOf(way, percent)] ?? byBench[keyOf(way, percent)];
const keyOf = (way: Way, percent: number) => `${way} at ${percent} %`;

/** What is still to be stood at: up point by point, then down again; some only to come from the right side. */
type Stand = readonly [way: Way | 'past', percent: number];
const order = (): Stand[] => [
  ...at.value.map((percent): Stand => ['up', percent]),
  ...at.value.toReversed().map((percent): Stand => ['down', percent]),
];
const going = ref<readonly Stand[]>([]);
const isGoing = computed(() => going.value.length > 0);
const clear = (readings: typeof typed) => {
  for (const key of Object.keys(readings)) readings[key] = undefined;
};
function run(): void {
  clear(byBench);
  [held.low, held.high] = [false, false];
  going.value = order();
  bench.start();
}
function put(): void {
  const [[, percent] = []] = going.value;
  if (percent !== undefined) bench.put(percent);
}
watch(bench.now, (now, before) => {
  if (now && !before && isGoing.value) put();
});
watch(bench.stands, (stands) => {
  const [stand, ...rest] = going.value;
  if (stands === undefined || !stand || bench.signal.value !== stand[1]) return;
  const [way, percent] = stand;
  if (way !== 'past') byBench[keyOf(way, percent)] = quantity('ratio', Math.round(stands * 10) / 10, '%');
  going.value = clearOfStop(stand, rest);
  if (isGoing.value) put();
  else stop();
});
/** All of the supply on it, or none: a stop holds it, and its end is read clear of that as well, from the right side. */
function clearOfStop([way, percent]: Stand, rest: readonly Stand[]): readonly Stand[] {
  const { low, high } = CLEAR_OF_STOPS;
  if (way !== 'up' || props.task.by !== 'positioner' || !bench.isSpent.value) return rest;
  if (percent === 0) {
    held.low = true;
    return [
      ['up', low],
      ...rest.flatMap((each): Stand[] => (each[1] === 0 ? [['down', low], each] : [each])),
    ];
  }
  if (percent !== 100) return rest;
  held.high = true;
  const [top, ...down] = rest;
  return [['past', 75], ['up', high], ['past', 100], ...(top ? [top] : []), ['down', high], ...down];
}
function stop(): void {
  going.value = [];
  bench.stop();
}

const rated = useRatedTravel();
const recording = ref<Recorded['recording']>();
const strokeOf = (file: string, bytes: Uint8Array) =>
  strokeOfFile(file, bytes, { at: at.value, rated: rated.value });
const sayPoints = ({ points: read }: Recorded) => `${read.length} points`;
function recorded({ points: all, recording: from }: Recorded): void {
  recording.value = from;
  for (const { signal, up, down } of all) {
    typed[keyOf('up', signal)] = quantity('ratio', Math.round(up * 10) / 10, '%');
    typed[keyOf('down', signal)] = quantity('ratio', Math.round(down * 10) / 10, '%');
  }
}
const points = computed(() =>
  at.value.flatMap((percent) => {
    const [up, down] = [readAt('up', percent), readAt('down', percent)];
    return up && down ? [{ signal: quantity('ratio', percent, '%'), up, down }] : [];
  }),
);
const shown = computed(() => {
  const rows = at.value.map((signal) => ({ signal, up: readAt('up', signal), down: readAt('down', signal) }));
  if (rows.some(({ up, down }) => up ?? down)) return rows;
  return (kept.value?.body.points ?? []).map(({ signal, up, down }) => ({
    signal: percent(signal),
    up,
    down,
  }));
});
const isWhole = computed(() => points.value.length === at.value.length);
const kept = computed(() =>
  job.state?.records['stroke-tested'].findLast(({ body }) => body.step.id === props.step.id),
);
const judged = computed(() => (isWhole.value ? points.value : kept.value?.body.points));
const verdicts = computed(() => (judged.value ? strokeVerdicts(judged.value, props.task.by) : undefined));
const worked = computed(() => (judged.value ? workedStroke(judged.value) : undefined));
const fits = computed(() => verdicts.value?.every((each) => each.fits) === true);
const before = computed(
  () =>
    job.state?.records['stroke-tested'].findLast(({ body }) => body.step.id === props.task.was)?.body.points,
);

/** As its last job left it: what one that is taken as found is held against. */
const last = computed(() => (props.task.asFound === true ? job.carried?.stroke : undefined));

const series = computed((): XySeries[] => {
  const off = (
    name: string,
    way: Way,
    of: typeof points.value,
    colour: string,
    dashed = false,
  ): XySeries => ({
    name,
    points: of.map((point) => [percent(point.signal), percent(point[way]) - percent(point.signal)] as const),
    colour,
    dashed,
    dots: !dashed,
  });
  return [
    ...(last.value
      ? [
          off('left last, up', 'up', last.value.points, '--muted', true),
          off('left last, down', 'down', last.value.points, '--muted', true),
        ]
      : []),
    ...(before.value
      ? [
          off('as found, up', 'up', before.value, '--muted', true),
          off('as found, down', 'down', before.value, '--muted', true),
        ]
      : []),
    ...(judged.value
      ? [off('up', 'up', judged.value, '--blue'), off('down', 'down', judged.value, '--lamp')]
      : []),
  ];
});

/** The screw that what is off is set by, span before zero. */
const screw = computed(() => {
  const off = (label: string) => verdicts.value?.some((each) => each.label === label && !each.fits) === true;
  const wanted = off('span') ? 'span screw' : off('zero') ? 'zero screw' : undefined;
  return props.task.screws.find((each) => each === wanted);
});
function turn(turns: number): void {
  if (!screw.value) return;
  const by = quantity('angle', turns, 'turn');
  job.act({ kind: 'turn-screw', body: { step: props.step.id, screw: screw.value, by } });
}

function keep(): void {
  const isTyped = Object.values(typed).some((each) => each !== undefined);
  const readBy = isTyped ? 'hand' : (bench.instrument.value?.id ?? 'hand');
  const body = {
    step: props.step.id,
    points: points.value,
    ...(recording.value ? { recording: recording.value } : {}),
    readBy,
  };
  if (!job.act({ kind: 'keep-stroke', body })) return;
  recording.value = undefined;
  clear(byBench);
  clear(typed);
}
</script>

<template>
  <div class="stroke-test">
    <StrokeGauges :bench="bench" :at="at" :busy="isGoing">
      <GainScrew :step="step" :bench="bench" :screws="task.screws" />
    </StrokeGauges>
    <LandedRecordings
      :reader="strokeOf"
      :words="sayPoints"
      :kept="kept?.body.recording?.file"
      @made="recorded"
    />
    <BenchButton v-if="!isGoing" class="fine" :aria-pressed="fine" @press="fine = !fine"
      >Eleven points instead of five</BenchButton
    >
    <ul v-if="verdicts" class="verdicts" aria-live="polite">
      <li
        v-for="{ label, found, limit, fits: isIn } in verdicts"
        :key="label"
        :class="isIn ? 'fit' : 'rework'"
      >
        <ContactRing :verdict="isIn ? 'fit' : 'rework'" />
        {{ label }} <b class="number">{{ show(found) }}</b>
        <span class="label muted">limit {{ show(limit) }}</span>
      </li>
    </ul>
    <p v-if="last" class="label muted">Dashed: as it was left on {{ sayDay(last.at) }}.</p>
    <XyChart
      v-if="judged || last"
      :series="series"
      x="signal, %"
      y="off by, % of travel"
      label="Deviation of the travel"
      :height="220"
    />
    <p v-if="verdicts && !fits && !isWhole && !task.asFound" class="problem" role="alert">
      Out of its limits; kept, and the step stays open. {{ worked?.result.advice.join(' ') }} Then run it
      again.
    </p>
    <table v-if="shown.length > 0">
      <caption class="label">
        Travel at each signal, percent
      </caption>
      <tr>
        <th scope="col">signal</th>
        <th scope="col">up</th>
        <th scope="col">down</th>
      </tr>
      <tr v-for="{ signal, up, down } in shown" :key="signal">
        <th scope="row" class="number">{{ signal }} %</th>
        <td class="number">{{ up ? show(up) : '–' }}</td>
        <td class="number">{{ down ? show(down) : '–' }}</td>
      </tr>
    </table>
    <details>
      <summary>No gauges that read: type what stood on the scale, or take a recording</summary>
      <div class="ends" role="group" aria-label="A stop holds it">
        <BenchButton :aria-pressed="held.low" @press="held.low = !held.low"
          >A stop holds it at 0 %</BenchButton
        >
        <BenchButton :aria-pressed="held.high" @press="held.high = !held.high"
          >A stop holds it at 100 %</BenchButton
        >
      </div>
      <ChosenRecording :reader="strokeOf" :words="sayPoints" @made="recorded" />
      <div class="points">
        <template v-for="percentIn in at" :key="percentIn">
          <QuantityField
            v-for="way in ['up', 'down'] as const"
            :key="way"
            v-model="typed[keyOf(way, percentIn)]"
            :label="keyOf(way, percentIn)"
            dimension="ratio"
            :example="`${percentIn} %`"
            :usual="percentIn === 0 ? undefined : quantity('ratio', percentIn, '%')"
          />
        </template>
      </div>
    </details>
    <TurnScrew
      v-if="screw && !isWhole"
      :screw="screw"
      :advised="0"
      words="by the least that shows; then run it again."
      :waits="false"
      :disabled="isGoing"
      @turn="turn"
    />
    <StepBar>
      <BenchButton v-if="isWhole" lamp @press="keep">Keep the stroke test</BenchButton>
      <BenchButton v-if="!isGoing" :lamp="!isWhole" @press="run">{{
        judged ? 'Run it again' : 'Air on, run the test'
      }}</BenchButton>
      <BenchButton v-else @press="stop">Stop, air off</BenchButton>
    </StepBar>
    <WorkingPaper v-if="worked" :steps="worked.steps" :notes="worked.notes" :source="worked.source" />
  </div>
</template>

<style scoped>
.stroke-test {
  display: grid;
  gap: 10px;
}
.fine {
  justify-self: start;
}
table {
  width: max-content;
  border-collapse: collapse;
}
caption {
  text-align: left;
}
th,
td {
  padding: 2px 22px 2px 0;
  text-align: right;
  font-weight: 400;
}
summary {
  min-height: var(--touch);
  align-content: center;
}
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 8px;
}
.points {
  display: grid;
  grid-template-columns: repeat(2, minmax(150px, 230px));
  gap: 8px 14px;
}
.verdicts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  padding: 0;
  list-style: none;
}
.verdicts li {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
</style>
