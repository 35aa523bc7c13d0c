<script setup lang="ts">
import {
  RULED_WORK,
  type ClassView,
  type RuledWork,
  type WitnessAsked,
  type WorkRule,
} from '@dusk-wren/contract/drills';
import { ALL_DRILLS, type DrillId } from '@dusk-wren/core/drill';
import { jobId, type PersonId } from '@dusk-wren/core/job';
import { capital } from '@dusk-wren/core/quantity';
import { onMounted, ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { sayMoment } from '../../parts/dates';
import { useJobChoice } from '../../workings/job-choice';

/** What is asked before somebody is planned for a kind of work, and the real jobs that were watched. */
const props = defineProps<{ view: ClassView; busy: boolean }>();
const emit = defineEmits<{ ask: [rule: WorkRule]; witness: [seen: WitnessAsked]; forget: [id: number] }>();
const WORDS: Readonly<Record<RuledWork, string>> = {
  bench: 'bench work',
  lathe: 'lathe work',
  relief: 'relief valves',
  field: 'work in the field',
};
const subjects = ALL_DRILLS.map(({ id, title }) => ({ value: id, title }));
const ruleOf = (work: RuledWork): WorkRule =>
  props.view.rules.find((rule) => rule.work === work) ?? { work, drills: [], witnessed: false };
const setDrills = (work: RuledWork, drills: DrillId[]) => emit('ask', { ...ruleOf(work), drills });
const setWitnessed = (work: RuledWork, witnessed: boolean) => emit('ask', { ...ruleOf(work), witnessed });

const choice = useJobChoice();
onMounted(() => void choice.load().catch(() => undefined));
const person = ref<PersonId | null>(null);
const work = ref<RuledWork>('relief');
const nameOf = (id: PersonId) =>
  props.view.people.find((each) => each.id === id)?.name ?? 'somebody who has left';
function witness(): void {
  const job = jobId.safeParse(choice.chosen);
  if (person.value && job.success) emit('witness', { person: person.value, work: work.value, job: job.data });
}
</script>

<template>
  <ul class="rules">
    <li v-for="each in RULED_WORK" :key="each" class="row-flat">
      <b>{{ capital(WORDS[each]) }}</b>
      <v-select
        :model-value="ruleOf(each).drills"
        label="Subjects that must hold"
        multiple
        hide-details
        :items="subjects"
        :disabled="busy"
        @update:model-value="setDrills(each, $event)"
      />
      <label class="label ticked"
        ><input
          type="checkbox"
          :checked="ruleOf(each).witnessed"
          :disabled="busy"
          @change="setWitnessed(each, !ruleOf(each).witnessed)"
        />
        and a real job, watched</label
      >
    </li>
  </ul>
  <form class="watch" @submit.prevent="witness">
    <v-select
      v-model="person"
      label="I watched"
      :items="view.people.map(({ id, name }) => ({ value: id, title: name }))"
      hide-details
    />
    <v-select
      v-model="work"
      label="at"
      :items="RULED_WORK.map((value) => ({ value, title: WORDS[value] }))"
      hide-details
    />
    <v-autocomplete
      v-model="choice.chosen"
      label="on the job"
      :items="choice.jobs.map((job) => ({ title: `${job.tag}, ${job.customer}`, value: job.id }))"
      no-data-text="No job is open."
      hide-details
    />
    <BenchButton kind="submit" :disabled="busy || !person || !choice.chosen" lacking="whom, and on which job"
      >Keep it</BenchButton
    >
  </form>
  <ul v-if="view.witnessed.length > 0" class="happened">
    <li v-for="seen in view.witnessed" :key="seen.id" class="row-flat">
      <b>{{ nameOf(seen.person) }}</b>
      <span
        >{{ WORDS[seen.work] }} on
        <router-link class="inline" :to="`/jobs/${seen.job}`">{{ seen.tag }}</router-link></span
      >
      <span class="label muted">watched by {{ seen.by }}, {{ sayMoment(seen.at) }}</span>
      <BenchButton @press="$emit('forget', seen.id)">It no longer counts</BenchButton>
    </li>
  </ul>
</template>

<style scoped>
.rules {
  display: grid;
  gap: 6px;
  width: 100%;
}
.rules li {
  display: grid;
  grid-template-columns: 160px minmax(0, 1fr) auto;
  gap: 8px 18px;
  align-items: center;
  padding: 8px 16px;
}
.ticked {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
}
.watch {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  gap: 10px;
  align-items: start;
  width: 100%;
}
.happened {
  width: 100%;
}
@media (max-width: 860px) {
  .rules li,
  .watch {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
