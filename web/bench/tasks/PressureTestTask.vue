<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { ReadingMessage } from '@dusk-wren/contract';
import { onStep, type InstrumentId } from '@dusk-wren/core/job';
import {
  asFlow,
  outcomeOf,
  StepFacts,
  untracedLeak,
  type TaskOf,
  type TestOutcome,
} from '@dusk-wren/core/task';
import {
  compare,
  formatLeak,
  capital,
  formatNumber,
  preferredUnit,
  psig,
  seconds,
  si,
  valueIn,
  type GaugePressure,
  type Leak,
  type Time,
} from '@dusk-wren/core/quantity';
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import LeakCauses from '../LeakCauses.vue';
import GasEnergy from '../GasEnergy.vue';
import StepBar from '../StepBar.vue';
import './live-reading.css';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import ChosenRecording from '../recordings/ChosenRecording.vue';
import LandedRecordings from '../recordings/LandedRecordings.vue';
import { testOfFile, type RecordedTest } from '../recordings/pressure-of-file';
import { readerOf } from '../recordings/reader';
import RigCocks from './RigCocks.vue';
import { useReadings } from '../use-readings';

/** A pressure test beside the live rig: what is asked, what is there, what leaks, and the verdict as it ends. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'pressure-test'> }>();
const PressureChart = defineAsyncComponent(() => import('../../charts/PressureChart.vue'));
const job = useJob();
const preferences = usePreferences();
const { show, parts } = preferences;

type Sample = Extract<ReadingMessage, { kind: 'rig' }>;
const samples = ref<Sample[]>([]);
/** A recording that is read in: what its hold was, in place of a rig that is read now. */
const recorded = shallowRef<RecordedTest>();
const now = computed((): Sample | undefined => {
  const last = samples.value.at(-1);
  if (!recorded.value) return last;
  const { held, pressure, samples: all } = recorded.value;
  const at = { seconds: all.at(-1)?.seconds ?? 0, psig: valueIn(pressure, 'psig'), held: si(held) };
  return { kind: 'rig', ...at, phase: 'done', leaked: null, of: props.task.allowed.of, rate: 1 };
});
const { instrument, choices, picked, running, trouble, set, start, stop } = useReadings(
  'test rig',
  () => ({ step: props.step.id }),
  (reading) => {
    if (reading.kind !== 'rig') return;
    samples.value = [...samples.value, reading];
    if (reading.phase === 'done') stop();
  },
);
/** A simulated rig pumps by itself; at a real one nothing is done that nobody asked for. */
const byItself = computed(() => instrument.value?.byItself ?? true);
const hold = computed(() => si(props.task.hold));
const unit = computed(() => preferredUnit(props.task.pressure, preferences.units));
const drawn = computed(() => recorded.value?.samples ?? samples.value);
const points = computed(() =>
  drawn.value.map((sample) => [sample.seconds, valueIn(psig(sample.psig), unit.value)] as const),
);
const { of } = props.task.allowed;
/** A rig that counts no leak leaves it to whoever watches: so many in the hold. */
const isCounted = computed(() => now.value?.leaked !== null);
const counted = ref('');
const countIn = (text: string): number | undefined =>
  text.trim() !== '' && Number(text) >= 0 ? Number(text) : undefined;
const leaked = computed(() => now.value?.leaked ?? countIn(counted.value) ?? 0);
const isLeakKnown = computed(() => isCounted.value || countIn(counted.value) !== undefined);
const leak = computed<Leak>(() => ({
  perMinute: now.value && now.value.held > 0 ? (leaked.value / now.value.held) * 60 : 0,
  of: now.value?.of ?? of,
}));
const outcome = computed((): TestOutcome =>
  outcomeOf(
    { pressure: psig(now.value?.psig ?? 0), hold: seconds(now.value?.held ?? 0), leak: leak.value },
    props.task,
  ),
);
/** Said while it happens: nobody waits out a hold that does not count. */
const isTooHigh = computed(
  () =>
    running.value &&
    now.value !== undefined &&
    props.task.most !== undefined &&
    compare(psig(now.value.psig), props.task.most) > 0,
);
/** The same leak as a flow: by the bubble of its own tube. */
const flow = computed(() => asFlow(leak.value, props.task.tube));
const allowedFlow = computed(() => asFlow(props.task.allowed, props.task.tube));
const said = (what: TestOutcome, found: Leak): string =>
  what === 'leaks' ? `Over: ${formatLeak(found)}` : capital(what);

const run = () => {
  recorded.value = undefined;
  samples.value = [];
  counted.value = '';
  start();
};
function keep(): void {
  if (now.value?.phase !== 'done' || !readBy.value || !isLeakKnown.value) return;
  const file = recorded.value ? { file: recorded.value.file } : {};
  const [pressure, held] = [psig(now.value.psig), seconds(now.value.held)];
  send({ pressure, hold: held, leak: leak.value, ...file, readBy: readBy.value });
}
const testOf = (file: string, bytes: Uint8Array) => testOfFile(file, bytes, props.task);
const sayTest = ({ held, pressure }: RecordedTest) => `${show(held)} at ${show(pressure)}`;
function look(made: RecordedTest): void {
  stop();
  counted.value = '';
  recorded.value = made;
}
const readBy = computed(() => readerOf(instrument.value, recorded.value?.file));
const typed = ref<{ pressure?: GaugePressure; leak: string }>({ leak: '' });
function keepTyped(): void {
  const { pressure } = typed.value;
  const perMinute = countIn(typed.value.leak);
  if (pressure && perMinute !== undefined)
    send({ pressure, hold: props.task.hold, leak: { perMinute, of }, readBy: 'hand' });
}
interface Ran {
  readonly pressure: GaugePressure;
  readonly hold: Time;
  readonly leak: Leak;
  readonly file?: string;
  readonly readBy: InstrumentId | 'hand';
}
function send(ran: Ran): void {
  job.act({ kind: 'run-pressure-test', body: { step: props.step.id, ...ran } });
}
/** It leaks now, or leaked when it was tried last and nobody has said where. */
const leaks = computed(() => {
  const isLeaking = now.value?.phase === 'done' && isLeakKnown.value && outcome.value === 'leaks';
  const facts = job.state && new StepFacts(job.state, props.step.id, false);
  return isLeaking || (facts !== undefined && untracedLeak(props.task, facts) !== undefined);
});
const before = computed(() => (job.state ? onStep(job.state, 'pressure-tested', props.step.id) : []));
useKeys([{ key: 'enter', label: 'Keep this test', run: keep, when: () => now.value?.phase === 'done' }]);
</script>

<template>
  <div class="test">
    <ul class="asked number">
      <li>
        <span>at</span><b>{{ preferences.read(task.pressure, 'gauge', 'up') }}</b
        ><template v-if="task.most"> to {{ preferences.read(task.most, 'gauge', 'down') }}</template>
      </li>
      <li>
        <span>for</span><b>{{ show(task.hold) }}</b>
      </li>
      <li>
        <span>at most</span><b>{{ task.allowed.perMinute === 0 ? 'none' : formatLeak(task.allowed) }}</b
        ><span v-if="allowedFlow" class="label">&nbsp;= {{ show(allowedFlow) }}</span>
      </li>
    </ul>
    <div class="live-rig">
      <PressureChart
        :points="points"
        :wanted="valueIn(task.pressure, unit)"
        :unit="unit"
        :span="Math.max(hold + 8, points.at(-1)?.[0] ?? 0)"
      />
      <div class="now" aria-live="off">
        <InstrumentPick
          v-model="picked"
          :choices="choices"
          :instrument="instrument"
          :trouble="trouble"
          :file="recorded?.file"
        />
        <p class="live-reading number">
          {{ now ? parts(psig(now.psig)).number : '–' }} <small>{{ unit }}</small>
        </p>
        <p class="label" :class="{ problem: isTooHigh }">
          {{
            isTooHigh
              ? 'More than this test may have: vent it down.'
              : !now
                ? 'Not pumped up'
                : now.phase === 'rising'
                  ? 'Rising'
                  : now.phase === 'holding'
                    ? `Holding, ${show(seconds(hold - now.held))} left`
                    : 'Hold is over'
          }}<template v-if="now && now.rate > 1 && running"
            >, {{ now.rate }} times faster than the clock</template
          >
        </p>
        <v-text-field
          v-if="!isCounted"
          v-model="counted"
          :label="`${capital(of)} seen in the hold`"
          inputmode="decimal"
        />
        <p v-else class="leak number">
          {{ formatNumber(leaked, 1) }}
          <small>{{ of }} in {{ show(seconds(now?.held ?? 0)) }}</small>
          <small v-if="flow" class="muted"> = {{ show(flow) }}</small>
        </p>
        <p
          v-if="now?.phase === 'done' && isLeakKnown"
          class="verdict label"
          :class="outcome === 'holds' ? 'fit' : 'rework'"
          role="status"
        >
          <ContactRing :verdict="outcome === 'holds' ? 'fit' : 'rework'" :size="24" />{{
            said(outcome, leak)
          }}
        </p>
      </div>
    </div>
    <RigCocks v-if="running" :by-itself="byItself" @set="set" />
    <LandedRecordings
      v-else
      :reader="testOf"
      :words="sayTest"
      :kept="before.at(-1)?.body.file"
      @made="look"
    />
    <StepBar>
      <BenchButton
        v-if="now?.phase === 'done'"
        lamp
        hint="enter"
        :disabled="!isLeakKnown"
        lacking="what was counted in the hold"
        @press="keep"
        >{{
          outcome === 'holds'
            ? 'Keep this test'
            : outcome === 'leaks' && task.test === 'seat'
              ? 'Keep it: back to the seat'
              : 'Keep it, put right and run again'
        }}</BenchButton
      >
      <BenchButton v-if="!running" :lamp="now?.phase !== 'done'" @press="run">{{
        samples.length > 0 ? 'Run again' : byItself ? 'Pump up' : 'Read the rig'
      }}</BenchButton>
      <BenchButton v-else @press="stop">{{
        byItself ? 'Stop, pressure off' : 'Stop the pump, read no more'
      }}</BenchButton>
    </StepBar>
    <LeakCauses v-if="leaks" :step="step" :task="task" />
    <GasEnergy v-if="task.fluid === 'gas'" :pressure="task.pressure" :volume="task.volume" />
    <p v-for="entry in before" :key="entry.seq" class="problem">
      Tried before: {{ show(entry.body.pressure) }}, {{ said(outcomeOf(entry.body, task), entry.body.leak) }}.
    </p>
    <details>
      <summary class="label muted">No rig: type what was read</summary>
      <form class="hand" @submit.prevent="keepTyped">
        <QuantityField
          label="Pressure held"
          dimension="gauge pressure"
          example="1100 psig"
          @update:model-value="(value) => (value ? (typed.pressure = value) : delete typed.pressure)"
        />
        <v-text-field v-model="typed.leak" :label="`${of} a minute`" inputmode="decimal" />
        <BenchButton kind="submit">Keep what was read</BenchButton>
      </form>
      <ChosenRecording :reader="testOf" :words="sayTest" @made="look" />
    </details>
    <WorkingPaper :steps="task.shown.steps" :notes="task.shown.notes" :source="task.shown.source" />
  </div>
</template>

<style scoped>
.test {
  display: grid;
  gap: 10px;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 26px;
}
.asked span {
  color: var(--muted);
  margin-right: 7px;
  font-weight: 400;
}
.asked b {
  font-size: 22px;
}
small {
  font-size: 18px;
}
.leak {
  font-size: 26px;
}
.verdict {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 20px;
  font-weight: 600;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
.hand > :is(:deep(.v-input), .quantity-field) {
  flex: 1 1 180px;
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
}
</style>
