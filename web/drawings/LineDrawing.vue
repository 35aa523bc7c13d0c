<script setup lang="ts">
import type { Line, Side } from '@dusk-wren/core/isolation';
import { computed } from 'vue';

/** The valve in its line, drawn from the choices: what shuts each side, where it is vented, what else feeds it. */
const props = defineProps<{
  line: Line;
  tag: string;
  /** Points that are shut, opened or held by now; all at rest while nothing is known. */
  done?: ReadonlySet<string>;
  /** The side that did not come to zero. */
  fails?: Side | undefined;
}>();

const X = { upstream: -1, downstream: 1 } as const;
const sides = computed(() =>
  (['upstream', 'downstream'] as const).map((at) => ({
    at,
    x: 320 + X[at] * 110,
    outer: 320 + X[at] * 205,
    end: 320 + X[at] * 300,
    ...props.line[at],
  })),
);
const is = (point: string) => (props.done?.has(point) ? 'done' : 'open');
const words = computed(() =>
  [
    `${props.tag}: upstream ${props.line.upstream.shutBy}, downstream ${props.line.downstream.shutBy}`,
    props.line.bypass ? 'with a bypass' : '',
    props.line.air ? 'air on' : '',
  ]
    .filter(Boolean)
    .join(', '),
);
const blocks = (side: { at: Side; shutBy: string; x: number; outer: number }) =>
  side.shutBy === 'double block and bleed'
    ? [
        { id: `block-2.${side.at}`, x: side.x },
        { id: `block.${side.at}`, x: side.outer },
      ]
    : side.shutBy === 'block valve'
      ? [{ id: `block.${side.at}`, x: side.outer }]
      : [];
</script>

<template>
  <svg class="line" viewBox="0 0 640 190" role="img" :aria-label="words">
    <g class="pipe">
      <path d="M20 112 H620" />
      <path v-if="line.bypass" d="M62 112 V158 H578 V112" />
    </g>
    <g v-if="line.bypass" :class="is('bypass')">
      <rect x="308" y="149" width="24" height="18" class="block" />
      <text x="320" y="184">bypass</text>
    </g>
    <g v-for="side in sides" :key="side.at" :class="{ fails: fails === side.at }">
      <path v-if="fails === side.at" :d="`M${320 + X[side.at] * 26} 112 H${side.end}`" class="fed" />
      <g v-for="each in blocks(side)" :key="each.id" :class="is(each.id)">
        <rect :x="each.x - 11" y="98" width="22" height="28" class="block" />
        <path v-if="is(each.id) === 'done'" :d="`M${each.x} 98 v28`" class="shut" />
        <text :x="each.x" y="143">{{ side.at === 'upstream' ? 'up' : 'down' }}</text>
      </g>
      <g v-if="side.shutBy === 'line shut down'" :class="is(`shut-down.${side.at}`)">
        <path :d="`M${side.outer - 9} 103 l18 18 m0 -18 l-18 18`" class="shut" />
        <text :x="side.outer" y="143">shut down</text>
      </g>
      <text v-if="side.shutBy === 'open end'" :x="side.outer" y="100">open end</text>
      <g v-if="side.shutBy === 'double block and bleed'" :class="is(`bleed.${side.at}`)">
        <path :d="`M${(side.x + side.outer) / 2} 112 v-26`" class="pipe" />
        <circle :cx="(side.x + side.outer) / 2" cy="80" r="6" class="block" />
        <text :x="(side.x + side.outer) / 2" y="68">bleed</text>
      </g>
      <g v-if="side.vent" :class="is(`vent.${side.at}`)">
        <path :d="`M${320 + X[side.at] * 62} 112 v-34`" class="pipe" />
        <circle :cx="320 + X[side.at] * 62" cy="71" r="7" class="block" />
        <text :x="320 + X[side.at] * 62" y="58">vent</text>
      </g>
    </g>
    <g class="valve">
      <path d="M294 94 L346 130 V94 L294 130 Z" />
      <path :d="line.air ? 'M320 112 V66 M304 66 a16 12 0 0 1 32 0 Z' : 'M320 112 V66 M306 66 h28'" />
      <text x="320" y="46" class="tag">{{ tag }}</text>
    </g>
    <g v-if="line.bodyVent" :class="is('body-bleed')">
      <path d="M320 130 v12" class="pipe" />
      <circle cx="320" cy="146" r="5" class="block" />
    </g>
    <g v-if="line.air" :class="is('air')">
      <path d="M336 62 C380 40 420 34 462 34" class="feed" />
      <text x="498" y="38">supply air</text>
    </g>
    <g v-if="line.signal !== 'none'" :class="is('signal')">
      <path d="M304 62 C260 30 220 22 176 22" class="feed" />
      <text x="132" y="26">{{ line.signal }} signal</text>
    </g>
    <g v-if="line.power" :class="is('power')">
      <path d="M334 58 C380 20 420 14 462 14" class="feed" />
      <text x="488" y="18">power</text>
    </g>
  </svg>
</template>

<style scoped>
.line {
  width: 100%;
  max-height: 220px;
  font-family: var(--label);
}
text {
  text-anchor: middle;
  font-size: 14px;
  fill: var(--muted);
}
.tag {
  font-weight: 700;
  font-size: 16px;
  fill: var(--ink);
}
.pipe,
.pipe path {
  fill: none;
  stroke: var(--muted);
  stroke-width: 3;
}
.fed {
  fill: none;
  stroke: var(--condemn);
  stroke-width: 5;
}
.fails text {
  fill: var(--condemn);
  font-weight: 600;
}
.feed {
  fill: none;
  stroke: var(--muted);
  stroke-width: 1.6;
  stroke-dasharray: 5 4;
}
.block {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.shut {
  stroke: var(--lamp);
  stroke-width: 4;
  fill: none;
}
.done .block {
  stroke: var(--lamp);
  stroke-width: 3;
}
.done .feed {
  stroke: var(--lamp);
}
.done text {
  fill: var(--ink);
}
.valve path {
  fill: var(--card);
  stroke: var(--blue);
  stroke-width: 2.2;
}
</style>
