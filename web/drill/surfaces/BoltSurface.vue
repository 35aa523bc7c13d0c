<script setup lang="ts">
import { boltedUp, boltIt } from '@dusk-wren/core/drill';
import type { Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import BoltCircle from '../../drawings/BoltCircle.vue';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { usePreferences } from '../../stores/preferences';
import { useBench } from '../sitting';

/** A joint to be pulled up by hand: the wrench is set, and a bolt is pulled by pointing at it. */
const { exercise, moves, over, play } = useBench(boltIt);
const { read, show } = usePreferences();
const at = computed(() => boltedUp(exercise, moves.value));
const last = computed(() => at.value.pulls.at(-1));
const pass = computed(() => exercise.passes[at.value.pass]);
const isRound = computed(() => at.value.pass === exercise.passes.length - 1);
const setting = ref<Quantity<'torque'>>();
function setWrench(): void {
  if (setting.value) play({ do: 'set', to: setting.value });
}
const isWrong = computed(() => last.value !== undefined && !['counts'].includes(last.value.verdict));
</script>

<template>
  <div class="bolting">
    <BoltCircle
      :bolts="exercise.bolts"
      :order="[]"
      :done="at.tight"
      :wrong="isWrong ? last?.bolt : undefined"
      @aim="over || play({ do: 'pull', bolt: $event })"
    />
    <div class="side">
      <h2>
        {{ isRound ? 'Once round' : `Crosswise, pass ${at.pass + 1} of ${exercise.passes.length - 1}` }}
      </h2>
      <p class="label">
        {{ pass?.percent ?? 100 }} % of {{ read(exercise.torque, 'wrench') }} on the nut<template
          v-if="exercise.crowFoot"
          >, with a crow-foot straight ahead: wrench {{ show(exercise.crowFoot.wrench) }}, crow-foot
          {{ show(exercise.crowFoot.adapter) }}</template
        >.
      </p>
      <form class="set" @submit.prevent="setWrench">
        <QuantityField v-model="setting" label="Wrench set to" dimension="torque" example="60 ft-lb" />
        <BenchButton kind="submit" :disabled="over || !setting" lacking="a torque">Set it</BenchButton>
      </form>
      <p class="number stands" role="status">
        {{ at.setting ? `The wrench stands at ${read(at.setting, 'wrench')}.` : 'The wrench is not set.' }}
        {{ last ? `Bolt ${last.bolt} clicked at ${read(last.shown, 'wrench')}.` : '' }}
      </p>
      <p class="label muted">
        Point at a bolt to pull it; {{ at.tight.length }} of {{ exercise.bolts }} in this pass.
      </p>
    </div>
  </div>
</template>

<style scoped>
.bolting {
  display: grid;
  grid-template-columns: minmax(0, 400px) minmax(0, 1fr);
  gap: 24px;
}
.bolting :deep(.circle) {
  max-width: 400px;
}
.side {
  display: grid;
  gap: 12px;
  align-content: start;
}
.set {
  display: grid;
  grid-template-columns: minmax(0, 240px) auto;
  gap: 10px;
  justify-content: start;
  align-items: start;
}
.stands {
  font-size: 18px;
}
@media (max-width: 760px) {
  .bolting {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
