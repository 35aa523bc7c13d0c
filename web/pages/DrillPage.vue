<script setup lang="ts">
import {
  constructionsFor,
  DRILLS,
  PASS,
  ROUND_MINUTES,
  ticketFor,
  type DrillId,
} from '@dusk-wren/core/drill';
import { formatPercent } from '@dusk-wren/core/quantity';
import { CONSTRUCTIONS, type ConstructionId } from '@dusk-wren/core/valve';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { addressOf, addressOfTask, freshSeed } from '../drill/address';
import DrillHeading from '../drill/DrillHeading.vue';
import { useDrills } from '../drill/drills';
import { useRound } from '../drill/round';
import SkillScale from '../drill/SkillScale.vue';
import { standingRing, standingWords } from '../drill/words';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import { isoDay, sayDay } from '../parts/dates';

/** What somebody practises: what waits, what is due today, and every subject with how it stands. */
const router = useRouter();
const drills = useDrills();
const round = useRound();
onMounted(() => void drills.load());
const on = ref<Partial<Record<DrillId, ConstructionId | null>>>({});
const levelOf = (drill: DrillId) => drills.skills.find((skill) => skill.drill === drill)?.level ?? 1;
const start = (drill: DrillId) =>
  router.push(addressOf(ticketFor(drill, levelOf(drill), freshSeed(), on.value[drill] ?? undefined)));
async function tenMinutes(): Promise<void> {
  const first = round.begin();
  if (first) await router.push(addressOf(first));
}
const MOST_LATELY = 8;
const lately = computed(() =>
  [...drills.done].sort((a, b) => b.at.getTime() - a.at.getTime()).slice(0, MOST_LATELY),
);
const choices = (drill: DrillId) => [
  { value: null, title: 'any valve' },
  ...constructionsFor(drill).map((value) => ({ value, title: CONSTRUCTIONS[value].name })),
];
</script>

<template>
  <div class="page drills">
    <DrillHeading title="Drills" />
    <p v-if="drills.problem" class="problem" role="alert">{{ drills.problem }}</p>
    <p v-if="drills.waiting > 0" class="label" role="status">
      {{ drills.waiting }} done on this device, sent when the server can be reached.
    </p>
    <section v-if="drills.tasks.length > 0" aria-labelledby="sent-to-you">
      <h2 id="sent-to-you">Sent to you</h2>
      <ul>
        <li v-for="task in drills.tasks" :key="task.id" class="row-flat sent">
          <router-link class="way" :to="addressOfTask(task.id)">{{
            DRILLS[task.ticket.drill].title
          }}</router-link>
          <span>{{ task.note }}</span>
          <span class="label muted"
            >{{ task.by }}, on {{ CONSTRUCTIONS[task.ticket.construction].name }}</span
          >
        </li>
      </ul>
    </section>
    <section aria-labelledby="due-today">
      <h2 id="due-today">Today</h2>
      <p v-if="drills.due.length === 0" class="muted">Nothing is due today.</p>
      <ul class="today">
        <li v-for="each in drills.due" :key="each.drill">
          <BenchButton @press="start(each.drill)">{{ DRILLS[each.drill].title }}</BenchButton>
          <span class="label muted">{{ each.because }}</span>
        </li>
      </ul>
      <BenchButton lamp @press="tenMinutes">{{ ROUND_MINUTES }} minutes of it</BenchButton>
    </section>
    <section aria-labelledby="by-subject">
      <h2 id="by-subject">By subject</h2>
      <ul class="subjects">
        <li v-for="skill in drills.skills" :key="skill.drill" class="row-flat">
          <div class="what">
            <b>{{ DRILLS[skill.drill].title }}</b>
            <span class="muted">{{ DRILLS[skill.drill].teaches }}</span>
          </div>
          <div class="stands">
            <span class="label"
              ><ContactRing :verdict="standingRing(skill.standing)" /> {{ standingWords(skill) }}</span
            >
            <SkillScale :mean="skill.mean" :sits="skill.sits" />
          </div>
          <v-select
            :model-value="on[skill.drill] ?? null"
            @update:model-value="on[skill.drill] = $event"
            :label="`Valve, level ${skill.level}`"
            :items="choices(skill.drill)"
            density="comfortable"
            hide-details
          />
          <BenchButton @press="start(skill.drill)">Start</BenchButton>
        </li>
      </ul>
    </section>
    <section v-if="lately.length > 0" aria-labelledby="lately">
      <h2 id="lately">Lately</h2>
      <ol class="lately label">
        <li v-for="(each, i) in lately" :key="i">
          <span class="muted">{{ sayDay(isoDay(each.at)) }}</span>
          <b>{{ DRILLS[each.drill].title }}</b>
          <span class="muted">level {{ each.level }}</span>
          <span class="number">{{ formatPercent(each.score) }}</span>
          <span class="muted">{{ each.score >= PASS ? 'passed' : 'not yet' }}</span>
        </li>
      </ol>
    </section>
    <p class="papers label">
      <a class="way" href="/api/drills/certificate.pdf" target="_blank" rel="noopener"
        >Certificate of training (PDF)</a
      >
      <a class="way" href="/api/drills/history.csv" download>Everything done (CSV)</a>
    </p>
  </div>
</template>

<style scoped>
.drills,
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
section {
  gap: 8px;
  justify-items: start;
}
section > ul {
  width: 100%;
}
.sent {
  display: grid;
  grid-template-columns: minmax(0, auto) minmax(0, 1fr) minmax(0, auto);
  gap: 4px 20px;
  align-items: center;
  padding: 4px 16px;
  border-color: var(--lamp);
}
.today {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
}
.today li {
  display: flex;
  gap: 8px;
  align-items: center;
}
.subjects {
  display: grid;
  gap: 6px;
}
.subjects li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 200px 220px auto;
  gap: 6px 20px;
  align-items: center;
  padding: 8px 16px;
}
.what {
  display: grid;
}
.what b {
  font-family: var(--label);
  font-size: 18px;
}
.stands {
  display: grid;
  gap: 2px;
}
.lately {
  display: grid;
  grid-template-columns: auto auto auto auto 1fr;
  gap: 4px 22px;
  font-size: 16px;
}
.lately li {
  display: contents;
}
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
@media (max-width: 1000px) {
  .subjects li {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .what {
    grid-column: 1 / -1;
  }
  .sent {
    grid-template-columns: minmax(0, 1fr);
    padding: 8px 16px;
  }
}
</style>
