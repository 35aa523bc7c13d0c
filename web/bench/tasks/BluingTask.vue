<script setup lang="ts">
import type { BlueArc } from '@dusk-wren/core/analysis';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { quantity, thou, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { seatContact } from '@dusk-wren/core/workings';
import { computed, ref } from 'vue';
import SeatRing from '../../drawings/SeatRing.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';

/** The blue line, marked on the drawn seat ring sector by sector; continuity, width and breaks as it is marked. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'bluing'> }>();
const job = useJob();
const { show, read } = usePreferences();

type Mark = 'none' | 'line' | 'wide';
const SECTORS = 72;
const PITCH = 360 / SECTORS;
const marks = ref<Mark[]>(Array.from({ length: SECTORS }, () => 'none'));
const brush = ref<Mark>('line');
const line = ref<Quantity<'length'> | undefined>({ ...thou(30), entered: '30 thou' });
const wide = ref<Quantity<'length'> | undefined>({ ...thou(90), entered: '90 thou' });

const arcs = computed<BlueArc[]>(() => {
  const found: BlueArc[] = [];
  const lineWidth = line.value ? valueIn(line.value, 'thou') : 30;
  const wideWidth = wide.value ? valueIn(wide.value, 'thou') : 90;
  marks.value.forEach((mark, i) => {
    if (mark === 'none') return;
    const width = mark === 'wide' ? wideWidth : lineWidth;
    const last = found.at(-1);
    if (last && last.to === i * PITCH && last.width === width) last.to = (i + 1) * PITCH;
    else found.push({ from: i * PITCH, to: (i + 1) * PITCH, width });
  });
  return found;
});
const body = computed(() =>
  arcs.value.map(({ from, to, width }) => ({
    from: quantity('angle', from, '°'),
    to: quantity('angle', to, '°'),
    width: thou(width),
  })),
);
const worked = computed(() =>
  seatContact.work({ diameter: props.task.diameter, arcs: body.value, widest: props.task.widest }),
);
const answer = computed(() => (worked.value.ok ? worked.value.value : undefined));
const VERDICT = {
  fit: ['fit', 'Closed, narrow line'],
  broken: ['rework', 'Broken: a leak path'],
  wide: ['rework', 'Too wide'],
  'no contact': ['rework', 'No contact yet'],
} as const;
const verdict = computed(() => VERDICT[answer.value?.result.verdict ?? 'no contact']);

/** Whether anything was said of the blue yet: a ring that nobody touched is no check. */
const touched = ref(false);
function paint(sector: number): void {
  touched.value = true;
  marks.value = marks.value.map((mark, i) => (i === sector ? brush.value : mark));
}
function all(mark: Mark): void {
  touched.value = true;
  marks.value = marks.value.map(() => mark);
}
const keep = () => job.act({ kind: 'check-bluing', body: { step: props.step.id, arcs: body.value } });
useKeys([
  { key: 'l', label: 'Mark: line', run: () => (brush.value = 'line') },
  { key: 'w', label: 'Mark: wide', run: () => (brush.value = 'wide') },
  { key: 'x', label: 'Mark: bare', run: () => (brush.value = 'none') },
  { key: 'a', label: 'Line all round', run: () => all('line') },
  { key: 'enter', label: 'Keep this check', run: keep, when: () => touched.value },
]);
</script>

<template>
  <div class="bluing">
    <SeatRing :marks="marks" @paint="paint" />
    <div class="side">
      <div class="brushes" role="radiogroup" aria-label="What to mark">
        <button
          v-for="[mark, label, key] in [
            ['line', 'Line', 'L'],
            ['wide', 'Wide', 'W'],
            ['none', 'Bare', 'X'],
          ] as const"
          :key="mark"
          type="button"
          role="radio"
          class="brush label"
          :class="mark"
          :aria-checked="brush === mark"
          @click="brush = mark"
        >
          {{ label }} <kbd aria-hidden="true">{{ key }}</kbd>
        </button>
        <button type="button" class="brush label" @click="all('line')">
          Line all round <kbd aria-hidden="true">A</kbd>
        </button>
        <button type="button" class="brush label" @click="all('none')">Bare all round</button>
      </div>
      <div class="widths">
        <QuantityField v-model="line" label="Line width" dimension="length" example="30 thou" />
        <QuantityField v-model="wide" label="Where wide" dimension="length" example="90 thou" />
      </div>
      <div aria-live="polite">
        <p class="verdict label" :class="verdict[0]">
          <ContactRing :verdict="verdict[0]" :size="24" /> {{ verdict[1] }}
        </p>
        <ul v-if="answer" class="figures number">
          <li>{{ show(answer.result.continuity) }} of the circle</li>
          <li v-if="answer.result.gaps[0]">
            Longest break {{ read(answer.result.gaps[0].width, 'rule') }} along the seat
          </li>
          <li>Widest {{ read(answer.result.widthMax, 'dial') }}, at most {{ read(task.widest, 'dial') }}</li>
        </ul>
      </div>
      <StepBar>
        <BenchButton
          lamp
          hint="enter"
          :disabled="!touched"
          lacking="mark what the blue shows, or press Bare all round"
          @press="keep"
          >Keep this check</BenchButton
        >
      </StepBar>
    </div>
    <WorkingPaper
      v-if="answer"
      class="paper"
      :steps="answer.steps"
      :notes="answer.notes"
      :source="answer.source"
    />
  </div>
</template>

<style scoped>
.bluing {
  display: grid;
  grid-template-columns: minmax(200px, 300px) minmax(0, 1fr);
  gap: 20px;
}
.side {
  display: grid;
  gap: 10px;
  align-content: start;
  justify-items: start;
}
.brushes,
.widths {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.widths > * {
  width: 150px;
}
.brush {
  min-height: var(--touch);
  padding: 0 13px;
  color: var(--ink);
  font-size: 16px;
  font-weight: 600;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.brush kbd {
  font: inherit;
  font-size: 14px;
  color: var(--muted);
}
.brush[aria-checked='true'] {
  border-color: var(--blue);
  box-shadow: inset 0 0 0 2px var(--blue);
}
.verdict {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 20px;
  font-weight: 600;
}
.paper {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .bluing {
    grid-template-columns: 1fr;
  }
}
</style>
