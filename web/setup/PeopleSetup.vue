<script setup lang="ts">
import type { PersonWithCode } from '@dusk-wren/contract';
import { ROLES, type Role } from '@dusk-wren/core/job';
import { capital } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { useSession } from '../stores/session';
import CodeSlip from './CodeSlip.vue';
import PersonCard from './PersonCard.vue';
import SetupFile from './SetupFile.vue';
import { useSetupPeople } from './setup-people';

/** Who works here: added by name and role, signing in with a code once and a PIN of their own from then on. */
const session = useSession();
const { people, wrong, given, refetch, invite, change, newCode, closeScreens, erase } = useSetupPeople();
const name = ref('');
const role = ref<Role>('technician');
const roles = ROLES.map((value) => ({ value, label: capital(value) }));
const MEANS: Readonly<Record<Role, string>> = {
  technician: 'works on valves, reads and records',
  inspector: 'releases holds, witnesses tests, signs certificates',
  lead: 'receives, plans, overrules calls, and sets all of this up',
};
async function taken(codes: readonly PersonWithCode[]): Promise<void> {
  given.value = [...codes];
  await refetch();
}
const atWork = computed(() => people.value.filter(({ leftAt }) => leftAt === null).length);
async function add(): Promise<void> {
  if (await invite({ name: name.value.trim(), role: role.value, skills: [] })) name.value = '';
}
</script>

<template>
  <section class="people" aria-label="People">
    <CodeSlip v-if="given.length > 0" :given="given" @close="given = []" />
    <form class="add" @submit.prevent="add">
      <v-text-field v-model="name" label="Somebody new: name" maxlength="80" autocomplete="off" />
      <ChoiceRow label="Role" :options="roles" :picked="role" @pick="role = $event" />
      <BenchButton kind="submit" lamp :disabled="name.trim() === ''" lacking="a name">Add</BenchButton>
      <p class="label muted">{{ capital(role) }}: {{ MEANS[role] }}.</p>
    </form>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <h2>{{ atWork }} at work here</h2>
    <SetupFile kind="people" columns="name, role, skills (with | between)" @taken="taken" />
    <PersonCard
      v-for="person in people"
      :key="`${person.id} ${person.name} ${person.skills.join()}`"
      :person="person"
      :is-me="person.id === session.person?.id"
      @change="change(person.id, $event)"
      @code="newCode(person.id)"
      @screens="closeScreens(person.id)"
      @erase="erase(person.id)"
    />
  </section>
</template>

<style scoped>
.people {
  display: grid;
  gap: 10px;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px 16px;
  align-items: start;
  padding-bottom: 6px;
}
.add p {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  .add {
    grid-template-columns: 1fr;
    justify-items: start;
  }
  .add > :first-child {
    width: 100%;
  }
}
</style>
