<script setup lang="ts">
import { computed } from 'vue';

/** The bolt circle from above, numbered clockwise from 12, with the way the wrench goes. */
const props = defineProps<{
  bolts: number;
  order: readonly number[];
  done: readonly number[];
  aim?: number | undefined;
  wrong?: number | undefined;
}>();
defineEmits<{ aim: [bolt: number] }>();

const C = 150;
const R = 112;
const place = (bolt: number) => {
  const angle = (((bolt - 1) / props.bolts) * 360 - 90) * (Math.PI / 180);
  return { x: C + R * Math.cos(angle), y: C + R * Math.sin(angle) };
};
const size = computed(() => Math.min(22, 300 / props.bolts));
const behind = computed(() => way(props.done));
const ahead = computed(() => {
  const from = props.done.at(-1);
  return from !== undefined && props.aim !== undefined ? way([from, props.aim]) : '';
});
const way = (bolts: readonly number[]) =>
  bolts.length < 2
    ? ''
    : `M${bolts.map((bolt) => `${place(bolt).x.toFixed(1)} ${place(bolt).y.toFixed(1)}`).join('L')}`;
const hex = (bolt: number) => {
  const { x, y } = place(bolt);
  return Array.from(
    { length: 6 },
    (_, i) =>
      `${(x + size.value * Math.cos((i * Math.PI) / 3)).toFixed(1)},${(y + size.value * Math.sin((i * Math.PI) / 3)).toFixed(1)}`,
  ).join(' ');
};
const stateOf = (bolt: number) =>
  props.wrong === bolt ? 'wrong' : props.done.includes(bolt) ? 'done' : props.aim === bolt ? 'aim' : 'open';
</script>

<template>
  <svg class="circle" viewBox="0 0 300 300" role="group" aria-label="Bolt circle">
    <circle :cx="C" :cy="C" r="146" class="flange" />
    <circle :cx="C" :cy="C" :r="R" class="pitch" />
    <circle :cx="C" :cy="C" r="62" class="bore" />
    <path :d="behind" class="way" />
    <path :d="ahead" class="way ahead" />
    <g
      v-for="bolt in bolts"
      :key="bolt"
      class="bolt"
      :class="stateOf(bolt)"
      role="button"
      tabindex="0"
      :aria-label="`Bolt ${bolt}, ${stateOf(bolt)}`"
      :aria-pressed="aim === bolt"
      @click="$emit('aim', bolt)"
      @keydown.enter.space.prevent="$emit('aim', bolt)"
    >
      <polygon :points="hex(bolt)" />
      <text :x="place(bolt).x" :y="place(bolt).y + 5">{{ bolt }}</text>
    </g>
  </svg>
</template>

<style scoped>
.circle {
  width: 100%;
  max-width: 320px;
}
.flange {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5;
}
.pitch {
  fill: none;
  stroke: var(--line);
  stroke-dasharray: 12 4 2 4;
}
.bore {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5;
}
.way {
  fill: none;
  stroke: var(--blue);
  stroke-width: 1.6;
  opacity: 0.55;
}
.way.ahead {
  stroke: var(--lamp);
  stroke-dasharray: 5 5;
  opacity: 1;
}
.bolt {
  cursor: pointer;
}
polygon {
  fill: var(--card);
  stroke: var(--muted);
  stroke-width: 1.6;
}
text {
  font-family: var(--label);
  font-weight: 600;
  font-size: 15px;
  text-anchor: middle;
  fill: var(--ink);
  pointer-events: none;
}
.done polygon {
  fill: color-mix(in srgb, var(--fit) 28%, var(--card));
  stroke: var(--fit);
  stroke-width: 2.4;
}
.aim polygon {
  fill: var(--lamp);
  stroke: var(--lamp);
}
.aim text {
  fill: var(--on-lamp);
}
.wrong polygon {
  stroke: var(--condemn);
  stroke-width: 3;
  stroke-dasharray: 5 3;
}
</style>
