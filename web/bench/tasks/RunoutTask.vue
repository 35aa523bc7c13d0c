<script setup lang="ts">
import { callOnRunout } from '@dusk-wren/core/inspection';
import { siteOf } from '@dusk-wren/core/calls';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { thou, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { partsOf } from '@dusk-wren/core/valve';
import { stemRunout } from '@dusk-wren/core/workings';
import { computed, ref } from 'vue';
import RunoutPlot from '../../charts/RunoutPlot.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useLanding } from '../../stores/gauge-lines';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';
import CallWords from '../CallWords.vue';
import InstrumentPick from '../InstrumentPick.vue';
import OverruleForm from '../OverruleForm.vue';
import { useReadings } from '../use-readings';

/** Twelve dial readings round the stem: live from the dial or typed; bow, high spot and the call as they land. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'runout'> }>();
const job = useJob();
const { read, parts } = usePreferences();

const readings = ref<(number | undefined)[]>(Array.from({ length: props.task.stations }, () => undefined));
const live = ref<{ degrees: number; thou: number }>();
const overruling = ref(false);
const typed = ref<Quantity<'length'>>();
const byHand = ref(false);
const pitch = 360 / props.task.stations;

const { instrument, choices, picked, running, trouble, start, stop } = useReadings(
  'dial indicator',
  () => ({ step: props.step.id }),
  (reading) => {
    if (reading.kind !== 'dial') return;
    live.value = { degrees: reading.degrees, thou: reading.thou };
    const station = Math.round(reading.degrees / pitch) % props.task.stations;
    if (Math.abs(reading.degrees - station * pitch) < 1 && readings.value[station] === undefined)
      take(station, reading.thou);
  },
);

function take(station: number, value: number): void {
  readings.value = readings.value.map((each, i) => (i === station ? value : each));
  if (readings.value.every((each) => each !== undefined)) stop();
}
const next = computed(() => readings.value.findIndex((each) => each === undefined));
useLanding(({ value, instrument: gauge }) => {
  if (value.dimension !== 'length' || gauge.kind !== 'dial indicator' || next.value < 0) return undefined;
  const station = next.value;
  picked.value = gauge.id;
  take(station, valueIn(value, 'thou'));
  return `reading ${station + 1} of ${props.task.stations}`;
});
function takeTyped(): void {
  if (!typed.value || next.value < 0) return;
  byHand.value = true;
  take(next.value, valueIn(typed.value, 'thou'));
  typed.value = undefined;
}

const quantities = computed(() => readings.value.flatMap((each) => (each === undefined ? [] : [thou(each)])));
const worked = computed(() =>
  next.value < 0 ? stemRunout.work({ readings: quantities.value, limit: props.task.limit }) : undefined,
);
const answer = computed(() => (worked.value?.ok ? worked.value.value : undefined));
const call = computed(() =>
  answer.value && job.state && job.planned
    ? callOnRunout(job.planned.valve, siteOf(job.state), answer.value.result, props.task.part)
    : undefined,
);
const leadDays = computed(() =>
  job.planned ? partsOf(job.planned.valve).find(({ role }) => role === props.task.part)?.leadDays : undefined,
);
const clock = (degrees: number) => {
  const hours = degrees / 30;
  const whole = Math.floor(hours);
  return `${whole === 0 ? 12 : whole}:${String(Math.floor((hours - whole) * 60)).padStart(2, '0')}`;
};

function readAgain(): void {
  readings.value = readings.value.map(() => undefined);
  byHand.value = false;
  live.value = undefined;
  overruling.value = false;
}
function keep(): boolean {
  if (!answer.value) return false;
  const readBy = byHand.value || !instrument.value ? 'hand' : instrument.value.id;
  return job.act({ kind: 'take-runout', body: { step: props.step.id, readings: quantities.value, readBy } });
}
useKeys([
  {
    key: ' ',
    label: 'Turn the stem / stop',
    run: () => (running.value ? stop() : start()),
    when: () => next.value >= 0,
  },
  {
    key: 'enter',
    label: 'Take the call',
    run: keep,
    when: () => answer.value !== undefined && !overruling.value,
  },
  {
    key: 'o',
    label: 'Overrule',
    run: () => (overruling.value = true),
    when: () => answer.value !== undefined,
  },
  { key: 'r', label: 'Read again', run: readAgain },
]);
</script>

<template>
  <div class="runout">
    <div class="top">
      <RunoutPlot
        :readings="readings"
        :limit="valueIn(task.limit, 'thou')"
        :bow="answer && valueIn(answer.result.bow, 'thou')"
        :bow-degrees="answer?.result.bowAngle?.value"
        :live="running ? live : undefined"
      />
      <div class="side">
        <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" :trouble="trouble" />
        <p v-if="!answer" class="reading number" aria-live="off">
          <template v-if="live"
            >{{ live.thou >= 0 ? '+' : '' }}{{ parts(thou(live.thou)).number }}
            <small>{{ parts(thou(live.thou)).unit }}</small></template
          ><template v-else>–</template>
        </p>
        <template v-if="answer && call">
          <CallWords :call="call" />
          <ul class="figures number">
            <li>
              Bow {{ read(answer.result.bow, 'dial')
              }}<template v-if="answer.result.bowAngle"
                >, high at {{ clock(answer.result.bowAngle.value) }}</template
              >
            </li>
            <li>Runout (TIR) {{ read(answer.result.tir, 'dial') }}, limit {{ read(task.limit, 'dial') }}</li>
            <li>Out of round {{ read(answer.result.outOfRound, 'dial') }}</li>
          </ul>
        </template>
        <div v-else class="hand">
          <QuantityField
            v-model="typed"
            :label="`Reading at ${next === 0 ? 12 : next} o'clock, by eye`"
            dimension="length"
            example="3 thou"
            @enter="takeTyped"
          />
        </div>
      </div>
    </div>
    <ol class="stations" aria-label="Readings by clock position">
      <li v-for="(reading, i) in readings" :key="i">
        <span>{{ i === 0 ? 12 : i }}</span><b class="number">{{
          reading === undefined ? '·' : parts(thou(reading)).number
        }}</b>
      </li>
    </ol>
    <WorkingPaper v-if="answer" :steps="answer.steps" :notes="answer.notes" :source="task.source" />
    <OverruleForm v-if="overruling && call" :call="call" :before="keep" @close="overruling = false" />
    <StepBar v-else>
      <template v-if="answer && call">
        <BenchButton lamp hint="enter" @press="keep">{{
          call.verdict === 'renew'
            ? `Take the call, order ${task.part}${leadDays ? ` (${leadDays} days)` : ''}`
            : 'Take the call'
        }}</BenchButton>
        <BenchButton hint="o" @press="overruling = true">Overrule</BenchButton>
      </template>
      <BenchButton v-else :lamp="!running" hint=" " @press="running ? stop() : start()">{{
        running ? 'Stop' : 'Turn the stem, read the dial'
      }}</BenchButton>
      <BenchButton hint="r" @press="readAgain">Read again</BenchButton>
    </StepBar>
  </div>
</template>

<style scoped>
.runout {
  display: grid;
  gap: 12px;
}
.top {
  display: grid;
  grid-template-columns: minmax(170px, 250px) minmax(0, 1fr);
  gap: 18px;
  align-items: center;
}
.side {
  display: grid;
  gap: 8px;
}
.reading {
  font-size: 46px;
  line-height: 1.1;
  color: var(--blue);
}
small {
  font-size: 24px;
}
.hand {
  max-width: 300px;
}
.stations {
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  text-align: center;
  max-width: 640px;
}
.stations li {
  display: grid;
  font-family: var(--label);
  font-size: 14px;
  color: var(--muted);
}
.stations b {
  font-size: 16px;
  color: var(--ink);
  border: 1px solid var(--line);
  margin-left: -1px;
  padding: 3px 0;
}
@media (max-width: 700px) {
  .top {
    grid-template-columns: 1fr;
    justify-items: center;
  }
  .side {
    width: 100%;
  }
  .stations {
    grid-template-columns: repeat(6, minmax(0, 1fr));
    width: 100%;
  }
}
</style>
