<script setup lang="ts">
import { capital } from '@dusk-wren/core/quantity';
import { STAGES, type Stage } from '@dusk-wren/core/job';
import { computed } from 'vue';
import { withArrows } from '../keys/arrows';

/** A job's position as a valve shows its own: ten stages, a pointer, holds as notches below the line. */
const props = defineProps<{
  travel: number;
  holds: readonly { at: number; released: boolean }[];
  /** Labels under the graduations, as links to the stages. */
  labelled?: boolean;
  stage?: Stage;
}>();
defineEmits<{ stage: [stage: Stage] }>();

const UNIT = 112;
const LENGTH = STAGES.length * UNIT;
const x = (at: number) => 4 + at * UNIT;
const ticks = Array.from({ length: STAGES.length * 5 + 1 }, (_, i) => ({ x: x(i / 5), long: i % 5 === 0 }));
const words = computed(
  () =>
    `${Math.floor(Math.min(props.travel, 9.99)) + 1} of ${STAGES.length}: ${props.stage ?? STAGES[Math.floor(Math.min(props.travel, 9.99))] ?? ''}`,
);
</script>

<template>
  <div class="travel">
    <svg
      :viewBox="`-6 0 ${LENGTH + 20} 36`"
      preserveAspectRatio="none"
      role="img"
      :aria-label="`Travel ${words}`"
    >
      <path
        v-for="tick in ticks"
        :key="tick.x"
        :d="`M${tick.x} ${tick.long ? 4 : 13}V19`"
        class="tick"
        :class="{ long: tick.long }"
      />
      <rect :x="x(0)" y="19" :width="LENGTH" height="8" class="line" />
      <rect :x="x(0)" y="19" :width="travel * UNIT" height="8" class="behind" />
    </svg>
    <span
      class="pointer"
      :style="{ left: `${((x(travel) + 6) / (LENGTH + 20)) * 100}%` }"
      aria-hidden="true"
    />
    <span
      v-for="hold in holds"
      :key="hold.at"
      class="hold"
      :class="{ released: hold.released }"
      :style="{ left: `${((x(hold.at) + 6) / (LENGTH + 20)) * 100}%` }"
      aria-hidden="true"
    />
    <nav v-if="labelled" class="stages label" aria-label="Stages" @keydown="withArrows">
      <button
        v-for="each in STAGES"
        :key="each"
        type="button"
        :aria-current="each === stage ? 'step' : undefined"
        :tabindex="each === stage ? 0 : -1"
        @click="$emit('stage', each)"
      >
        {{ capital(each) }}
      </button>
    </nav>
  </div>
</template>

<style scoped>
.travel {
  position: relative;
}
svg {
  display: block;
  width: 100%;
  height: 34px;
}
.tick {
  stroke: var(--muted);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
.tick.long {
  stroke: var(--ink);
  stroke-width: 1.8;
}
.line {
  fill: none;
  stroke: var(--line);
  vector-effect: non-scaling-stroke;
}
.behind {
  fill: var(--lamp-deep);
}
.pointer {
  position: absolute;
  top: 0;
  width: 18px;
  height: 20px;
  margin-left: -9px;
  background: var(--lamp);
  clip-path: polygon(0 0, 100% 0, 100% 55%, 50% 100%, 0 55%);
  transition: left 0.4s ease;
}
.hold {
  position: absolute;
  top: 25px;
  width: 14px;
  height: 11px;
  margin-left: -7px;
  background: var(--ask);
  clip-path: polygon(50% 0, 100% 100%, 0 100%, 50% 0, 50% 28%, 16% 88%, 84% 88%, 50% 28%);
}
.hold.released {
  background: var(--fit);
  clip-path: polygon(50% 0, 100% 100%, 0 100%);
}
.stages {
  display: grid;
  grid-template-columns: repeat(10, 1fr);
}
.stages button {
  /* As high as a gloved finger: over the scale, and its words under it. */
  position: relative;
  min-height: var(--touch);
  margin-top: -22px;
  padding-top: 24px;
  font-size: 14px;
  color: var(--muted);
  background: none;
  border: 0;
  cursor: pointer;
  white-space: nowrap;
}
.stages button:hover {
  color: var(--ink);
}
.stages button[aria-current] {
  color: var(--ink);
  font-weight: 700;
}
@media (max-width: 700px) {
  .stages button {
    display: none;
  }
  .stages {
    display: block;
    text-align: center;
  }
  .stages button[aria-current] {
    display: inline-block;
    min-width: var(--touch);
  }
}
</style>
