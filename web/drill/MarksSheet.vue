<script setup lang="ts">
import { HINT_COSTS, type Marks } from '@dusk-wren/core/drill';
import { capital, capitalised, formatPercent } from '@dusk-wren/core/quantity';
import { onMounted, useTemplateRef } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import { usePreferences } from '../stores/preferences';

/** What an exercise came to, line by line with its reasons. */
defineProps<{ marks: Marks }>();
const { tell } = usePreferences();
const heading = useTemplateRef('heading');
onMounted(() => heading.value?.focus());
const whole = (points: number) => Math.round(Math.max(0, points));
</script>

<template>
  <section class="marks row-flat" aria-label="Marks">
    <h2 ref="heading" tabindex="-1">
      <ContactRing :verdict="marks.passed ? 'fit' : 'rework'" :size="26" />
      <span class="number score">{{ formatPercent(marks.score) }}</span>
      {{ marks.passed ? 'Passed' : 'Not yet' }}
    </h2>
    <ul>
      <li v-for="each in marks.lines" :key="each.what" :class="{ unsafe: each.unsafe }">
        <b>{{ capital(each.what) }}</b>
        <span class="number points">{{ whole(each.points) }} of {{ whole(each.of) }}</span>
        <span class="said">{{ tell(capitalised(each.said)) }}</span>
        <span v-if="each.unsafe" class="label warned"
          >On a real job somebody would be hurt: half is the most there is.</span
        >
      </li>
    </ul>
    <p v-if="marks.hints > 0" class="label muted">
      {{ marks.hints }} {{ marks.hints === 1 ? 'hint' : 'hints' }}:
      {{ formatPercent(marks.hints * HINT_COSTS) }} off.
    </p>
  </section>
</template>

<style scoped>
.marks {
  display: grid;
  gap: 10px;
  padding: 14px 18px 16px;
}
h2 {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 24px;
}
h2:focus {
  outline: none !important;
}
.score {
  font-size: 34px;
  line-height: 1;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 16px;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
.said,
.warned {
  grid-column: 1 / -1;
}
.said {
  color: var(--muted);
}
.warned,
.unsafe b {
  color: var(--condemn);
}
</style>
