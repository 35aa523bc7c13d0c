<script setup lang="ts">
import type { WeekView } from '@dusk-wren/contract/week';
import { computed } from 'vue';
import type { Piece } from './rails';
import { sayKind } from '@dusk-wren/contract/planned';
import { sayAt } from './words';

/** A piece of work on its rail: whose valve, what is done, how far its job has come, whether it ends late. */
const props = defineProps<{
  piece: Piece;
  view: WeekView;
  isChosen: boolean;
  /** Another job is looked at. */
  isDim: boolean;
  isHeld: boolean;
}>();
defineEmits<{ press: [] }>();
const STAGES_IN_ALL = 10;
const isWait = computed(() => {
  const { place, person } = props.piece.placing;
  return place === undefined && person === undefined;
});
const words = computed(() => {
  const { placing, job, kind, isLate, isBegun, isPinned } = props.piece;
  const who = props.view.people.find(({ id }) => id === placing.person)?.name;
  return [
    `${job.tag}, ${sayKind(kind)}`,
    `${sayAt(props.view, placing.start)} to ${sayAt(props.view, placing.end)}`,
    ...(who === undefined ? [] : [who]),
    ...(placing.place === undefined ? [] : [`at the ${placing.place}`]),
    ...(isBegun ? ['begun'] : []),
    ...(isPinned ? ['put here by a lead'] : []),
    ...(isLate ? ['its job ends late'] : []),
  ].join(', ');
});
</script>

<template>
  <button
    type="button"
    class="piece label"
    :class="{
      late: piece.isLate,
      begun: piece.isBegun,
      chosen: isChosen,
      dim: isDim,
      held: isHeld,
      wait: isWait,
      hold: piece.kind === 'hold',
    }"
    :data-key="piece.key"
    :aria-label="words"
    :aria-pressed="isChosen"
    :title="words"
    @click="$emit('press')"
  >
    <i v-if="piece.isPinned" class="pin" aria-hidden="true" />
    <b>{{ piece.job.tag }}</b>
    <span>{{ sayKind(piece.kind) }}</span>
    <i class="travel" aria-hidden="true"
      ><i :style="{ width: `${(piece.job.travel / STAGES_IN_ALL) * 100}%` }"
    /></i>
  </button>
</template>

<style scoped>
.piece {
  position: relative;
  display: grid;
  grid-template-rows: 1fr 1fr 4px;
  width: 100%;
  min-width: 7px;
  height: 100%;
  padding: 1px 0 0 5px;
  overflow: hidden;
  line-height: 1.15;
  text-align: left;
  color: var(--ink);
  background: color-mix(in srgb, var(--ink) 13%, var(--card));
  border: 1px solid var(--muted);
  border-left-width: 4px;
  border-radius: 3px;
  cursor: pointer;
  touch-action: none;
  container-type: inline-size;
}
/* Too narrow for its words: the piece alone is looked at, or asked. */
@container (max-width: 40px) {
  b,
  span {
    visibility: hidden;
  }
}
b,
span {
  overflow: hidden;
  font-size: 14px;
  white-space: nowrap;
}
.travel {
  align-self: end;
  height: 3px;
  margin-left: -5px;
}
.travel i {
  display: block;
  height: 3px;
  background: var(--lamp-deep);
}
.late {
  border-color: var(--condemn);
}
.begun {
  border-left-color: var(--lamp);
}
.hold {
  border-style: double;
  border-color: var(--ask);
  border-left-width: 4px;
}
.hold.late {
  border-left-color: var(--condemn);
}
.wait {
  background: none;
  border-style: dashed;
  border-left-width: 1px;
}
.chosen {
  background: color-mix(in srgb, var(--ink) 26%, var(--card));
}
.dim,
.dim.late,
.dim.begun {
  color: var(--muted);
  background: var(--card);
  border-color: var(--line);
}
.held {
  background: var(--lit);
  outline: 3px solid var(--lamp);
  outline-offset: -3px;
}
.pin {
  position: absolute;
  top: 0;
  right: 3px;
  width: 10px;
  height: 12px;
  background: var(--lamp);
  clip-path: polygon(0 0, 100% 0, 100% 55%, 50% 100%, 0 55%);
}
</style>
