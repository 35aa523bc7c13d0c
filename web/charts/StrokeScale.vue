<script setup lang="ts">
import { computed } from 'vue';

/** The travel scale of a valve: its pointer where it stands, a mark where its signal asks for, if it asks for any. Percent, both. */
const props = defineProps<{ travel: number; wanted?: number }>();

const [TOP, BOTTOM, WIDTH] = [14, 156, 122];
const at = (percent: number) => BOTTOM - ((BOTTOM - TOP) * Math.max(-6, Math.min(106, percent))) / 100;
const TICKS = Array.from({ length: 21 }, (_, i) => ({
  percent: i * 5,
  long: i % 5 === 0,
}));
const pointer = computed(() => at(props.travel));
const mark = computed(() => (props.wanted === undefined ? undefined : at(props.wanted)));
</script>

<template>
  <svg
    class="scale"
    :viewBox="`0 0 ${WIDTH} 170`"
    role="img"
    :aria-label="`Travel ${travel.toFixed(1)} %${wanted === undefined ? '' : `, ${wanted} % wanted`}`"
  >
    <rect x="52" :y="TOP - 10" width="26" :height="BOTTOM - TOP + 20" rx="4" class="plate" />
    <g v-for="{ percent, long } in TICKS" :key="percent">
      <line :x1="52" :x2="long ? 70 : 61" :y1="at(percent)" :y2="at(percent)" class="tick" />
      <text v-if="long" x="46" :y="at(percent) + 5" class="figure">{{ percent }}</text>
    </g>
    <path v-if="mark !== undefined" :d="`M 104 ${mark} l 12 -7 v 14 z`" class="wanted" />
    <path :d="`M 74 ${pointer} l 14 -8 h 10 v 16 h -10 z`" class="pointer" />
  </svg>
</template>

<style scoped>
.scale {
  width: 122px;
  height: 170px;
  flex: none;
}
.plate {
  fill: var(--ground);
  stroke: var(--line);
}
.tick {
  stroke: var(--muted);
  stroke-width: 1.4;
}
.figure {
  fill: var(--muted);
  font: 14px var(--reading);
  text-anchor: end;
}
.wanted {
  fill: var(--lamp);
}
.pointer {
  fill: var(--blue);
}
</style>
