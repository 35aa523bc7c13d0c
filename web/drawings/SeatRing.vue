<script setup lang="ts">
import { ref } from 'vue';

/** The seat ring seen from above, in sectors that are marked by stroke, touch or arrow keys. */
const props = defineProps<{ marks: readonly ('none' | 'line' | 'wide')[] }>();
const emit = defineEmits<{ paint: [sector: number] }>();

const C = 150;
const at = ref(0);
const holding = ref(false);
const svg = ref<SVGSVGElement>();

function arc(from: number, to: number, inner: number, outer: number): string {
  const point = (degrees: number, radius: number) => {
    const angle = ((degrees - 90) * Math.PI) / 180;
    return `${(C + radius * Math.cos(angle)).toFixed(2)} ${(C + radius * Math.sin(angle)).toFixed(2)}`;
  };
  return `M${point(from, outer)}A${outer} ${outer} 0 0 1 ${point(to, outer)}L${point(to, inner)}A${inner} ${inner} 0 0 0 ${point(from, inner)}Z`;
}
const pitch = 360 / props.marks.length;
const sector = (i: number) => arc(i * pitch, (i + 1) * pitch, 84, 132);
const blue = (i: number, mark: string) =>
  mark === 'wide'
    ? arc(i * pitch, (i + 1) * pitch + 0.3, 96, 120)
    : arc(i * pitch, (i + 1) * pitch + 0.3, 105, 111);

function sectorAt(event: PointerEvent): number | undefined {
  const box = svg.value?.getBoundingClientRect();
  if (!box) return undefined;
  const x = ((event.clientX - box.left) / box.width) * 300 - C;
  const y = ((event.clientY - box.top) / box.height) * 300 - C;
  const radius = Math.hypot(x, y);
  if (radius < 70 || radius > 146) return undefined;
  return Math.floor((((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360) / pitch);
}
function stroke(event: PointerEvent, begin = false): void {
  if (begin) {
    holding.value = true;
    svg.value?.setPointerCapture(event.pointerId);
  }
  const found = holding.value ? sectorAt(event) : undefined;
  if (found === undefined) return;
  at.value = found;
  emit('paint', found);
}
function step(by: number, mark: boolean): void {
  at.value = (at.value + by + props.marks.length) % props.marks.length;
  if (mark) emit('paint', at.value);
}
</script>

<template>
  <svg
    ref="svg"
    class="ring"
    viewBox="0 0 300 300"
    role="application"
    tabindex="0"
    aria-label="Seat ring. Arrow keys move round, with Shift they mark, Space marks here."
    @pointerdown="stroke($event, true)"
    @pointermove="stroke($event)"
    @pointerup="holding = false"
    @keydown.right.prevent="step(1, $event.shiftKey)"
    @keydown.left.prevent="step(-1, $event.shiftKey)"
    @keydown.space.prevent.stop="$emit('paint', at)"
  >
    <circle :cx="C" :cy="C" r="132" class="metal" />
    <circle :cx="C" :cy="C" r="84" class="bore" />
    <path v-for="(_, i) in marks" :key="`s${i}`" :d="sector(i)" class="sector" :class="{ at: at === i }" />
    <template v-for="(mark, i) in marks" :key="`b${i}`">
      <path v-if="mark !== 'none'" :d="blue(i, mark)" class="blue" />
    </template>
    <text
      v-for="hour in [12, 3, 6, 9]"
      :key="hour"
      :x="C + 142 * Math.sin((hour * Math.PI) / 6)"
      :y="C + 5 - 141 * Math.cos((hour * Math.PI) / 6)"
    >
      {{ hour }}
    </text>
    <text :x="C" :y="C - 2" class="words">stroke round</text>
    <text :x="C" :y="C + 16" class="words">to mark</text>
  </svg>
</template>

<style scoped>
.ring {
  width: 100%;
  max-width: 300px;
  touch-action: none;
  cursor: crosshair;
  border-radius: 50%;
}
.metal {
  fill: color-mix(in srgb, var(--plate-low) 55%, var(--card));
  stroke: var(--ink);
}
.bore {
  fill: var(--lit);
  stroke: var(--ink);
}
.sector {
  fill: transparent;
}
.ring:focus-visible .sector.at {
  fill: color-mix(in srgb, var(--blue) 35%, transparent);
}
.blue {
  fill: var(--blue);
  pointer-events: none;
}
text {
  font-family: var(--label);
  font-size: 14px;
  fill: var(--muted);
  text-anchor: middle;
}
</style>
