<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { capital, type Quantity } from '@dusk-wren/core/quantity';
import { computed, reactive, ref } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import SheetFigure from '../../parts/SheetFigure.vue';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';

/** The maker's figures of a model, each with its page: typed once, used for every valve of it. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'makers-sheet'> }>();
const job = useJob();
const [model, revision] = [ref(props.task.model ?? ''), ref('')];
const [jointTorque, glandTorque] = [ref<Quantity<'torque'>>(), ref<Quantity<'torque'>>()];
const stemTir = ref<Quantity<'length'>>();
const pages = ref({ jointTorque: '', glandTorque: '', stemTir: '' });
/** Torques of other places, each with its page. */
const others = reactive(
  props.task.places.map((place) => ({ place, value: undefined as Quantity<'torque'> | undefined, page: '' })),
);
/** Lengths of new parts, each with its page. */
const newLengths = reactive(
  props.task.lengths.map((what) => ({ what, value: undefined as Quantity<'length'> | undefined, page: '' })),
);
const figures = computed(() => {
  const { value: at } = pages;
  const torques = Object.fromEntries(
    others.flatMap(({ place, value, page }) => (value ? [[place, { value, page }] as const] : [])),
  );
  const lengths = Object.fromEntries(
    newLengths.flatMap(({ what, value, page }) => (value ? [[what, { value, page }] as const] : [])),
  );
  return {
    ...(jointTorque.value ? { jointTorque: { value: jointTorque.value, page: at.jointTorque } } : {}),
    ...(glandTorque.value ? { glandTorque: { value: glandTorque.value, page: at.glandTorque } } : {}),
    ...(stemTir.value ? { stemTir: { value: stemTir.value, page: at.stemTir } } : {}),
    ...(Object.keys(torques).length > 0 ? { torques } : {}),
    ...(Object.keys(lengths).length > 0 ? { lengths } : {}),
  };
});
const pagesOf = ({ torques = {}, lengths = {}, ...own }: typeof figures.value): string[] =>
  [...Object.values(own), ...Object.values(torques), ...Object.values(lengths)].map(({ page }) => page);
const complete = computed(
  () =>
    model.value.trim() !== '' &&
    revision.value.trim() !== '' &&
    Object.keys(figures.value).length > 0 &&
    pagesOf(figures.value).every((page) => page.trim() !== ''),
);
function keep(): void {
  if (!complete.value) return;
  const sheet = { model: model.value.trim(), revision: revision.value.trim(), figures: figures.value };
  job.act({ kind: 'file-makers-sheet', body: { sheet } });
}
const none = () => job.act({ kind: 'do-step', body: { step: props.step.id, notNeeded: true } });
useKeys([{ key: 'x', label: 'No sheet at hand', run: none }]);
</script>

<template>
  <StepForm class="makers" @send="keep">
    <p class="muted">What the sheet gives; what it does not give stays empty.</p>
    <div class="row">
      <v-text-field
        v-model="model"
        label="Model"
        autocomplete="off"
        maxlength="60"
        :readonly="task.model !== undefined"
      />
      <v-text-field v-model="revision" label="Revision" autocomplete="off" maxlength="20" />
    </div>
    <SheetFigure
      v-if="task.joint"
      v-model:value="jointTorque"
      v-model:page="pages.jointTorque"
      label="Torque of the joint"
      dimension="torque"
      example="90 ft-lb"
      of="joint"
    />
    <SheetFigure
      v-if="task.gland"
      v-model:value="glandTorque"
      v-model:page="pages.glandTorque"
      label="Torque of the gland"
      dimension="torque"
      example="15 ft-lb"
      of="gland"
    />
    <SheetFigure
      v-for="each in others"
      :key="each.place"
      v-model:value="each.value"
      v-model:page="each.page"
      :label="`Torque of the ${each.place}`"
      dimension="torque"
      example="40 ft-lb"
      :of="each.place"
    />
    <SheetFigure
      v-for="each in newLengths"
      :key="each.what"
      v-model:value="each.value"
      v-model:page="each.page"
      :label="`${capital(each.what)}, new`"
      dimension="length"
      example="5 thou"
      :of="each.what.replace(/^.* of the /, '')"
    />
    <SheetFigure
      v-model:value="stemTir"
      v-model:page="pages.stemTir"
      label="Limit of stem runout"
      dimension="length"
      example="3 thou"
      of="runout"
    />
    <StepBar>
      <BenchButton
        lamp
        :disabled="!complete"
        lacking="model, revision, and a page for each figure"
        @press="keep"
        >File this sheet</BenchButton
      >
      <BenchButton hint="x" @press="none">No sheet at hand</BenchButton>
    </StepBar>
  </StepForm>
</template>

<style scoped>
.makers {
  display: grid;
  gap: 8px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(110px, 1fr);
  gap: 10px;
}
</style>
