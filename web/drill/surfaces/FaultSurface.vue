<script setup lang="ts">
import { evidenceOf, minutesOf, spent, whereIsTheFault } from '@dusk-wren/core/drill';
import { CAUSES, checkOf, LINKS, SYMPTOMS, type CauseId } from '@dusk-wren/core/diagnosis';
import { computed, ref } from 'vue';
import { formatNumber, psig } from '@dusk-wren/core/quantity';
import { moverOf } from '@dusk-wren/core/valve';
import BenchButton from '../../parts/BenchButton.vue';
import { usePreferences } from '../../stores/preferences';
import { useBench } from '../sitting';

/** A sick valve: what can be looked at, read and tried, each with its minutes; then a name for what it is. */
const { exercise, moves, over, play } = useBench(whereIsTheFault);
const answers = computed(
  () => new Map(evidenceOf(exercise, moves.value).map(({ check, result }) => [check, result])),
);
const { show } = usePreferences();
const minutes = computed(() => spent(moves.value));
/** The gauges as the last check that read any left them. */
const gauges = computed(() =>
  [...answers.value.keys()].flatMap((check) => exercise.answers.get(check)?.gauges ?? []).at(-1),
);
const bothSides = moverOf(exercise.valve.features).element === 'cylinder';
const faces = computed(() => {
  const read = gauges.value;
  if (!read) return [];
  const psi = (name: string, value: number) => ({ name, reads: show(psig(value)) });
  const percent = (name: string, value: number) => ({ name, reads: `${formatNumber(value, 0)} %` });
  return [
    psi('supply', read.supply),
    percent('signal', read.signal),
    psi('positioner, output', read.output),
    psi(bothSides ? 'cylinder, above' : 'actuator', read.actuator),
    ...(bothSides ? [psi('cylinder, below', read.below)] : []),
    percent('travel', read.stroke),
  ];
});
const INVASIVE = ['', 'moves it', 'turns something', 'takes something off'];
const answerOf = (check: Parameters<typeof checkOf>[0]) => {
  const result = answers.value.get(check);
  return result === undefined ? '' : (checkOf(check).results[result] ?? '');
};
const named = ref<CauseId>();
const choices = LINKS.flatMap((link) =>
  exercise.causes
    .filter((cause) => CAUSES[cause].link === link)
    .map((cause) => ({ value: cause, title: `${CAUSES[cause].name} (${link})` })),
);
</script>

<template>
  <div class="fault">
    <p class="symptom">{{ SYMPTOMS[exercise.symptom].name }}</p>
    <p class="number spent" role="status">{{ minutes }} min spent</p>
    <dl v-if="faces.length > 0" class="gauges label" aria-label="The gauges as they were read last">
      <div v-for="face in faces" :key="face.name">
        <dt>{{ face.name }}</dt>
        <dd class="number">{{ face.reads }}</dd>
      </div>
    </dl>
    <ul class="checks">
      <li v-for="check in exercise.checks" :key="check" :class="{ asked: answers.has(check) }">
        <button type="button" :disabled="over || answers.has(check)" @click="play({ do: 'check', check })">
          <b>{{ checkOf(check).title }}</b>
          <span class="label muted"
            >{{ minutesOf(check) }} min<template v-if="checkOf(check).invasive > 0"
              >, {{ INVASIVE[checkOf(check).invasive] }}</template
            ></span
          >
          <span class="answer number">{{ answerOf(check) }}</span>
        </button>
      </li>
    </ul>
    <div class="name">
      <v-select v-model="named" label="It is" :items="choices" :disabled="over" />
      <BenchButton
        lamp
        :disabled="over || !named"
        lacking="say what it is"
        @press="named && play({ do: 'name', cause: named })"
        >That is the fault</BenchButton
      >
    </div>
  </div>
</template>

<style scoped>
.fault {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px 20px;
}
.symptom {
  font-size: 22px;
  font-weight: 600;
}
.spent {
  font-size: 22px;
  color: var(--blue);
}
.checks,
.name,
.gauges {
  grid-column: 1 / -1;
}
.gauges {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  padding: 8px 16px;
  color: var(--engraved);
  background: linear-gradient(var(--plate-high), var(--plate-low));
  border-radius: var(--radius);
}
.gauges dt {
  color: var(--engraved-label);
}
.gauges dd {
  font-size: 20px;
}
.checks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 380px), 1fr));
  gap: 6px 12px;
}
.checks button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  width: 100%;
  min-height: 66px;
  padding: 8px 12px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.checks b {
  grid-column: 1 / -1;
  font-weight: 500;
}
.asked button {
  border-color: var(--blue);
  cursor: default;
}
.answer {
  color: var(--blue);
}
.name {
  display: grid;
  grid-template-columns: minmax(0, 460px) auto;
  gap: 12px;
  justify-content: start;
  align-items: start;
}
@media (max-width: 700px) {
  .name {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
