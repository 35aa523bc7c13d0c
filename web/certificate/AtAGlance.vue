<script setup lang="ts">
import type { Glance } from '@dusk-wren/core/certificate';
import ContactRing from '../parts/ContactRing.vue';
import { usePreferences } from '../stores/preferences';

/** What somebody wants to know of a job who has half a minute: set, tested, renewed, each beside what it had to be. */
defineProps<{ glance: Glance }>();
const { show } = usePreferences();
</script>

<template>
  <section class="glance">
    <div
      v-if="glance.figures.length > 0"
      class="scroll"
      tabindex="0"
      role="region"
      aria-label="Set and tested"
    >
      <table>
        <caption>
          Set and tested
        </caption>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">As found</th>
            <th scope="col">As left</th>
            <th scope="col">Wanted</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="figure in glance.figures" :key="figure.what">
            <td><ContactRing :verdict="figure.meets ? 'fit' : 'rework'" :size="18" /> {{ figure.what }}</td>
            <td class="number">{{ figure.found }}</td>
            <td class="number" :class="figure.meets ? 'fit' : 'rework'">{{ figure.left }}</td>
            <td class="number muted">{{ figure.limit }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="glance.more > 0" class="muted">{{ glance.more }} more below.</p>
    <ul v-if="glance.tests.length > 0" aria-label="Tests passed">
      <li v-for="test in glance.tests" :key="test.title">
        <ContactRing :verdict="test.passed ? 'fit' : 'rework'" :size="18" />
        <span
          ><b>{{ test.title }}</b> at {{ show(test.pressure) }}: {{ test.leak }}, allowed
          {{ test.allowed }}</span
        >
      </li>
    </ul>
    <p v-if="glance.renewed.length > 0"><b>Renewed:</b> {{ glance.renewed.join(', ') }}.</p>
    <p v-if="glance.reworked.length > 0"><b>Worked on:</b> {{ glance.reworked.join('; ') }}.</p>
  </section>
</template>

<style scoped>
.glance {
  display: grid;
  gap: 10px;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
}
caption {
  font-size: 20px;
  font-weight: 600;
  text-align: left;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 7px;
  align-items: center;
}
</style>
