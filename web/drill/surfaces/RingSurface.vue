<script setup lang="ts">
import { readTheRing, RING_CALLS, type RingCall } from '@dusk-wren/core/drill';
import { capital } from '@dusk-wren/core/quantity';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import SeatRing from '../../drawings/SeatRing.vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { gapsIn, isBare, SECTORS } from '../sectors';
import { useBench } from '../sitting';
import { paintedSeat } from './ring-picture';

/** A photograph of a blued seat; what it shows is marked on the ring beside it, break by break. */
const { exercise, moves, over, play } = useBench(readTheRing);
const picture = useTemplateRef('picture');
const failed = ref(false);
onMounted(async () => {
  try {
    const painted = await paintedSeat(exercise.scene);
    picture.value?.getContext('2d')?.putImageData(painted, 0, 0);
  } catch {
    failed.value = true;
  }
});

const marked = computed(() => moves.value.findLast((move) => move.do === 'mark')?.gaps ?? []);
const bare = computed(() => Array.from({ length: SECTORS }, (_, i) => isBare(i, marked.value)));
const marks = computed(() => bare.value.map((each): 'none' | 'line' => (each ? 'none' : 'line')));
/** What the next stroke over a sector makes of it. */
const brush = ref<'bare' | 'line'>('bare');
function paint(sector: number): void {
  const now = brush.value === 'bare';
  if (over.value || bare.value[sector] === now) return;
  play({ do: 'mark', gaps: gapsIn(bare.value.map((each, i) => (i === sector ? now : each))) });
}
const call = ref<RingCall>();
const calls = RING_CALLS.map((value) => ({ value, label: capital(value) }));
</script>

<template>
  <div class="reading">
    <figure>
      <canvas
        ref="picture"
        :width="exercise.scene.width"
        :height="exercise.scene.height"
        role="img"
        aria-label="Photograph of a blued seat, 12 o’clock at the top"
      />
      <figcaption v-if="failed" class="problem" role="alert">
        This browser could not draw the picture.
      </figcaption>
    </figure>
    <div class="side">
      <SeatRing :marks="marks" @paint="paint" />
      <ChoiceRow
        label="What a stroke marks"
        :options="[
          { value: 'bare', label: 'Mark a break' },
          { value: 'line', label: 'Mark line again' },
        ]"
        :picked="brush"
        @pick="brush = $event"
      />
      <p class="label muted">
        {{
          marked.length === 0
            ? 'No break marked.'
            : `${marked.length} marked, ${marked.map(({ degrees }) => `${degrees}°`).join(', ')}.`
        }}
      </p>
    </div>
    <div class="call">
      <ChoiceRow label="The call" :options="calls" :picked="call" @pick="call = $event" />
      <BenchButton
        lamp
        :disabled="over || !call"
        lacking="choose one first"
        @press="call && play({ do: 'call', call })"
        >That is my call</BenchButton
      >
    </div>
  </div>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(0, 480px) minmax(0, 320px);
  gap: 16px 28px;
}
canvas {
  width: 100%;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.side {
  display: grid;
  gap: 10px;
  align-content: start;
}
.call {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
}
@media (max-width: 760px) {
  .reading {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
