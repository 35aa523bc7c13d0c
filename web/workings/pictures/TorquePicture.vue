<script setup lang="ts">
import { valueIn } from '@dusk-wren/core/quantity';
import { boltingTorque } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import { usePreferences } from '../../stores/preferences';
import ScaleBar from './ScaleBar.vue';

/** What one torque gives: the preload that is meant, and the band in which it comes out. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const { show, units } = usePreferences();
const drawn = computed(() => {
  const read = boltingTorque.input.safeParse(props.raw);
  const worked = read.success ? boltingTorque.work(read.data) : undefined;
  if (!worked?.ok) return undefined;
  const unit = units === 'US' ? 'lbf' : 'N';
  const { preload, preloadLow, preloadHigh, torque } = worked.value.result;
  const mark = (name: string, of: typeof preload, colour: string) => ({
    name: `${name} ${show(of)}`,
    at: valueIn(of, unit),
    colour,
  });
  return {
    name: `Preload at ${show(torque)}`,
    marks: [
      mark('least', preloadLow, '--muted'),
      mark('meant', preload, '--lamp'),
      mark('most', preloadHigh, '--muted'),
    ],
    band: [valueIn(preloadLow, unit), valueIn(preloadHigh, unit)] as const,
  };
});
</script>

<template>
  <ScaleBar v-if="drawn" :name="drawn.name" :marks="drawn.marks" :band="drawn.band" from-zero />
</template>
