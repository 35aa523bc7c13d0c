<script setup lang="ts">
import type { Course } from '@dusk-wren/core/job';
import { meetsOf } from '@dusk-wren/core/life';
import { capital } from '@dusk-wren/core/quantity';
import { computed } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import { isoDay, sayDay } from '../parts/dates';
import { usePreferences } from '../stores/preferences';
import { meetsWords, pictureOf, verdictOf } from './course-picture';

/** Something that is used up: how each job found and left it, its line with the band, and when it meets its limit. */
const props = defineProps<{ course: Course }>();
const { show } = usePreferences();
const [WIDE, HIGH, EDGE] = [320, 84, 7];

const meets = computed(() => meetsOf(props.course));
const picture = computed(() => pictureOf(props.course));
const x = (days: number) => EDGE + ((WIDE - 2 * EDGE) * days) / (picture.value?.to ?? 1);
function y(value: number): number {
  const { low, high } = picture.value ?? { low: 0, high: 1 };
  return HIGH - EDGE - ((HIGH - 2 * EDGE) * (value - low)) / (high - low || 1);
}
const now = computed(() => {
  const last = props.course.points.at(-1);
  const value = last?.left ?? last?.found;
  return value ? show(value) : 'new';
});
</script>

<template>
  <figure class="course row-flat">
    <figcaption>
      <ContactRing :verdict="verdictOf(meets, isoDay(new Date()))" />
      <b>{{ capital(course.what) }}</b>
      <span class="number">{{ now }}</span>
      <span class="label muted">limit {{ show(course.limit) }}</span>
    </figcaption>
    <svg v-if="picture" class="picture" :viewBox="`0 0 ${WIDE} ${HIGH}`" aria-hidden="true">
      <line class="limit" :x1="0" :x2="WIDE" :y1="y(picture.limit)" :y2="y(picture.limit)" />
      <line
        v-for="([from, to], i) in picture.lines"
        :key="i"
        :class="i === 0 ? 'line' : 'band'"
        :x1="x(from[0])"
        :y1="y(from[1])"
        :x2="x(to[0])"
        :y2="y(to[1])"
      />
      <circle
        v-for="(dot, i) in picture.dots"
        :key="i"
        :class="dot.is"
        :cx="x(dot.x)"
        :cy="y(dot.y)"
        :r="dot.is === 'found' ? 4 : 3"
      />
    </svg>
    <p class="label">{{ capital(meetsWords(meets, sayDay)) }}</p>
  </figure>
</template>

<style scoped>
.course {
  display: grid;
  gap: 4px;
  padding: 8px 12px;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
}
figcaption b {
  flex: 1 1 150px;
}
.picture {
  display: block;
  width: 100%;
  max-height: 110px;
  overflow: hidden;
}
.limit {
  stroke: var(--renew);
  stroke-width: 1.6;
}
.line {
  stroke: var(--blue);
  stroke-width: 1.8;
}
.band {
  stroke: var(--blue);
  stroke-width: 1;
  stroke-dasharray: 5 4;
  opacity: 0.7;
}
.found {
  fill: var(--ink);
}
.left {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
