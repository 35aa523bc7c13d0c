<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { PartRole } from '@dusk-wren/core/valve';
import { useMediaQuery } from '@vueuse/core';
import { nextTick, ref, useTemplateRef } from 'vue';
import SectionDrawing from '../drawings/SectionDrawing.vue';
import BenchButton from '../parts/BenchButton.vue';
import FullSheet from '../parts/FullSheet.vue';
import { useJob } from '../stores/job';
import TrayPanel from './TrayPanel.vue';

/** The drawing over the whole screen, at the parts of the step; on a phone the tray too, for both lie far below there. */
const props = defineProps<{ step: PlannedStep }>();
const job = useJob();
const drawing = useTemplateRef<InstanceType<typeof FullSheet>>('drawing');
const tray = useTemplateRef<InstanceType<typeof FullSheet>>('tray');
const narrow = useMediaQuery('(max-width: 860px)');
const picked = ref<PartRole>();
/** How many times as large as the screen. */
const CLOSER = [1, 1.8, 3];
const scale = ref(1);
const field = useTemplateRef<HTMLElement>('field');
/** The parts in hand, or the one picked, in the middle of the screen. */
async function toParts(): Promise<void> {
  await nextTick();
  const mark = field.value?.querySelector('.balloon.picked, .balloon.lit');
  mark?.scrollIntoView({ block: 'center', inline: 'center' });
}
async function show(): Promise<void> {
  picked.value = undefined;
  await drawing.value?.show();
  await toParts();
}
function closer(): void {
  scale.value = CLOSER[(CLOSER.indexOf(scale.value) + 1) % CLOSER.length] ?? 1;
  void toParts();
}
async function draw(part: PartRole): Promise<void> {
  tray.value?.close();
  await show();
  picked.value = part;
  await toParts();
}
</script>

<template>
  <span class="show-me">
    <button v-if="step.parts.length > 0" type="button" class="label" @click="show">Show me</button>
    <button v-if="narrow && job.onTray.size > 0" type="button" class="label" @click="tray?.show()">
      See the tray
    </button>
    <FullSheet ref="drawing" :name="step.title">
      <template #act
        ><BenchButton @press="closer">{{ scale === 3 ? 'All of it' : 'Closer' }}</BenchButton></template
      >
      <div ref="field" class="field" :style="{ '--scale': scale }">
        <SectionDrawing
          v-if="job.planned"
          :valve="job.planned.valve"
          :calls="job.planned.calls"
          :in-hand="props.step.parts"
          :picked="picked"
          :on-tray="job.onTray"
          @pick="picked = $event"
        />
      </div>
    </FullSheet>
    <FullSheet ref="tray" name="The tray"><TrayPanel @pick="draw" /></FullSheet>
  </span>
</template>

<style scoped>
.show-me {
  display: inline-flex;
  gap: 8px;
  flex: none;
}
.show-me > button {
  min-height: var(--touch);
  padding: 0 14px;
  font-size: 16px;
  font-weight: 600;
  color: var(--blue);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.field {
  overflow: auto;
  display: grid;
  min-height: 0;
}
.field > * {
  width: calc(100% * var(--scale));
  height: calc(100% * var(--scale));
  min-height: 320px;
}
</style>
