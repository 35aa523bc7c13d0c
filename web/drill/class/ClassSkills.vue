<script setup lang="ts">
import type { ClassView, SkillView } from '@dusk-wren/contract/drills';
import { ALL_DRILLS } from '@dusk-wren/core/drill';
import { formatPercent } from '@dusk-wren/core/quantity';
import ContactRing from '../../parts/ContactRing.vue';
import { standingRing, standingWords } from '../words';

/** Who can do what: people by subjects, each with its ring. */
defineProps<{ people: ClassView['people'] }>();
const saying = (skill: SkillView) =>
  standingWords({
    ...{ standing: skill.standing, done: skill.done },
    ...(skill.fades === null ? {} : { fades: new Date(skill.fades) }),
  });
</script>

<template>
  <div class="wide">
    <table class="label">
      <thead>
        <tr>
          <th scope="col">Who</th>
          <th v-for="drill in ALL_DRILLS" :key="drill.id" scope="col">{{ drill.title }}</th>
          <th scope="col"><span class="visually-hidden">Papers</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="person in people" :key="person.id">
          <th scope="row">
            {{ person.name }}
            <span v-if="person.withheld.length > 0" class="withheld"
              >not planned for {{ person.withheld.join(', ') }}</span
            >
          </th>
          <td v-for="skill in person.skills" :key="skill.drill" :title="saying(skill)">
            <ContactRing :verdict="standingRing(skill.standing)" />
            <span v-if="skill.done > 0" class="number"> {{ formatPercent(skill.mean) }}</span>
            <span class="visually-hidden">{{ saying(skill) }}</span>
          </td>
          <td>
            <a
              class="way"
              :href="`/api/drills/certificate.pdf?person=${person.id}`"
              target="_blank"
              rel="noopener"
              >PDF<span class="visually-hidden"> of {{ person.name }}</span></a
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
/* What only a screen reader reads scrolls with it. */
.wide {
  position: relative;
  overflow-x: auto;
  width: 100%;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 16px;
}
th,
td {
  padding: 7px 14px 7px 0;
  text-align: left;
  white-space: nowrap;
  border-bottom: 1px solid var(--line);
}
thead th {
  min-width: 76px;
  font-weight: 600;
  color: var(--muted);
  white-space: normal;
  vertical-align: bottom;
}
.withheld {
  display: block;
  font-weight: 500;
  color: var(--ask);
}
</style>
