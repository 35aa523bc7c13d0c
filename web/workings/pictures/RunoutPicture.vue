<script setup lang="ts">
import { valueIn } from '@dusk-wren/core/quantity';
import { stemRunout } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import RunoutPlot from '../../charts/RunoutPlot.vue';

/** The readings round the stem, the bow through them and its high spot. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const USUAL_LIMIT_THOU = 5;
const plot = computed(() => {
  const read = stemRunout.input.safeParse(props.raw);
  const worked = read.success ? stemRunout.work(read.data) : undefined;
  const readings = read.data?.readings;
  if (!read.success || !worked?.ok || !readings) return undefined;
  const { bow, bowAngle } = worked.value.result;
  return {
    readings: readings.map((each) => valueIn(each, 'thou')),
    limit: read.data.limit ? valueIn(read.data.limit, 'thou') : USUAL_LIMIT_THOU,
    bow: valueIn(bow, 'thou'),
    bowDegrees: bowAngle ? valueIn(bowAngle, '°') : 0,
  };
});
</script>

<template>
  <RunoutPlot v-if="plot" v-bind="plot" />
</template>
