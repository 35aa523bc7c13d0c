<script setup lang="ts">
import { mdiCheck } from '@mdi/js';
import type { Watched } from '@dusk-wren/core/isolation';
import { counts, onStep, type InstrumentId } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import {
  apartBy,
  meansOf,
  meets,
  standsAs,
  wantedWords,
  type MeasureAsk,
  type TaskOf,
} from '@dusk-wren/core/task';
import { parseQuantity, si, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { computed, nextTick, reactive, ref, useTemplateRef } from 'vue';
import { toEmptyField } from '../../keys/fields';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { sayDay } from '../../parts/dates';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useLanding } from '../../stores/gauge-lines';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import JudgedFigures from '../JudgedFigures.vue';
import SignPress from '../SignPress.vue';
import StepBar from '../StepBar.vue';
import PopRig from './PopRig.vue';
import StrokedFigures from './StrokedFigures.vue';
import RegulatorBench from './RegulatorBench.vue';
import ResponseBench from './ResponseBench.vue';
import SweptBench from './SweptBench.vue';
import NotAtZero from './NotAtZero.vue';
import OneReading from './OneReading.vue';
import VentGauge from './VentGauge.vue';

/** Figures that a step asks for: typed as spoken, or read live where an instrument stands by. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'> }>();
const job = useJob();
const { show } = usePreferences();
const typed = reactive<Record<string, Quantity | undefined>>({});
const onGauge = computed(() =>
  props.task.asks.find(({ mustBe, instrument: kind }) => mustBe === 'zero' && kind === 'gauge'),
);

/** What is read off its instrument itself, one figure at a press. */
const oneReading = computed(() => {
  for (const kind of ['torque wrench', 'thermometer'] as const) {
    const ask = props.task.asks.find(({ instrument: its }) => its === kind);
    // One that types is read where it types.
    if (ask && job.instruments.some((each) => each.kind === kind && each.lines === undefined))
      return { kind, ask };
  }
  return undefined;
});
function readOff(ask: MeasureAsk, value: Quantity, readBy: string): void {
  const body = { step: props.step.id, what: ask.what, value, readBy };
  if (job.act({ kind: 'take-measurement', body })) typed[ask.what] = undefined;
}

const shown = (ask: MeasureAsk) => {
  const entry = taken(ask);
  return entry ? show(entry.body.value) : '';
};
const on = (step: string, { what }: MeasureAsk) =>
  job.state && onStep(job.state, 'measured', step).findLast(({ body }) => body.what === what);
const taken = (ask: MeasureAsk) => on(props.step.id, ask);
const isOff = (ask: MeasureAsk) => {
  const entry = taken(ask);
  return (
    entry !== undefined &&
    ask.mustBe !== undefined &&
    (!meets(ask, entry.body.value) || !counts(entry.body.readBy))
  );
};

/** More figures than this are read live: whoever types them unfolds them. */
const MOST_SHOWN = 6;
const unfolded = ref(false);
const byHandFolded = computed(
  () => props.task.live !== undefined && props.task.asks.length > MOST_SHOWN && !unfolded.value,
);

const wanted = ({ mustBe }: Pick<MeasureAsk, 'mustBe'>) => wantedWords(mustBe, show);

/** What is wrong with a reading that is not what the step asks for. */
function offWords({ mustBe }: MeasureAsk): string {
  if (mustBe === undefined || mustBe === 'zero') return 'not yet. Nothing is opened until it is.';
  return 'below' in mustBe
    ? 'not yet. Nothing goes on until it is.'
    : 'outside that. Put it right and take it again.';
}

const allTaken = computed(
  () =>
    new Map(
      props.task.asks.flatMap((ask) => {
        const entry = taken(ask);
        return entry ? [[ask.what, entry.body.value] as const] : [];
      }),
    ),
);
/** How far the readings that must agree are apart, where it is too far. */
const apart = computed(() => apartBy(props.task, allTaken.value));
/** What readings both ways make together: of what is typed, else of what was kept. */
const means = computed(() => {
  const values = new Map<string, Quantity>(allTaken.value);
  for (const [what, value] of Object.entries(typed)) if (value) values.set(what, value);
  return meansOf(props.task, values).map(({ mean, value }) => ({
    what: mean.what,
    value,
    wanted: wanted(mean),
    isIn: meets(mean, value),
  }));
});

/** What the same figure was before, and how far this one is from it. */
const before = (ask: MeasureAsk) => (ask.was === undefined ? undefined : on(ask.was, ask)?.body.value);
/** The same figure as the last job of this valve read it. */
const leftLast = ({ what }: MeasureAsk) => job.carried?.figures.find((each) => each.what === what);
function leftWords(ask: MeasureAsk): string {
  const left = leftLast(ask);
  return left ? `last time ${show(left.value)} on ${sayDay(left.at)}` : '';
}
const wasShown = (ask: MeasureAsk) => {
  const was = before(ask);
  return was ? show(was) : '';
};
function difference(ask: MeasureAsk): string {
  const [was, now] = [before(ask), taken(ask)?.body.value];
  if (!was || !now) return '';
  const by: Quantity = {
    dimension: was.dimension,
    value: valueIn(now, was.unit) - was.value,
    unit: was.unit,
  };
  return Math.abs(si(by)) < 1e-9 ? 'as it was' : `${si(by) > 0 ? '+' : ''}${show(by)}`;
}

/** Whether it stands as it stood: what is otherwise is meant, or a mistake. */
function standing(ask: MeasureAsk): 'as it was' | 'otherwise' | undefined {
  const [was, now] = [before(ask), typed[ask.what] ?? taken(ask)?.body.value];
  return was && now && (standsAs(was, now) ? 'as it was' : 'otherwise');
}

/** What this figure was before, or is about: a figure far from that is asked about. What must be so says it itself. */
function usual(ask: MeasureAsk): Quantity | undefined {
  if (ask.mustBe !== undefined) return undefined;
  const example = parseQuantity(ask.example, ask.dimension);
  return before(ask) ?? leftLast(ask)?.value ?? (example.ok ? example.value : undefined);
}
const byHand = (ask: MeasureAsk, value: Quantity) => ({
  kind: 'take-measurement' as const,
  body: { step: props.step.id, what: ask.what, value, readBy: 'hand' as const },
});
function refused(ask: MeasureAsk): string {
  const value = typed[ask.what];
  return value ? job.refusal(byHand(ask, value)) : '';
}

const fields = useTemplateRef<HTMLElement>('fields');
const ready = computed(() =>
  props.task.asks.filter((ask) => typed[ask.what] !== undefined && refused(ask) === ''),
);
/** Read by somebody else than who is signed in: by name and PIN at this screen. */
const byAnother = computed(() =>
  props.task.otherThan === undefined
    ? []
    : props.task.asks.flatMap((ask) => {
        const value = typed[ask.what];
        return value && refused(ask) !== '' ? [byHand(ask, value)] : [];
      }),
);
function clearTyped(): void {
  for (const { what } of props.task.asks) typed[what] = undefined;
}
function keepAll(): void {
  for (const ask of ready.value) take(ask);
}
/** Keeps one figure, and the hand goes to the next that is not taken. */
async function keepAndOn(ask: MeasureAsk): Promise<void> {
  take(ask);
  await nextTick();
  const next = fields.value?.querySelector('.ask:not(.taken)');
  if (next) toEmptyField(next);
}

/** What a gauge types or sends is kept for the field that has the focus, else for the first figure that is not taken. */
useLanding(({ value, instrument }) => {
  const asks = props.task.asks.filter(({ dimension }) => dimension === value.dimension);
  const inHand = document.activeElement?.closest<HTMLElement>('[data-what]')?.dataset['what'];
  const ask = asks.find(({ what }) => what === inHand) ?? asks.find((each) => !taken(each));
  if (!ask) return undefined;
  const body = { step: props.step.id, what: ask.what, value, readBy: instrument.id };
  return job.act({ kind: 'take-measurement', body }) ? `kept as ${ask.what}` : `not kept as ${ask.what}`;
});

function take(ask: MeasureAsk): void {
  const value = typed[ask.what];
  if (value && job.act(byHand(ask, value))) typed[ask.what] = undefined;
}
function fromGauge(value: Quantity, readBy: InstrumentId, watched: readonly Watched[]): void {
  if (!onGauge.value) return;
  const body = { step: props.step.id, what: onGauge.value.what, value, readBy, watched: [...watched] };
  job.act({ kind: 'take-measurement', body });
}
</script>

<template>
  <div ref="fields" class="measure">
    <template v-if="onGauge">
      <VentGauge :step="step" :again="taken(onGauge) !== undefined" @take="fromGauge" />
      <NotAtZero
        v-if="isOff(onGauge)"
        :step="step"
        :what="onGauge.what"
        :energy="step.isolation?.is === 'proof' ? step.isolation.energy : undefined"
        :reads="shown(onGauge)"
      />
    </template>
    <PopRig v-if="task.live?.kind === 'pops'" :step="step" :task="task" :live="task.live" />
    <StrokedFigures v-if="task.live?.kind === 'stroked'" :step="step" :task="task" :live="task.live" />
    <SweptBench v-if="task.live?.kind === 'swept'" :step="step" :task="task" :live="task.live" />
    <RegulatorBench v-if="task.live?.kind === 'regulated'" :step="step" :task="task" :live="task.live" />
    <ResponseBench v-if="task.live?.kind === 'response'" :step="step" :task="task" :live="task.live" />
    <OneReading
      v-if="oneReading"
      :key="oneReading.kind"
      :step="step.id"
      :kind="oneReading.kind"
      @read="(value, by) => oneReading && readOff(oneReading.ask, value, by)"
    />
    <p v-if="task.live && !byHandFolded" class="label muted">Or with a gauge and a pencil:</p>
    <button v-else-if="task.live" type="button" class="link-button" @click="unfolded = true">
      Or with a gauge and a pencil
    </button>
    <div
      v-for="ask in byHandFolded ? [] : task.asks"
      :key="ask.what"
      class="ask"
      :class="{ taken: taken(ask) }"
      :data-what="ask.what"
    >
      <QuantityField
        v-model="typed[ask.what]"
        :label="ask.what"
        :dimension="ask.dimension"
        :example="ask.example"
        :usual="usual(ask)"
        :refused="refused(ask)"
        @enter="keepAndOn(ask)"
      />
      <span v-if="before(ask)" class="label muted was"
        ><ContactRing v-if="standing(ask)" :verdict="standing(ask) === 'as it was' ? 'fit' : 'ask'" /> was
        {{ wasShown(ask) }} <b>{{ difference(ask) }}</b></span
      >
      <span v-if="!before(ask) && leftLast(ask)" class="label muted was">{{ leftWords(ask) }}</span>
      <span v-if="wanted(ask)" class="label muted was">wanted {{ wanted(ask) }}</span>
      <span v-if="taken(ask) && isOff(ask) && ask !== onGauge" class="problem" role="alert"
        >{{ shown(ask) }}: {{ offWords(ask) }}</span
      >
      <span v-else-if="taken(ask) && !isOff(ask)" class="kept number fit"
        ><svg viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
          <path :d="mdiCheck" fill="currentColor" /></svg
        >{{ shown(ask) }}</span
      >
    </div>
    <p
      v-for="{ what, value, wanted: within, isIn } in means"
      :key="what"
      class="mean"
      :class="isIn ? 'fit' : 'rework'"
    >
      <ContactRing :verdict="isIn ? 'fit' : 'rework'" :size="24" />
      <span class="label">{{ what }}, the mean of both ways</span> <b class="number">{{ show(value) }}</b>
      <span v-if="within" class="label muted">wanted {{ within }}</span>
    </p>
    <p v-if="apart && task.agree" class="problem" role="alert">
      {{ show(apart) }} apart, {{ show(task.agree.within) }} at most: again, until they agree; else look
      inside.
    </p>
    <JudgedFigures :asks="task.asks" :typed="typed" />
    <StepBar v-if="!(onGauge || task.live) || ready.length > 0">
      <SignPress
        v-if="byAnother[0]"
        lamp
        :command="byAnother[0]"
        :more="byAnother.slice(1)"
        @signed="clearTyped"
        >Keep as read</SignPress
      >
      <BenchButton
        v-else
        :lamp="!onGauge && !oneReading && !task.live"
        :disabled="ready.length === 0"
        lacking="type a figure"
        @press="keepAll"
        >{{ ready.length > 1 ? `Keep all ${ready.length}` : 'Keep' }}</BenchButton
      >
    </StepBar>
    <WorkingPaper
      v-if="task.shown"
      :steps="task.shown.steps"
      :notes="task.shown.notes"
      :source="task.shown.source"
    />
  </div>
</template>

<style scoped>
.measure {
  display: grid;
  gap: 10px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
.ask > :first-child {
  flex: 0 1 270px;
}
.mean {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
}
.was {
  align-self: center;
}
.kept {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: var(--touch);
}
</style>
