<script setup lang="ts">
import { stripOrder, type Plan } from '@dusk-wren/core/plan';
import type { PartRole } from '@dusk-wren/core/valve';
import { computed, onBeforeUnmount, ref } from 'vue';
import SectionDrawing from '../drawings/SectionDrawing.vue';
import ContactRing from '../parts/ContactRing.vue';

/** The valve in section with its calls; drawn apart part by part in the order it is stripped. */
const props = defineProps<{
  planned: Plan;
  inHand: readonly PartRole[];
  picked: PartRole | undefined;
  photographed: ReadonlySet<PartRole>;
  onTray: ReadonlySet<PartRole>;
}>();
defineEmits<{ pick: [part: PartRole] }>();

const order = computed(() => stripOrder(props.planned.steps));
const off = ref(0);
let timer: ReturnType<typeof setInterval> | undefined;
const stop = () => clearInterval(timer);
onBeforeUnmount(stop);

/** Part by part, a third of a second each; all at once for a person who asked for less motion. */
function play(to: number): void {
  stop();
  if (matchMedia('(prefers-reduced-motion: reduce)').matches) {
    off.value = to;
    return;
  }
  timer = setInterval(() => {
    if (off.value === to) stop();
    else off.value += off.value < to ? 1 : -1;
  }, 330);
}
const words = computed(() =>
  off.value === 0
    ? props.onTray.size === 0
      ? 'assembled'
      : `${props.onTray.size} on the tray, drawn faint`
    : `${off.value} of ${order.value.length} off: ${order.value[off.value - 1] ?? ''}`,
);
const tally = computed(() => {
  const calls = [...props.planned.calls.values()];
  return (['fit', 'rework', 'renew', 'ask', 'condemn'] as const)
    .map((verdict) => ({ verdict, count: calls.filter((call) => call.verdict === verdict).length }))
    .filter(({ verdict, count }) => count > 0 || verdict !== 'condemn');
});
</script>

<template>
  <div class="panel">
    <SectionDrawing
      :valve="planned.valve"
      :calls="planned.calls"
      :in-hand="inHand"
      :picked="picked"
      :order="order"
      :off="off"
      :photographed="photographed"
      :on-tray="onTray"
      @pick="$emit('pick', $event)"
    />
    <div class="apart label">
      <button type="button" @click="play(off === 0 ? order.length : 0)">
        {{ off === 0 ? 'Draw it apart' : 'Draw it together' }}
      </button>
      <input
        v-model.number="off"
        type="range"
        min="0"
        :max="order.length"
        aria-label="Parts drawn off"
        :aria-valuetext="words"
        @input="stop"
      />
      <span class="muted">{{ words }}</span>
    </div>
    <ul class="tally label">
      <li v-for="each in tally" :key="each.verdict" :class="each.verdict">
        <ContactRing :verdict="each.verdict" /> <span>{{ each.verdict }} {{ each.count }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto auto;
  gap: 4px;
  min-height: 0;
}
.apart {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) minmax(90px, 40%);
  gap: 10px;
  align-items: center;
}
.apart button {
  min-height: var(--touch);
  padding: 0 12px;
  font: inherit;
  font-weight: 600;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.apart span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
input {
  accent-color: var(--blue);
  min-width: 0;
}
.tally {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.tally span {
  color: var(--ink);
}
@media (max-width: 860px) {
  .panel :deep(.section) {
    max-height: 70vh;
  }
}
</style>
