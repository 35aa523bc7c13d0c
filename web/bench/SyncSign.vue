<script setup lang="ts">
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';
import { useSession } from '../stores/session';

/** What is safe, what waits and for what, whose it is, and what became impossible because somebody else was faster. */
const job = useJob();
const session = useSession();
const preferences = usePreferences();
const first = computed(() => job.waiting[0]);
const more = computed(() => job.waiting.length - 1);
const count = (entries: number) => `${entries} ${entries === 1 ? 'entry' : 'entries'}`;
const reason = computed(() => {
  switch (job.delay?.kind) {
    case undefined:
      return '';
    case 'no connection':
      return `No connection. Safe on the server: everything up to entry ${job.confirmedVersion}.`;
    case 'sign-in':
      return 'Your sign-in has ended.';
    case 'server':
    case 'fault':
      return job.delay.text;
  }
});
const sentWhen = computed(() => {
  switch (job.delay?.kind) {
    case 'sign-in':
      return 'when you have signed in again';
    case 'fault':
      return 'when this page has been reloaded';
    default:
      return 'as soon as it can be';
  }
});
const goesWhen = ({ person, name }: { person: string; name: string }) =>
  person === session.person?.id ? 'this job can be opened again' : `${name} signs in here`;
const reload = () => location.reload();
/** Giving an entry up is asked about once more: it is gone then. */
const givingUp = ref(false);
function giveUp(): void {
  if (first.value) job.giveUp(first.value.commandId);
  givingUp.value = false;
}
const signInPath = computed(() => ({ path: '/sign-in', query: { to: `/jobs/${job.id ?? ''}` } }));
</script>

<template>
  <div v-if="job.delay" class="sign" role="alert">
    <span
      >{{ reason }}
      <template v-if="first"
        >Waiting on this device: {{ count(job.waiting.length) }}, “{{
          preferences.tell(first.what)
        }}”<template v-if="more > 0"> and {{ more }} more</template>, sent by itself {{ sentWhen }}.</template
      >
      <template v-if="job.delay.kind === 'no connection'">
        Photographs, instruments and other people wait too.</template
      ></span
    >
    <span class="buttons">
      <router-link v-if="job.delay.kind === 'sign-in'" :to="signInPath" class="label"
        >Sign in again</router-link
      >
      <BenchButton v-if="job.delay.kind === 'fault'" lamp @press="reload">Reload the page</BenchButton>
      <template v-if="first && (job.delay.kind === 'server' || job.delay.kind === 'fault')">
        <template v-if="givingUp">
          <BenchButton @press="giveUp">Give “{{ preferences.tell(first.what) }}” up for good</BenchButton>
          <BenchButton lamp @press="givingUp = false">Let it wait</BenchButton>
        </template>
        <BenchButton v-else @press="givingUp = true">Give this entry up…</BenchButton>
      </template>
    </span>
  </div>
  <div v-else-if="!session.person" class="sign" role="alert">
    <span>Your sign-in has ended: nothing is entered here until somebody signs in.</span>
    <router-link :to="signInPath" class="label">Sign in again</router-link>
  </div>
  <div v-else-if="!job.live" class="sign quiet" role="status">
    Not live: what others do on this job is not shown at the moment. Trying again by itself.
  </div>
  <div v-if="job.unkept && job.waiting.length > 0" class="sign" role="alert">
    This browser cannot keep what waits: leave this page open until it is sent.
  </div>
  <div v-for="each in job.stillWaiting" :key="each.person" class="sign quiet" role="status">
    {{ count(each.count) }} of {{ each.name }} {{ each.count === 1 ? 'waits' : 'wait' }} on this device, and
    {{ each.count === 1 ? 'goes' : 'go' }} out when {{ goesWhen(each) }}.
  </div>
  <div v-if="job.lapsed.length > 0" class="sign" role="alert">
    <ul>
      <li v-for="(each, i) in job.lapsed" :key="i">
        Not stored: “{{ preferences.tell(each.what) }}”. {{ each.text }}
      </li>
    </ul>
    <BenchButton @press="job.dismissLapsed">Understood</BenchButton>
  </div>
</template>

<style scoped>
.sign {
  display: flex;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 12px;
  padding: 6px 12px;
  border: 1px solid var(--condemn);
  border-left-width: 5px;
  border-radius: var(--radius);
  font-family: var(--label);
  font-weight: 600;
}
.sign > :first-child {
  flex: 1 1 260px;
}
.quiet {
  border-color: var(--line);
  border-left-color: var(--lamp);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
