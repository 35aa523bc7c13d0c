<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { capital, quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import PackingRingDrawing from '../../drawings/PackingRingDrawing.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';

/** Rings by count and cut length, drawn to scale; each joint clocked as its ring goes in. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'packing'> }>();
const job = useJob();
const { show, read } = usePreferences();
const fitted = ref(0);
const joints = computed(() =>
  Array.from({ length: props.task.rings }, (_, i) => (i * props.task.stagger) % 360),
);
const clock = (degrees: number) => `${degrees === 0 ? 12 : degrees / 30} o'clock`;
const ringIn = () => (fitted.value = Math.min(props.task.rings, fitted.value + 1));
const keep = () =>
  job.act({
    kind: 'fit-packing',
    body: {
      step: props.step.id,
      joints: joints.value.slice(0, fitted.value).map((degrees) => quantity('angle', degrees, '°')),
    },
  });
useKeys([
  { key: ' ', label: 'Ring in', run: ringIn, when: () => fitted.value < props.task.rings },
  { key: 'enter', label: 'Packing done', run: keep, when: () => fitted.value === props.task.rings },
]);
</script>

<template>
  <div class="packing">
    <ul class="figures number">
      <li>
        <b>{{ task.rings }}</b> rings<template v-if="task.below !== undefined"
          >, <b>{{ task.below }}</b> of them below the lantern ring</template
        >
      </li>
      <li>
        section <b>{{ show(task.section) }}</b>
      </li>
      <li>
        <template v-if="task.opened === 'whole'">whole rings, cut to no length</template>
        <template v-else
          >each <b>{{ read(task.length, 'rule') }}</b> long, {{ task.opened }}</template
        >
      </li>
      <li v-if="task.opened !== 'whole'">
        joints staggered <b>{{ task.stagger }}°</b>
      </li>
      <li v-if="task.found !== undefined">
        <b>{{ task.found }}</b> came out<template v-if="task.found !== task.rings"
          >: ask why before the box is closed</template
        >
      </li>
    </ul>
    <p v-if="task.lies" class="lies">{{ capital(task.lies) }}.</p>
    <PackingRingDrawing
      :stem="task.stem"
      :bore="task.bore"
      :section="task.section"
      :length="task.length"
      :opened="task.opened"
      :rings="task.rings"
      :stagger="task.stagger"
      :fitted="fitted"
    />
    <p class="label next" aria-live="polite">
      <template v-if="fitted < task.rings"
        >Ring {{ fitted + 1 }}:<template v-if="task.opened !== 'whole'">
          joint at {{ clock(joints[fitted] ?? 0) }},</template
        >
        pressed right home.</template
      >
      <template v-else>All {{ task.rings }} rings are in. Never one more.</template>
    </p>
    <StepBar>
      <BenchButton v-if="fitted < task.rings" lamp hint=" " @press="ringIn"
        >Ring {{ fitted + 1 }} in</BenchButton
      >
      <BenchButton v-else lamp hint="enter" @press="keep">Packing done</BenchButton>
      <BenchButton v-if="fitted > 0" @press="fitted -= 1">Take one back</BenchButton>
    </StepBar>
    <WorkingPaper :steps="task.shown.steps" :notes="task.shown.notes" :source="task.shown.source" />
  </div>
</template>

<style scoped>
.packing {
  display: grid;
  gap: 12px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  font-size: 18px;
}
.figures b {
  color: var(--blue);
  font-size: 22px;
}
.next {
  font-size: 18px;
  font-weight: 600;
}
</style>
