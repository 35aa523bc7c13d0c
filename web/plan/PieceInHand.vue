<script setup lang="ts">
import type { Want, WeekView } from '@dusk-wren/contract/week';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { computed } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import DayField from '../parts/DayField.vue';
import { sayDay, sayMinutes } from '../parts/dates';
import { sayLearned } from './learned';
import type { Piece } from './rails';
import { sayKind } from '@dusk-wren/contract/planned';
import { sayAt } from './words';

/** The piece that was chosen: what, who, where, when; and where a lead would have it. */
const props = defineProps<{
  piece: Piece;
  view: WeekView;
  mayMove: boolean;
  /** Where it is held now, and what that does. */
  held: { readonly start: number; readonly person: string | undefined } | undefined;
  told: readonly string[];
  asking: boolean;
  canPut: boolean;
}>();
const emit = defineEmits<{
  take: [];
  put: [];
  leave: [];
  unpin: [];
  step: [by: 1 | -1];
  toNext: [by: 1 | -1];
  want: [want: Want];
}>();
const nameOf = (id: string | undefined) => props.view.people.find((each) => each.id === id)?.name;
const due = computed(() => props.view.week.jobs.find(({ id }) => id === props.piece.job.id)?.due);
const ends = computed(() =>
  Math.max(...props.view.plan.filter(({ job }) => job === props.piece.job.id).map(({ end }) => end)),
);
const lateBy = computed(() => Math.max(0, ends.value - (due.value ?? Infinity)));
const where = computed(() => {
  const { start, end, place } = props.piece.placing;
  const who = nameOf(props.held?.person ?? props.piece.placing.person);
  const when = props.held
    ? sayAt(props.view, props.held.start)
    : `${sayAt(props.view, start)} to ${sayAt(props.view, end)}`;
  return [when, who, place].filter((each) => each !== undefined).join(', ');
});
const learned = computed(() => sayLearned(props.view, props.piece.job.construction, props.piece.kind));
function want(change: Partial<Want>): void {
  const { hard, weight, notBefore } = props.piece.job;
  emit('want', { hard, weight, notBefore, ...change });
}
const canMove = computed(
  () =>
    props.mayMove && (props.piece.placing.person !== undefined || props.piece.placing.place !== undefined),
);
</script>

<template>
  <section class="in-hand row-flat" :aria-label="`${piece.job.tag}, ${sayKind(piece.kind)}`">
    <div class="what">
      <h2>
        <router-link :to="`/jobs/${piece.job.id}`">{{ piece.job.tag }}</router-link> {{ sayKind(piece.kind) }}
      </h2>
      <p class="label">
        {{ where }}
      </p>
      <p class="label muted">
        {{ piece.job.customer }} · {{ CONSTRUCTIONS[piece.job.construction].name }} · ready
        {{ sayAt(view, ends) }}<template v-if="piece.job.due">, due {{ sayDay(piece.job.due) }}</template>
        <b v-if="lateBy > 0" class="late">, late by {{ sayMinutes(lateBy) }}</b>
      </p>
      <p v-if="learned !== ''" class="label muted">{{ sayKind(piece.kind) }}: {{ learned }}</p>
    </div>
    <div v-if="held" class="moving">
      <ul class="told" aria-live="polite" :aria-busy="asking">
        <li v-for="line in told" :key="line">{{ line }}</li>
        <li v-if="told.length === 0" class="muted">Move it: ← → a quarter of an hour, ↑ ↓ another person.</li>
      </ul>
      <div class="acts">
        <BenchButton aria-label="A quarter of an hour sooner" @press="$emit('step', -1)">←</BenchButton>
        <BenchButton aria-label="A quarter of an hour later" @press="$emit('step', 1)">→</BenchButton>
        <BenchButton aria-label="To another person" @press="$emit('toNext', 1)">↓</BenchButton>
        <BenchButton lamp :disabled="!canPut" hint="enter" @press="$emit('put')">Put it here</BenchButton>
        <BenchButton hint="escape" @press="$emit('leave')">Leave it</BenchButton>
      </div>
    </div>
    <div v-else-if="mayMove" class="acts">
      <BenchButton v-if="canMove" hint="m" @press="$emit('take')">Move it</BenchButton>
      <BenchButton v-if="piece.isPinned" @press="$emit('unpin')">Goes by the plan again</BenchButton>
      <BenchButton v-if="piece.job.due" @press="want({ hard: !piece.job.hard })">{{
        piece.job.hard ? 'Its date may move' : 'Its date does not move'
      }}</BenchButton>
      <BenchButton @press="want({ weight: piece.job.weight >= 4 ? 1 : piece.job.weight * 2 })"
        >Counts {{ piece.job.weight === 1 ? 'once' : `${piece.job.weight} times` }}</BenchButton
      >
      <DayField
        class="begins"
        label="Not begun before"
        optional
        :model-value="piece.job.notBefore ?? ''"
        @update:model-value="want({ notBefore: $event === '' ? null : $event })"
      />
    </div>
  </section>
</template>

<style scoped>
.in-hand {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr);
  gap: 8px 24px;
  align-items: start;
  padding: 10px 14px;
}
h2 {
  font-size: 20px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.begins {
  flex: 1 1 260px;
}
.moving {
  display: grid;
  gap: 8px;
}
.told {
  min-height: 48px;
}
.late {
  color: var(--condemn);
}
@media (max-width: 760px) {
  .in-hand {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
