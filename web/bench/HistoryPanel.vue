<script setup lang="ts">
import { describeEntry, fallsWith, hangingLocks, type Entry } from '@dusk-wren/core/job';
import { broughtBack } from '@dusk-wren/core/plan';
import { computed, ref } from 'vue';
import { sayDay, sayTime } from '../parts/dates';
import BenchButton from '../parts/BenchButton.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import LeftForNow from './LeftForNow.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';

/** The log, newest first: nothing is ever edited; a wrong entry is struck with a reason and stays to be read. */
const job = useJob();
const preferences = usePreferences();
const striking = ref<number>();
const reason = ref('');
const note = ref('');
/** Only these, where sixty entries are too many to read. */
const FILTERS = ['all', 'measured', 'called', 'struck'] as const;
const only = ref<(typeof FILTERS)[number]>('all');
const IS: Readonly<Record<(typeof FILTERS)[number], (entry: Entry) => boolean>> = {
  all: () => true,
  measured: ({ kind }) =>
    [
      'measured',
      'runout-taken',
      'bluing-checked',
      'pressure-tested',
      'bolt-tightened',
      'evidence-taken',
      'screw-turned',
      'curve-kept',
      'stroke-tested',
    ].includes(kind),
  called: ({ kind }) => kind === 'finding-made' || kind === 'leak-traced' || kind === 'call-overruled',
  struck: (entry) => isStruck(entry) || entry.kind === 'entry-struck',
};
const entries = computed(() => job.entries.filter((entry) => IS[only.value](entry)).reverse());
const isStruck = ({ seq }: Entry) => job.state?.struck[seq] !== undefined;
const mayStrike = (entry: Entry) =>
  job.summary?.state === 'open' &&
  !isStruck(entry) &&
  entry.kind !== 'job-opened' &&
  entry.kind !== 'job-imported' &&
  entry.kind !== 'entry-struck';
const simulated = (entry: Entry) =>
  'readBy' in entry.body && entry.body.readBy !== 'hand' && entry.body.readBy.simulated;
/** What falls with an entry, in words, before it is struck. */
const falls = (entry: Entry) =>
  job.state
    ? fallsWith(job.state, entry).map(
        (each) => `${describeEntry(each, preferences.units)} by ${each.by.name}`,
      )
    : [];
const hangs = (entry: Entry) =>
  entry.kind === 'lock-hung' && job.state && hangingLocks(job.state).some(({ seq }) => seq === entry.seq)
    ? entry.body.lock
    : undefined;
/** The steps that are asked for again once the entry is struck. */
const asked = computed(
  () =>
    striking.value !== undefined && {
      kind: 'strike-entry' as const,
      body: { entry: striking.value, reason: 'to be said' },
    },
);
const comesBack = computed(() => {
  const then = asked.value && job.would(asked.value);
  return then && job.planned ? broughtBack(job.planned, then).map(({ title }) => title) : [];
});
/** Why this person may not strike it, said before a reason is typed. */
const refusal = computed(() => (asked.value ? job.refusal(asked.value) : ''));
function leave(): void {
  striking.value = undefined;
  reason.value = '';
}
function strike(seq: number): void {
  if (job.act({ kind: 'strike-entry', body: { entry: seq, reason: reason.value } })) leave();
}
function addNote(): void {
  if (note.value.trim() && job.act({ kind: 'add-note', body: { text: note.value } })) note.value = '';
}
</script>

<template>
  <div class="history">
    <form class="add" @submit.prevent="addNote">
      <v-text-field v-model="note" label="Add a note" maxlength="1000" />
      <BenchButton kind="submit" :disabled="!note.trim()">Keep</BenchButton>
    </form>
    <LeftForNow />
    <ChoiceRow
      label="Only these"
      :options="FILTERS.map((each) => ({ value: each, label: each }))"
      :picked="only"
      @pick="only = $event"
    />
    <p v-if="entries.length === 0" class="muted">None of these yet.</p>
    <ol>
      <li v-for="entry in entries" :key="entry.seq" :class="{ struck: isStruck(entry) }">
        <span class="number muted">{{ entry.seq }}</span>
        <span class="what"
          >{{ describeEntry(entry, preferences.units) }}
          <small v-if="simulated(entry)" class="muted">simulated</small></span
        >
        <span class="label muted"
          >{{ entry.by.name }}, {{ sayDay(entry.at) }} {{ sayTime(entry.at)
          }}<template v-if="entry.receivedAt">
            by its device, received {{ sayDay(entry.receivedAt) }} {{ sayTime(entry.receivedAt) }}</template
          ></span
        >
        <button
          v-if="mayStrike(entry) && striking !== entry.seq"
          type="button"
          class="label"
          @click="striking = entry.seq"
        >
          Strike
        </button>
        <form
          v-if="striking === entry.seq"
          class="strike wide"
          @submit.prevent="strike(entry.seq)"
          @keydown.escape.stop="leave"
        >
          <p v-if="hangs(entry)" class="problem">
            Is lock {{ hangs(entry) }} off the valve? Struck, nobody is asked to take it off any more.
          </p>
          <p v-if="refusal" class="problem" role="alert">{{ refusal }}</p>
          <p v-if="comesBack.length > 0" class="label">
            This brings back {{ comesBack.length === 1 ? 'a step' : `${comesBack.length} steps` }}:
            {{ comesBack.join('; ') }}.
          </p>
          <p v-if="falls(entry).length > 0" class="problem">
            These fall with it and are asked for again: {{ falls(entry).join('; ') }}.
          </p>
          <v-text-field v-model="reason" label="Why it is wrong" autofocus />
          <span class="buttons">
            <BenchButton kind="submit" :disabled="refusal !== '' || reason.trim().length < 3"
              >Strike it</BenchButton
            >
            <BenchButton @press="leave">Leave it</BenchButton>
          </span>
        </form>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.history {
  overflow: auto;
  align-self: start;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  padding: 8px 0;
}
li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 0 8px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
li > .label:not(button) {
  grid-column: 2;
  font-size: 15px;
}
li > button {
  grid-column: 3;
  grid-row: 1 / span 2;
  min-height: var(--touch);
  min-width: var(--touch);
  font-size: 15px;
  color: var(--muted);
  background: none;
  border: 0;
  text-decoration: underline dotted;
  cursor: pointer;
}
.what {
  overflow-wrap: anywhere;
}
.strike {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
.buttons {
  display: flex;
  gap: 8px;
}
.wide {
  grid-column: 1 / -1;
}
.struck .what {
  text-decoration: line-through;
  color: var(--muted);
}
</style>
