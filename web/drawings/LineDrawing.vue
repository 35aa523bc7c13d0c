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
    vented: 200 + X[at] * 45,
    x: 200 + X[at] * 76,
    outer: 200 + X[at] * 134,
    end: 200 + X[at] * 190,
    ...props.line[at],
  })),
);
const fed = computed(() => props.line.air || props.line.power || props.line.signal !== 'none');
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
  <svg class="line" viewBox="0 4 400 230" role="img" :aria-label="words">
    <g class="pipe">
      <path d="M10 150 H390" />
      <path v-if="line.bypass" d="M30 150 V202 H370 V150" />
    </g>
    <g v-if="line.bypass" :class="is('bypass')">
      <rect x="188" y="193" width="24" height="18" class="block" />
      <text x="200" y="228">bypass</text>
    </g>
    <g v-for="side in sides" :key="side.at" :class="{ fails: fails === side.at }">
      <path v-if="fails === side.at" :d="`M${200 + X[side.at] * 26} 150 H${side.end}`" class="fed" />
      <g v-for="each in blocks(side)" :key="each.id" :class="is(each.id)">
        <rect :x="each.x - 11" y="136" width="22" height="28" class="block" />
        <path v-if="is(each.id) === 'done'" :d="`M${each.x} 136 v28`" class="shut" />
        <text :x="each.x" y="184">{{ side.at === 'upstream' ? 'up' : 'down' }}</text>
      </g>
      <g v-if="side.shutBy === 'line shut down'" :class="is(`shut-down.${side.at}`)">
        <path :d="`M${side.outer - 9} 141 l18 18 m0 -18 l-18 18`" class="shut" />
        <text :x="side.outer" y="184">shut down</text>
      </g>
      <text v-if="side.shutBy === 'open end'" :x="side.outer" y="134">open end</text>
      <g v-if="side.shutBy === 'double block and bleed'" :class="is(`bleed.${side.at}`)">
        <path :d="`M${(side.x + side.outer) / 2} 150 v-28`" class="pipe" />
        <circle :cx="(side.x + side.outer) / 2" cy="116" r="6" class="block" />
        <text :x="(side.x + side.outer) / 2" y="103">bleed</text>
      </g>
      <g v-if="side.vent" :class="is(`vent.${side.at}`)">
        <path :d="`M${side.vented} 150 v-28`" class="pipe" />
        <circle :cx="side.vented" cy="116" r="7" class="block" />
        <text :x="side.vented" y="103">vent</text>
      </g>
    </g>
    <g class="valve">
      <path d="M174 132 L226 168 V132 L174 168 Z" />
      <path :d="line.air ? 'M200 150 V104 M184 104 a16 12 0 0 1 32 0 Z' : 'M200 150 V104 M186 104 h28'" />
      <text x="200" :y="fed ? 20 : 84" class="tag">{{ tag }}</text>
    </g>
    <g v-if="line.bodyVent" :class="is('body-bleed')">
      <path d="M200 168 v10" class="pipe" />
      <circle cx="200" cy="182" r="5" class="block" />
    </g>
    <g v-if="line.air" :class="is('air')">
      <path d="M216 100 C236 74 254 60 278 60" class="feed" />
      <text x="284" y="65" class="fed-by">supply air</text>
    </g>
    <g v-if="line.signal !== 'none'" :class="is('signal')">
      <path d="M184 100 C164 74 150 60 132 60" class="feed" />
      <text x="12" y="65" class="fed-by">{{ line.signal }} signal</text>
    </g>
    <g v-if="line.power" :class="is('power')">
      <path d="M212 94 C228 54 250 36 278 36" class="feed" />
      <text x="284" y="41" class="fed-by">power</text>
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
  font-size: 16px;
  fill: var(--muted);
}
.tag {
  font-weight: 700;
  font-size: 17px;
  fill: var(--ink);
}
.fed-by {
  text-anchor: start;
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
