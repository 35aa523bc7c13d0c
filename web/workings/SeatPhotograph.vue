<script setup lang="ts">
import type { Circle, RingArc, SeatRing } from '@dusk-wren/core/analysis';
import { computed, ref } from 'vue';

/** The photograph with the ring that was found on it; a circle is dragged from its centre outwards. */
const props = defineProps<{
  address: string;
  width: number;
  height: number;
  circle: SeatRing | undefined;
  gaps: readonly RingArc[];
  hidden: readonly RingArc[];
}>();
const emit = defineEmits<{ circle: [circle: Circle] }>();
const svg = ref<SVGSVGElement>();
const dragged = ref<Circle>();

function at(event: PointerEvent): { x: number; y: number } | undefined {
  const box = svg.value?.getBoundingClientRect();
  return (
    box && {
      x: ((event.clientX - box.left) / box.width) * props.width,
      y: ((event.clientY - box.top) / box.height) * props.height,
    }
  );
}
function begin(event: PointerEvent): void {
  const place = at(event);
  if (!place) return;
  svg.value?.setPointerCapture(event.pointerId);
  dragged.value = { ...place, radius: 0 };
}
function move(event: PointerEvent): void {
  const place = at(event);
  if (!place || !dragged.value) return;
  dragged.value = {
    ...dragged.value,
    radius: Math.hypot(place.x - dragged.value.x, place.y - dragged.value.y),
  };
}
function end(): void {
  if (dragged.value && dragged.value.radius > props.width * 0.03) emit('circle', dragged.value);
  dragged.value = undefined;
}
const stroke = computed(() => props.width / 160);
const arcs = computed(() => [
  ...props.gaps.map((arc) => ({ path: pathOf(arc), kind: 'gap' })),
  ...props.hidden.map((arc) => ({ path: pathOf(arc), kind: 'hidden' })),
]);
/** An arc just outside of the ring, as drawn on a circle seen square on. */
function pathOf({ from, degrees }: RingArc): string {
  const radius = (props.circle?.radius ?? 0) * 1.13;
  const point = (angle: number) => {
    const turned = ((angle - 90) * Math.PI) / 180;
    return `${(radius * Math.cos(turned)).toFixed(1)} ${(radius * Math.sin(turned)).toFixed(1)}`;
  };
  const length = Math.min(degrees, 359.9);
  return `M${point(from)}A${radius} ${radius} 0 ${length > 180 ? 1 : 0} 1 ${point(from + length)}`;
}
/** What looking from the side does to that circle. */
const seen = computed(() => {
  const ring = props.circle;
  if (!ring) return '';
  const { xx, xy, yy } = ring.shape;
  return `matrix(${xx} ${xy} ${xy} ${yy} ${ring.x} ${ring.y})`;
});
</script>

<template>
  <svg
    ref="svg"
    class="photograph"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`Photograph, ${gaps.length} breaks found`"
    @pointerdown="begin"
    @pointermove="move"
    @pointerup="end"
  >
    <image :href="address" :width="width" :height="height" />
    <g v-if="circle" :transform="seen">
      <circle :r="circle.radius" class="ring" :stroke-width="stroke / 2" />
      <path v-for="(arc, i) in arcs" :key="i" :d="arc.path" :class="arc.kind" :stroke-width="stroke * 1.6" />
    </g>
    <circle
      v-if="dragged"
      :cx="dragged.x"
      :cy="dragged.y"
      :r="dragged.radius"
      class="dragged"
      :stroke-width="stroke"
    />
  </svg>
</template>

<style scoped>
.photograph {
  width: 100%;
  touch-action: none;
  cursor: crosshair;
  border-radius: var(--radius);
}
circle,
path {
  fill: none;
}
.ring {
  stroke: #f4b860;
  stroke-dasharray: 14 10;
}
.gap {
  stroke: #ff647b;
}
.hidden {
  stroke: #bfa3f7;
  stroke-dasharray: 12 8;
}
.dragged {
  stroke: #f4b860;
}
</style>
