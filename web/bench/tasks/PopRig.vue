<script setup lang="ts">
import { findPops, thinned } from '@dusk-wren/core/analysis';
import { measuredLast, MOST_POINTS } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import {
  lastTurned,
  meets,
  nextPop,
  StepFacts,
  turnedSincePop,
  weightAdvice,
  type Pops,
  type TaskOf,
} from '@dusk-wren/core/task';
import { formatNumber, psig, quantity, valueIn, type Length } from '@dusk-wren/core/quantity';
import { settingTurns } from '@dusk-wren/core/workings';
import { computed, shallowRef } from 'vue';
import PressureChart from '../../charts/PressureChart.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import ChosenRecording from '../recordings/ChosenRecording.vue';
import LandedRecordings from '../recordings/LandedRecordings.vue';
import { popsOfFile, type RecordedPops } from '../recordings/pressure-of-file';
import { readerOf } from '../recordings/reader';
import RigCocks from './RigCocks.vue';
import StepBar from '../StepBar.vue';
import SlideWeight from './SlideWeight.vue';
import TurnScrew from './TurnScrew.vue';
import './live-reading.css';
import { usePressureOnRig } from './use-pressure-on-rig';

/** A relief valve on the rig: pumped up until it pops, the pop found in the curve; the screw by what its last turn did. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'>; live: Pops }>();
const job = useJob();
const { show, parts } = usePreferences();

const words = props.live.weight
  ? {
      begin: 'Fill until it dumps',
      keep: 'Keep what it opened at',
      again: 'Let it go, fill again',
      stuck: 'It did not open at twice its head: stuck, or stopped too soon. Drain it; nothing is struck.',
    }
  : {
      begin: 'Pump up until it pops',
      keep: 'Keep this pop',
      again: 'Let it go, pop again',
      stuck:
        'No pop up to half again its set: stuck shut, or stopped too soon. Pressure off; nothing is struck.',
    };

const { samples, instrument, choices, picked, running, trouble, set, run, stop, now, unit, points } =
  usePressureOnRig(
    () => props.step.id,
    () => props.live.aim,
  );
const found = computed(() =>
  running.value
    ? undefined
    : findPops(
        samples.value.map(({ seconds }) => seconds),
        samples.value.map((each) => each.psig),
      ).at(-1),
);
const stuck = computed(() => !running.value && samples.value.length > 20 && !found.value);
const span = computed(() => Math.max(20, Math.ceil((now.value?.seconds ?? 0) / 5) * 5));

const facts = computed(() => job.state && new StepFacts(job.state, props.step.id, false));
const as = computed(() => (facts.value ? nextPop(props.task, props.live, facts.value) : ''));
const figures = computed(() => {
  const pop = found.value;
  if (!pop) return [];
  const { simmer: heard, reseat } = props.live;
  return [
    ...(heard !== undefined && pop.simmer !== undefined ? [{ what: heard, value: psig(pop.simmer) }] : []),
    { what: reseat, value: psig(pop.reseat) },
    { what: as.value, value: psig(pop.pop) },
  ];
});
/** Share of what it was to open at; on a small vessel it is noted, not judged. */
const blowdown = computed(() =>
  found.value ? ((found.value.pop - found.value.reseat) / valueIn(props.live.aim, 'psig')) * 100 : 0,
);
/** A recording that is read in: the curve of its first pop that is not kept yet is looked at. */
const recorded = shallowRef<RecordedPops>();
function look(made: RecordedPops | undefined): void {
  stop();
  recorded.value = made;
  samples.value = made?.curves[0] ?? [];
}
const sayPops = ({ curves }: RecordedPops) => (curves.length === 1 ? 'A pop' : `${curves.length} pops`);
const keptFile = computed(
  () =>
    job.state?.records['curve-kept'].findLast(({ body }) => body.step.id === props.step.id && body.file)?.body
      .file,
);
const readBy = computed(() => readerOf(instrument.value, recorded.value?.file));
const fillAgain = () => {
  recorded.value = undefined;
  run();
};
function keep(): void {
  const by = readBy.value;
  if (!found.value || !by) return;
  const kept = thinned(
    samples.value.map((each) => each.psig),
    MOST_POINTS,
  ).flatMap((i) => samples.value[i] ?? []);
  const curve = {
    ...{ seconds: kept.map(({ seconds }) => seconds), psig: kept.map((each) => each.psig) },
    ...(recorded.value ? { file: recorded.value.file } : {}),
  };
  const { id: step } = props.step;
  const isKept =
    job.act({ kind: 'keep-curve', body: { step, what: as.value, ...curve, readBy: by } }) &&
    figures.value.every(({ what, value }) =>
      job.act({ kind: 'take-measurement', body: { step, what, value, readBy: by } }),
    );
  const rest = recorded.value?.curves.slice(1) ?? [];
  if (isKept) look(recorded.value && rest.length > 0 ? { ...recorded.value, curves: rest } : undefined);
}

/** What the screw wants, once a pop has been kept. */
const advice = computed(() => {
  const last = facts.value && lastTurned(props.live, facts.value);
  if (!last || !props.live.screw) return undefined;
  const worked = settingTurns.work({
    wanted: props.live.aim,
    read: last.read,
    ...(last.before ? { before: last.before.read, turned: last.before.turned } : {}),
  });
  return worked.ok ? worked.value : undefined;
});
const popAsk = computed(() => props.task.asks.find(({ what }) => what === props.live.pops[0]));
const inTolerance = computed(() => {
  const last = facts.value && lastTurned(props.live, facts.value);
  return last && popAsk.value && meets(popAsk.value, last.read);
});
/** Whether the pop that was just found is; as found none is judged here. */
const within = computed(() =>
  found.value && popAsk.value?.mustBe !== undefined ? meets(popAsk.value, psig(found.value.pop)) : undefined,
);
const since = computed(() => facts.value && turnedSincePop(props.live, facts.value));
const advised = computed(() => (advice.value ? valueIn(advice.value.result.turn, 'turn') : 0));
const wayWords = computed(() => {
  if (since.value) {
    const by = show({ ...since.value, value: Math.abs(since.value.value) });
    return `turned ${by} ${since.value.value < 0 ? 'anticlockwise' : 'clockwise'} since the last pop. Pop it again: what that did is seen then.`;
  }
  const turn = advice.value?.result;
  if (!turn) return '';
  if (turn.way === 'leave it') return 'Leave the screw as it is.';
  return `${formatNumber(Math.abs(valueIn(turn.turn, 'turn')), 2)} turns ${turn.way}; it should come to ${show(props.live.aim)}.`;
});
function turn(turns: number): void {
  const { screw } = props.live;
  const by = quantity('angle', turns, 'turn');
  if (screw) job.act({ kind: 'turn-screw', body: { step: props.step.id, screw, by } });
}
/** Where its weight goes, where it is set by one. */
const slide = computed(() => facts.value && weightAdvice(props.task, props.live, facts.value));
const place = computed(() => {
  const { weight } = props.live;
  return weight && job.state && measuredLast(job.state, weight.place, 'length');
});
/** It opened within its limit: where its weight stands is all that is still to be kept. */
const placeIsLeft = computed(
  () => place.value !== undefined && inTolerance.value === true && !slide.value && !running.value,
);
function placed(value: Length): void {
  const { weight } = props.live;
  if (!weight) return;
  const body = { step: props.step.id, what: weight.place, value, readBy: 'hand' as const };
  job.act({ kind: 'take-measurement', body });
}
useKeys([{ key: 'enter', label: words.keep, run: keep, when: () => found.value !== undefined }]);
</script>

<template>
  <div class="pops">
    <div class="live-rig">
      <PressureChart :points="points" :wanted="valueIn(live.aim, unit)" :unit="unit" :span="span" />
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
      </div>
    </div>
    <p v-if="found" class="found" role="status">
      <b class="number">{{ show(psig(found.pop)) }}</b> <span class="label">{{ as }}</span>
      <span class="label"
        >shut at <b>{{ show(psig(found.reseat)) }}</b></span
      >
      <span v-if="within !== undefined" class="label within" :class="within ? 'fit' : 'rework'"
        ><ContactRing :verdict="within ? 'fit' : 'rework'" />
        {{ within ? 'within tolerance' : 'out of tolerance' }}</span
      >
      <span v-if="live.simmer !== undefined && found.simmer === undefined" class="label"
        >no simmer seen: type the first leak as it was heard</span
      >
      <span v-if="found.simmer !== undefined" class="label"
        >simmer from <b>{{ show(psig(found.simmer)) }}</b></span
      >
      <span v-if="!live.weight" class="label muted"
        >blowdown {{ formatNumber(blowdown, 1) }} %, noted: a small vessel shows no true one</span
      >
    </p>
    <p v-if="stuck" class="problem" role="alert">
      {{ words.stuck }}
    </p>
    <TurnScrew
      v-if="live.screw && inTolerance === false && advice"
      :screw="live.screw"
      :advised="advised"
      :words="wayWords"
      :waits="since !== undefined"
      :disabled="running"
      @turn="turn"
    >
      <p class="label caution">
        Pressure down to a quarter under its set first, spindle held: the disc must not turn on its nozzle.
      </p>
      <WorkingPaper :steps="advice.steps" :notes="advice.notes" :source="advice.source" />
    </TurnScrew>
    <SlideWeight
      :live="live"
      :advice="slide"
      :place="placeIsLeft && !found ? place : undefined"
      :disabled="running"
      @placed="placed"
    />
    <RigCocks v-if="running && !live.weight" :by-itself="instrument?.byItself ?? true" @set="set" />
    <LandedRecordings v-if="!running" :reader="popsOfFile" :words="sayPops" :kept="keptFile" @made="look" />
    <ChosenRecording v-if="!running" :reader="popsOfFile" :words="sayPops" @made="look" />
    <p v-if="recorded && recorded.curves.length > 1" class="label">
      {{ recorded.curves.length - 1 }} more in “{{ recorded.file }}”, each looked at before it is kept.
    </p>
    <StepBar>
      <BenchButton v-if="found" lamp hint="enter" @press="keep">{{ words.keep }}</BenchButton>
      <BenchButton
        v-if="!running"
        :lamp="
          !found &&
          !slide &&
          !placeIsLeft &&
          (inTolerance !== false || since !== undefined || live.weight !== undefined)
        "
        @press="fillAgain"
        >{{ found ? words.again : words.begin }}</BenchButton
      >
      <BenchButton v-else @press="stop">Stop, pressure off</BenchButton>
    </StepBar>
  </div>
</template>

<style scoped>
.pops {
  display: grid;
  gap: 10px;
}
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
}
.within {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
.found > .number {
  font-size: 26px;
}
</style>
