<script setup lang="ts">
import type { SetupPerson } from '@dusk-wren/contract';
import { ROLES, type Role } from '@dusk-wren/core/job';
import { capital } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { sayDay } from '../parts/dates';
import type { PersonChange } from './setup-people';

/** Somebody of the shop: what they are and can, how they stand, and what a lead does about it. */
const props = defineProps<{ person: SetupPerson; isMe: boolean }>();
const emit = defineEmits<{
  change: [change: PersonChange];
  code: [];
  screens: [];
  erase: [];
}>();
const STANDING = {
  here: '',
  invited: 'has not signed in yet: the code is out',
  'code over': 'the code has run out: give another',
  left: 'has left',
  erased: 'erased',
} as const;
const standing = computed(() =>
  props.person.leftAt
    ? `left on ${sayDay(props.person.leftAt.slice(0, 10))}`
    : STANDING[props.person.standing],
);
const name = ref(props.person.name);
const skills = ref(props.person.skills.join(', '));
const listed = computed(() =>
  skills.value
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== ''),
);
const isChanged = computed(
  () => name.value.trim() !== props.person.name || listed.value.join() !== props.person.skills.join(),
);
const leaving = ref(false);
const erasing = ref(false);
const badge = ref('');
function giveBadge(): void {
  emit('change', { badge: badge.value.trim() });
  badge.value = '';
}
const roles = ROLES.map((value) => ({ value, label: capital(value) }));
function keep(): void {
  if (name.value.trim() !== '') emit('change', { name: name.value.trim(), skills: listed.value });
}
const be = (role: Role) => role !== props.person.role && emit('change', { role });
</script>

<template>
  <details class="person" :class="{ gone: person.leftAt !== null }">
    <summary>
      <b>{{ person.name }}</b>
      <span class="label role" :class="person.role">{{ person.role }}</span>
      <span class="label muted skills">{{ person.skills.join(' · ') }}</span>
      <span class="label muted standing">
        {{ standing
        }}<template v-if="person.screens > 0">
          signed in at {{ person.screens === 1 ? 'one screen' : `${person.screens} screens` }}</template
        >
      </span>
    </summary>
    <p v-if="person.standing === 'erased'" class="body">
      What was known of them is erased. What they did stays in the logs and papers of jobs, under the name
      they had.
    </p>
    <div v-else-if="person.standing === 'left'" class="body">
      <p>What they did stays in the logs under their name. They cannot sign in.</p>
      <p v-if="erasing">
        Erased for good: their name on this list, badge, devices, skills, hours, absences and drills. Logs and
        papers of jobs keep what they did, for others rely on it; lines of Changes keep what was set up.
      </p>
      <div class="acts">
        <BenchButton v-if="!erasing" @press="emit('change', { left: false })"
          >{{ person.name }} is back</BenchButton
        >
        <BenchButton v-if="!erasing" @press="erasing = true">Erase what is known of them</BenchButton>
        <template v-else>
          <BenchButton lamp @press="emit('erase')">Yes: erase {{ person.name }}</BenchButton>
          <BenchButton @press="erasing = false">Keep it</BenchButton>
        </template>
      </div>
    </div>
    <div v-else class="body">
      <form class="known" @submit.prevent="keep">
        <v-text-field v-model="name" label="Name" maxlength="80" autocomplete="off" />
        <v-text-field
          v-model="skills"
          label="Can, with commas between"
          placeholder="such as lathe, relief valves, field"
          autocomplete="off"
        />
        <BenchButton v-if="isChanged" kind="submit" lamp :disabled="name.trim() === ''">Keep</BenchButton>
      </form>
      <form class="known badge" @submit.prevent="giveBadge">
        <v-text-field
          v-model="badge"
          :label="person.hasBadge ? 'Another badge: scan it' : 'A badge: scan it'"
          maxlength="60"
          autocomplete="off"
        />
        <BenchButton kind="submit" :disabled="badge.trim().length < 4" lacking="four signs or more"
          >This is their badge</BenchButton
        >
        <BenchButton v-if="person.hasBadge" @press="emit('change', { badge: null })">No badge</BenchButton>
      </form>
      <ChoiceRow :label="`Role of ${person.name}`" :options="roles" :picked="person.role" @pick="be" />
      <div class="acts">
        <BenchButton @press="emit('code')">PIN forgotten: another code</BenchButton>
        <BenchButton v-if="person.screens > 0" @press="emit('screens')">Sign out everywhere</BenchButton>
        <BenchButton v-if="!leaving && !isMe" @press="leaving = true">Leaves the shop</BenchButton>
        <template v-if="leaving">
          <BenchButton lamp @press="emit('change', { left: true })"
            >Yes: {{ person.name }} leaves now</BenchButton
          >
          <BenchButton @press="leaving = false">Stays</BenchButton>
        </template>
      </div>
    </div>
  </details>
</template>

<style scoped>
.person {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.gone {
  border-style: dashed;
  background: none;
}
summary {
  display: grid;
  grid-template-columns: minmax(130px, 1.1fr) 110px minmax(120px, 2fr) minmax(120px, 1.4fr);
  gap: 4px 16px;
  align-items: center;
  min-height: 58px;
  padding: 4px 16px;
}
summary b {
  font-size: 18px;
}
.role::before {
  content: '';
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 8px;
  border-radius: 50%;
  background: var(--muted);
}
.role.lead::before {
  background: var(--lamp);
}
.role.inspector::before {
  background: var(--ask);
}
.role.technician::before {
  background: var(--blue);
}
.body,
.known,
.acts {
  display: grid;
  gap: 12px;
}
.body {
  padding: 6px 16px 16px;
  justify-items: start;
}
.known {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) auto;
  width: 100%;
}
.badge {
  grid-template-columns: minmax(0, 1fr) auto auto;
}
.acts {
  display: flex;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  summary {
    grid-template-columns: 1fr auto;
  }
  .skills,
  .standing {
    grid-column: 1 / -1;
  }
  .skills:empty,
  .standing:empty {
    display: none;
  }
  .known,
  .badge {
    grid-template-columns: 1fr;
  }
}
</style>
