<script setup lang="ts">
import type { SetupInstrument } from '@dusk-wren/contract';
import { useFileDialog } from '@vueuse/core';
import BenchButton from '../parts/BenchButton.vue';

/** The certificate of a calibration as a file: to be opened where there is one, to be attached where not. */
defineProps<{ instrument: string; calibration: SetupInstrument['calibrations'][number] }>();
const emit = defineEmits<{ attached: [file: File] }>();
const { open: choose, onChange } = useFileDialog({ accept: '.pdf,image/*', multiple: false, reset: true });
onChange((files) => {
  if (files?.[0]) emit('attached', files[0]);
});
</script>

<template>
  <a
    v-if="calibration.file"
    class="way"
    :href="`/api/setup/instruments/${instrument}/calibrations/${calibration.id}/certificate`"
    download
    >{{ calibration.file }}</a
  >
  <BenchButton v-else @press="choose()">Attach its certificate</BenchButton>
</template>
