<script setup lang="ts">
import { valueIn } from '@dusk-wren/core/quantity';
import { testPressures } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import { usePreferences } from '../../stores/preferences';
import ScaleBar from './ScaleBar.vue';

/** The tests of one valve on one scale of pressure. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const { show, units } = usePreferences();
const marks = computed(() => {
  const read = testPressures.input.safeParse(props.raw);
  const worked = read.success ? testPressures.work(read.data) : undefined;
  if (!worked?.ok) return [];
  const { shell, closureHigh, closureLow, backseat } = worked.value.result;
  const alike = valueIn(backseat, 'psig') === valueIn(closureHigh, 'psig');
  return [
    { name: `shell ${show(shell)}`, of: shell, colour: '--lamp' },
    { name: `seat${alike ? ' and backseat' : ''} ${show(closureHigh)}`, of: closureHigh, colour: '--blue' },
    ...(alike ? [] : [{ name: `backseat ${show(backseat)}`, of: backseat, colour: '--muted' }]),
    { name: `seat with gas ${show(closureLow)}`, of: closureLow, colour: '--fit' },
  ].map(({ of, ...mark }) => ({ ...mark, at: valueIn(of, units === 'US' ? 'psig' : 'bar g') }));
});
</script>

<template>
  <ScaleBar v-if="marks.length > 0" name="Test pressures" :marks="marks" from-zero />
</template>
