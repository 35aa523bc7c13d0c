<script setup lang="ts">
import type { Screw } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { formatNumber, quantity, valueIn } from '@dusk-wren/core/quantity';
import { huntingAdvice, type GainAdvice } from '@dusk-wren/core/task';
import { computed } from 'vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import TurnScrew from './TurnScrew.vue';
import type { StrokeBench } from './use-stroke-bench';

/** The gain of a positioner, offered where it hunts or where how it answered asks for it. */
const props = defineProps<{
  step: PlannedStep;
  bench: StrokeBench;
  screws: readonly Screw[];
  /** By how it answered. */
  answered?: GainAdvice | undefined;
}>();
const job = useJob();
const { tell } = usePreferences();
const SCREW = 'gain screw';
const advice = computed(() => {
  if (!props.screws.includes(SCREW)) return undefined;
  const wide = props.bench.hunts.value;
  return wide === undefined ? props.answered : huntingAdvice(Math.round(wide * 10) / 10);
});
const words = computed(() => {
  const { turn, why } = advice.value ?? {};
  if (!turn || why === undefined) return '';
  const turns = valueIn(turn, 'turn');
  const way = turns > 0 ? 'clockwise' : 'anticlockwise';
  return `${tell(why)} ${formatNumber(Math.abs(turns), 2)} turns ${way}, then look again.`;
});
function turned(turns: number): void {
  const by = quantity('angle', turns, 'turn');
  job.act({ kind: 'turn-screw', body: { step: props.step.id, screw: SCREW, by } });
}
</script>

<template>
  <TurnScrew
    v-if="advice"
    :screw="SCREW"
    :advised="valueIn(advice.turn, 'turn')"
    :words="words"
    :waits="false"
    :disabled="false"
    @turn="turned"
  />
</template>
