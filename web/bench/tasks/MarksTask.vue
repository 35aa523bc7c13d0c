<script setup lang="ts">
import { apartDegrees, markOf, MARKS_MEET_DEGREES } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import {
  degrees,
  formatClock,
  formatNumber,
  parseQuantity,
  valueIn,
  type Angle,
} from '@dusk-wren/core/quantity';
import type { PartRole } from '@dusk-wren/core/valve';
import { computed, reactive, ref } from 'vue';
import MarkClock from '../../drawings/MarkClock.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';

/** Match marks by the clock, dragged or typed; at rebuild the old ones are shown and must be met. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'marks'> }>();
const job = useJob();
const kept = (part: PartRole) => (job.state ? markOf(job.state, props.step.id, part) : undefined);
const before = (part: PartRole) =>
  job.state && props.task.was !== undefined ? markOf(job.state, props.task.was, part) : undefined;
const typed = reactive<Partial<Record<PartRole, Angle>>>({});
const picked = ref<PartRole>(props.task.parts.find((part) => !kept(part)) ?? props.task.parts[0] ?? 'bonnet');
const text = ref('');
const shown = (angle: Angle | undefined) => (angle === undefined ? undefined : valueIn(angle, '°'));
const rows = computed(() =>
  props.task.parts.map((part) => {
    const [now, was] = [typed[part] ?? kept(part), before(part)];
    return { part, now, was, off: now && was ? apartDegrees(now, was) : undefined };
  }),
);
const current = computed(() => rows.value.find(({ part }) => part === picked.value));
const clock = (angle: Angle | undefined) => (angle === undefined ? '–' : formatClock(angle));
/** Where it stood before, to be met with one press while nothing else is said. */
const meets = computed(() => (typed[picked.value] === undefined ? before(picked.value) : undefined));
const set = computed(() => typed[picked.value] ?? meets.value);
function dragged(at: number): void {
  typed[picked.value] = degrees(at);
  text.value = '';
}
function read(): void {
  const parsed = parseQuantity(
    /^\d+([.,]\d+)?$/.test(text.value.trim()) ? `${text.value} o'clock` : text.value,
    'angle',
  );
  if (parsed.ok) typed[picked.value] = parsed.value;
}
function keep(): void {
  if (!set.value) return;
  const body = { step: props.step.id, part: picked.value, clock: set.value };
  if (!job.act({ kind: 'set-mark', body })) return;
  text.value = '';
  const next = props.task.parts.find((part) => !kept(part));
  if (next) picked.value = next;
}
useKeys([{ key: 'enter', label: 'Keep this mark', run: keep, when: () => set.value !== undefined }]);
</script>

<template>
  <div class="marks">
    <MarkClock
      :marks="rows.map(({ part, now, was }) => ({ part, degrees: shown(now), was: shown(was) }))"
      :picked="picked"
      @set="dragged"
    />
    <div class="side">
      <ul>
        <li v-for="row in rows" :key="row.part">
          <button type="button" class="label" :aria-pressed="picked === row.part" @click="picked = row.part">
            <ContactRing
              :verdict="
                row.off !== undefined && row.off > MARKS_MEET_DEGREES
                  ? 'rework'
                  : kept(row.part)
                    ? 'fit'
                    : 'not yet'
              "
              :size="20"
            />
            <b>{{ row.part }}</b>
            <span class="number">{{ clock(row.now) }}</span>
            <span v-if="row.was" class="muted">was {{ clock(row.was) }}</span>
          </button>
        </li>
      </ul>
      <p v-if="current?.off !== undefined && current.off > MARKS_MEET_DEGREES" class="problem" role="alert">
        {{ formatNumber(current.off, 0) }}° off its mark: turn the {{ picked }} until they meet.
      </p>
      <p class="label muted">Touch the ring where the mark stands, or type its hour.</p>
      <form class="typed" @submit.prevent="keep">
        <v-text-field
          v-model="text"
          :label="`Mark of the ${picked}`"
          placeholder="such as 2 o'clock"
          autocomplete="off"
          @update:model-value="read"
        />
        <StepBar>
          <BenchButton
            lamp
            hint="enter"
            :disabled="!set"
            lacking="touch the ring where the mark stands"
            @press="keep"
            >{{ meets ? `It meets at ${clock(meets)}` : 'Keep this mark' }}</BenchButton
          >
        </StepBar>
      </form>
    </div>
  </div>
</template>

<style scoped>
.marks {
  display: grid;
  grid-template-columns: minmax(200px, 300px) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.side {
  display: grid;
  gap: 10px;
}
li button {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 0 10px;
  font-size: 17px;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 1px solid transparent;
  border-radius: var(--radius);
  cursor: pointer;
}
li button[aria-pressed='true'] {
  border-color: var(--blue);
}
.typed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: start;
}
@media (max-width: 700px) {
  .marks,
  .typed {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
