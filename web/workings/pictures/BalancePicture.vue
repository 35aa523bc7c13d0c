<script setup lang="ts">
import { fromSi, si, valueIn } from '@dusk-wren/core/quantity';
import { actuatorBalance } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';
import { usePreferences } from '../../stores/preferences';

/** Spring, air and what resists, along the travel. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const preferences = usePreferences();
const unit = computed(() => (preferences.units === 'US' ? 'lbf' : 'N'));
const series = computed((): XySeries[] => {
  const read = actuatorBalance.input.safeParse(props.raw);
  if (!read.success) return [];
  const given = read.data;
  const area = si(given.area);
  const force = (newtons: number) => valueIn(fromSi('force', newtons, 'N'), unit.value);
  const along = (share: number, newtons: number): [number, number] => [share * 100, force(newtons)];
  const spring = [0, 1].map((share) =>
    along(share, area * (si(given.benchLow) + share * (si(given.benchHigh) - si(given.benchLow)))),
  );
  const friction = si(given.packingFriction);
  const unbalance = si(given.difference) * si(given.unbalanceArea) * (given.flow === 'under' ? 1 : -1);
  const level = (name: string, newtons: number, colour: string): XySeries => ({
    name,
    points: [along(0, newtons), along(1, newtons)],
    colour,
    dashed: true,
  });
  const supply = given.supply;
  return [
    { name: 'spring', points: spring, colour: '--blue', dots: true },
    ...(supply ? [level('air at full supply', area * si(supply), '--lamp')] : []),
    level('friction and unbalance', friction + unbalance, '--renew'),
  ];
});
</script>

<template>
  <XyChart
    v-if="series.length > 0"
    :series="series"
    x="travel, %"
    :y="`force, ${unit}`"
    label="Forces along the travel"
  />
</template>
