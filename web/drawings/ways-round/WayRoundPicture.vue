<script setup lang="ts">
import { waysOf, type RoundOf } from '@dusk-wren/core/job';
import { computed } from 'vue';
import { ROUND_PICTURES } from './pictures';

/** One way round of a part, drawn: the part may be turned, what it stands in is not. */
const props = defineProps<{ what: RoundOf; way: string }>();
const picture = computed(() => ROUND_PICTURES[props.what]);
const second = computed(() => props.way !== waysOf(props.what)[0]);
const turn = computed(() => {
  if (!second.value) return undefined;
  return picture.value.turned === 'over' ? 'translate(0 80) scale(1 -1)' : 'translate(120 0) scale(-1 1)';
});
const mark = computed(() => {
  const { mark: given, turned } = picture.value;
  if (!given || !second.value) return given;
  return turned === 'over' ? { ...given, y: 88 - given.y } : { ...given, x: 120 - given.x };
});
</script>

<template>
  <svg viewBox="0 0 120 80" class="picture" aria-hidden="true">
    <path v-if="picture.room" :d="picture.room" class="room" />
    <g :transform="turn">
      <path :d="picture.part" class="part" />
      <path v-if="picture.dark" :d="picture.dark" class="dark" />
    </g>
    <text v-if="mark" :x="mark.x" :y="mark.y">{{ mark.text }}</text>
  </svg>
</template>

<style scoped>
.picture {
  width: 100%;
  height: 100%;
  font-family: var(--label);
}
.part {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linejoin: round;
}
.dark {
  fill: var(--ink);
}
.room {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2;
}
text {
  text-anchor: middle;
  font-size: 16px;
  font-weight: 600;
  fill: var(--ink);
}
</style>
