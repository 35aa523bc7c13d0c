<script setup lang="ts">
import { formatClock, quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';

/** The valve from above as a clock, the downstream flange at 6: each part's mark is dragged to where it stands. */
export interface Mark {
  readonly part: string;
  /** Degrees clockwise from 12. */
  readonly degrees: number | undefined;
  /** Where it stood before; must be met. */
  readonly was?: number | undefined;
}
const props = defineProps<{ marks: readonly Mark[]; picked: string }>();
const emit = defineEmits<{ set: [degrees: number]; pick: [part: string] }>();

const svg = ref<SVGSVGElement>();
const dragging = ref(false);
const at = (degrees: number, radius: number) => {
  const angle = ((degrees - 90) * Math.PI) / 180;
  return { x: 150 + radius * Math.cos(angle), y: 150 + radius * Math.sin(angle) };
};
const hours = Array.from({ length: 12 }, (_, i) => ({ hour: i === 0 ? 12 : i, ...at(i * 30, 132) }));
const rings = computed(() => props.marks.map((mark, i) => ({ ...mark, radius: 100 - i * 22 })));

function fromPointer(event: PointerEvent): void {
  const box = svg.value?.getBoundingClientRect();
  if (!box) return;
  const x = event.clientX - box.left - box.width / 2;
  const y = event.clientY - box.top - box.height / 2;
  const degrees = ((Math.atan2(y, x) * 180) / Math.PI + 450) % 360;
  emit('set', Math.round(degrees / 3) * 3);
}
function down(event: PointerEvent): void {
  dragging.value = true;
  svg.value?.setPointerCapture(event.pointerId);
  fromPointer(event);
}
function move(event: PointerEvent): void {
  if (dragging.value) fromPointer(event);
}
function turn(by: number): void {
  const now = props.marks.find(({ part }) => part === props.picked)?.degrees ?? 0;
  emit('set', (now + by + 360) % 360);
}
const spoken = (degrees: number | undefined) =>
  degrees === undefined ? 'not set' : formatClock(quantity('angle', degrees, '°'));
</script>

<template>
  <svg
    ref="svg"
    class="clock"
    viewBox="0 0 300 300"
    role="slider"
    tabindex="0"
    :aria-label="`Mark of the ${picked}`"
    aria-valuemin="0"
    aria-valuemax="360"
    :aria-valuenow="marks.find(({ part }) => part === picked)?.degrees ?? 0"
    :aria-valuetext="spoken(marks.find(({ part }) => part === picked)?.degrees)"
    @pointerdown="down"
    @pointermove="move"
    @pointerup="dragging = false"
    @keydown.left.prevent="turn(-3)"
    @keydown.right.prevent="turn(3)"
    @keydown.up.prevent="turn(30)"
    @keydown.down.prevent="turn(-30)"
  >
    <path d="M118 20 h64 v260 h-64 Z" class="pipe" />
    <circle cx="150" cy="150" r="118" class="body" />
    <g v-for="{ hour, x, y } in hours" :key="hour">
      <text :x="x" :y="y + 5">{{ hour }}</text>
    </g>
    <text x="150" y="296" class="flow">downstream</text>
    <g v-for="ring in rings" :key="ring.part" :class="{ picked: ring.part === picked }">
      <circle cx="150" cy="150" :r="ring.radius" class="ring" />
      <path
        v-if="ring.was !== undefined"
        :d="`M${at(ring.was, ring.radius - 11).x} ${at(ring.was, ring.radius - 11).y} L${at(ring.was, ring.radius + 11).x} ${at(ring.was, ring.radius + 11).y}`"
        class="was"
      />
      <circle
        v-if="ring.degrees !== undefined"
        :cx="at(ring.degrees, ring.radius).x"
        :cy="at(ring.degrees, ring.radius).y"
        r="8"
        class="mark"
      />
    </g>
  </svg>
</template>

<style scoped>
.clock {
  width: 100%;
  max-width: 300px;
  touch-action: none;
  cursor: grab;
  font-family: var(--label);
}
text {
  text-anchor: middle;
  font-size: 14px;
  fill: var(--muted);
}
.flow {
  font-size: 14px;
}
.pipe {
  fill: none;
  stroke: var(--line);
  stroke-width: 2;
}
.body {
  fill: var(--card);
  stroke: var(--muted);
  stroke-width: 2;
}
.ring {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5;
}
.picked .ring {
  stroke: var(--blue);
}
.mark {
  fill: var(--muted);
  stroke: var(--card);
  stroke-width: 2;
}
.picked .mark {
  fill: var(--blue);
}
.was {
  stroke: var(--lamp);
  stroke-width: 4;
}
</style>
