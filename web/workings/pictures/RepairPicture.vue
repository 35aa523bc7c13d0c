<script setup lang="ts">
import { formatNumber, valueIn } from '@dusk-wren/core/quantity';
import { repairOrRenew } from '@dusk-wren/core/workings';
import { computed } from 'vue';

/** Both ways as bars of what they are made of: work, part or consumables, days late. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const WIDTH = 420;
const bars = computed(() => {
  const read = repairOrRenew.input.safeParse(props.raw);
  if (!read.success) return [];
  const { hours, rate, consumables, waitDays, price, leadDays, spareDays, delayCost, fittingHours } =
    read.data;
  const late = (days: typeof waitDays) =>
    Math.max(0, valueIn(days, 'd') - valueIn(spareDays, 'd')) * delayCost;
  const ways = [
    {
      name: 'Repair',
      pieces: [
        ['work', valueIn(hours, 'h') * rate],
        ['consumables', consumables],
        ['days late', late(waitDays)],
      ],
    },
    {
      name: 'Renew',
      pieces: [
        ['fitting', valueIn(fittingHours, 'h') * rate],
        ['the part', price],
        ['days late', late(leadDays)],
      ],
    },
  ] as const;
  const total = (pieces: readonly (readonly [string, number])[]) =>
    pieces.reduce((sum, [, cost]) => sum + cost, 0);
  const most = Math.max(...ways.map(({ pieces }) => total(pieces)), 1);
  return ways.map(({ name, pieces }, i) => {
    let x = 0;
    return {
      name: `${name} ${formatNumber(total(pieces), 0)}`,
      y: 24 + i * 92,
      pieces: pieces
        .filter(([, cost]) => cost > 0)
        .map(([words, cost], n) => {
          const from = x;
          x += (cost / most) * WIDTH;
          return { words: `${words} ${formatNumber(cost, 0)}`, x: from, width: x - from, n };
        }),
    };
  });
});
const FILLS = ['--blue', '--lamp', '--renew'];
</script>

<template>
  <svg v-if="bars.length > 0" viewBox="-4 0 430 190" class="bars" role="img" aria-label="What each way costs">
    <g v-for="bar in bars" :key="bar.name">
      <text x="0" :y="bar.y - 8" class="name">{{ bar.name }}</text>
      <rect
        v-for="piece in bar.pieces"
        :key="piece.words"
        :x="piece.x"
        :y="bar.y"
        :width="piece.width"
        height="26"
        :style="{ fill: `color-mix(in srgb, var(${FILLS[piece.n] ?? '--muted'}) 55%, transparent)` }"
      />
      <text x="0" :y="bar.y + 46">{{ bar.pieces.map(({ words }) => words).join(' · ') }}</text>
    </g>
  </svg>
</template>

<style scoped>
.bars {
  width: 100%;
  max-width: 480px;
  font-family: var(--label);
}
rect {
  stroke: var(--ground);
}
text {
  font-size: 16px;
  fill: var(--muted);
}
.name {
  font-weight: 600;
  fill: var(--ink);
}
</style>
