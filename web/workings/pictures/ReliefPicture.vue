<script setup lang="ts">
import { valueIn } from '@dusk-wren/core/quantity';
import { reliefSet } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import { usePreferences } from '../../stores/preferences';

/** Set pressure with its tolerance, the bench setting and where it shut again, on one scale of pressure. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const preferences = usePreferences();
const drawn = computed(() => {
  const read = reliefSet.input.safeParse(props.raw);
  const worked = read.success ? reliefSet.work(read.data) : undefined;
  if (!read.success || !worked?.ok) return undefined;
  const { low, high, coldSet } = worked.value.result;
  const marks = [
    { name: 'set', at: read.data.setPressure, kind: 'set' },
    { name: 'bench', at: coldSet, kind: 'cold' },
    ...(read.data.reseat ? [{ name: 'shut', at: read.data.reseat, kind: 'reseat' }] : []),
  ].map((mark) => ({ ...mark, psi: valueIn(mark.at, 'psig'), text: preferences.show(mark.at) }));
  const all = [...marks.map(({ psi }) => psi), valueIn(low, 'psig'), valueIn(high, 'psig')];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = Math.max(1, most - least) * 0.15;
  const x = (psi: number) => ((psi - least + room) / (most - least + 2 * room)) * 480;
  return {
    marks: marks.map((mark, i) => ({ ...mark, x: x(mark.psi), y: i % 2 })),
    from: x(valueIn(low, 'psig')),
    to: x(valueIn(high, 'psig')),
  };
});
</script>

<template>
  <svg v-if="drawn" class="scale" viewBox="-10 0 500 120" role="img" aria-label="Set pressure and tolerance">
    <path d="M0 60H480" class="line" />
    <rect :x="drawn.from" y="50" :width="drawn.to - drawn.from" height="20" class="band" />
    <g v-for="mark in drawn.marks" :key="mark.name" :class="mark.kind">
      <path :d="`M${mark.x} 42V78`" />
      <text :x="mark.x" :y="mark.y === 0 ? 32 : 100">{{ mark.name }} {{ mark.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.scale {
  width: 100%;
  max-width: 520px;
}
.line {
  stroke: var(--line);
  stroke-width: 2;
}
.band {
  fill: color-mix(in srgb, var(--fit) 35%, transparent);
  stroke: var(--fit);
}
.set path {
  stroke: var(--ink);
  stroke-width: 3;
}
.cold path {
  stroke: var(--lamp);
  stroke-width: 3;
}
.reseat path {
  stroke: var(--blue);
  stroke-width: 3;
}
text {
  font-family: var(--label);
  font-weight: 600;
  font-size: 15px;
  fill: var(--ink);
  text-anchor: middle;
}
</style>
