<script setup lang="ts">
import { fromSi, si, valueIn } from '@dusk-wren/core/quantity';
import { actuatorBalance } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';
import { usePreferences } from '../../stores/preferences';

/** What it takes to move it along its travel, against what the air gives: where the first lies above, it stops. */
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
  const friction = si(given.packingFriction);
  const airCloses = given.action === 'air to close';
  const unbalance = si(given.difference) * si(given.unbalanceArea);
  /** Pressure works at the seat alone: under the plug it lifts, over the plug it holds down. */
  const againstAir = airCloses === (given.flow === 'under') ? unbalance : 0;
  const OFF_THE_SEAT = 0.04;
  const springAt = (share: number) =>
    area * (si(given.benchLow) + share * (si(given.benchHigh) - si(given.benchLow)));
  /** Of the travel of the stem from where the air finds it: the seat lies at its start, or at its end where air shuts. */
  const atSeat = airCloses ? 1 : 0;
  const beside = airCloses ? 1 - OFF_THE_SEAT : OFF_THE_SEAT;
  const needed = [
    along(atSeat, springAt(atSeat) + friction + againstAir),
    along(beside, springAt(beside) + friction),
    along(1 - atSeat, springAt(1 - atSeat) + friction),
  ];
  const level = (name: string, newtons: number, colour: string): XySeries => ({
    name,
    points: [along(0, newtons), along(1, newtons)],
    colour,
    dashed: true,
  });
  const supply = given.supply;
  return [
    {
      name: 'spring',
      points: [0, 1].map((share) => along(share, springAt(share))),
      colour: '--blue',
      dots: true,
    },
    ...(supply ? [level('air at full supply', area * si(supply), '--lamp')] : []),
    { name: 'air it takes', points: needed, colour: '--renew' },
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
