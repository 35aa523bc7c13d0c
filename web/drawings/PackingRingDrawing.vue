<script setup lang="ts">
import { valueIn, type Length } from '@dusk-wren/core/quantity';
import { computed } from 'vue';

/** A ring in plan with the joint of every ring that is cut on it, and one cut length beside an inch scale, all to one scale. */
const props = defineProps<{
  stem: Length;
  bore: Length;
  section: Length;
  length: Length;
  opened: 'cut at 45°' | 'cut radially' | 'whole';
  rings: number;
  /** Degrees from joint to joint. */
  stagger: number;
  fitted: number;
}>();
const inch = (q: Length) => valueIn(q, 'in');
const scale = computed(() => 130 / inch(props.bore));
const inner = computed(() => (inch(props.stem) / 2) * scale.value);
const outer = computed(() => (inch(props.bore) / 2) * scale.value);
const cutScale = computed(() => Math.min(58, 380 / inch(props.length)));
const cut = computed(() => inch(props.length) * cutScale.value);
const thick = computed(() => Math.max(6, inch(props.section) * cutScale.value));
/** How far a cut leans: a skive by its own section, a radial cut not at all. */
const skew = computed(() => (props.opened === 'cut at 45°' ? thick.value : 0));
const ticks = computed(() => Array.from({ length: Math.floor(inch(props.length)) + 1 }, (_, i) => i));
const joint = (i: number) => {
  const angle = (((i * props.stagger) % 360) - 90) * (Math.PI / 180);
  const lift = Math.floor((i * props.stagger) / 360) * 4;
  return {
    x1: 80 + inner.value * Math.cos(angle),
    y1: 80 + inner.value * Math.sin(angle),
    x2: 80 + (outer.value + 2 + lift) * Math.cos(angle),
    y2: 80 + (outer.value + 2 + lift) * Math.sin(angle),
    tx: 80 + (outer.value + 12) * Math.cos(angle),
    ty: 84 + (outer.value + 12) * Math.sin(angle),
  };
};
</script>

<template>
  <svg class="drawing" viewBox="0 0 600 160" role="img" :aria-label="`${rings} rings, ${fitted} in`">
    <defs>
      <pattern id="weave" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7M0 0H7" class="weave" />
      </pattern>
    </defs>
    <circle cx="80" cy="80" :r="outer" fill="url(#weave)" class="edge" />
    <circle cx="80" cy="80" :r="inner" class="stem" />
    <g
      v-for="i in opened === 'whole' ? 0 : rings"
      :key="i"
      :class="{ in: i <= fitted, next: i === fitted + 1 }"
      class="joint"
    >
      <path :d="`M${joint(i - 1).x1} ${joint(i - 1).y1}L${joint(i - 1).x2} ${joint(i - 1).y2}`" />
      <text v-if="i * stagger <= 360" :x="joint(i - 1).tx" :y="joint(i - 1).ty">{{ i }}</text>
    </g>
    <g v-if="opened !== 'whole'" transform="translate(190 60)">
      <path :d="`M0 ${thick}L${skew} 0H${cut}L${cut - skew} ${thick}Z`" fill="url(#weave)" class="edge" />
      <path v-for="tick in ticks" :key="tick" :d="`M${tick * cutScale} ${thick + 10}v8`" class="edge" />
      <path :d="`M0 ${thick + 14}H${cut}`" class="edge" />
      <text v-for="tick in ticks" :key="`t${tick}`" :x="tick * cutScale" :y="thick + 33">
        {{ tick }}{{ tick === ticks.length - 1 ? ' in' : '' }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.drawing {
  width: 100%;
  max-width: 600px;
}
.weave {
  stroke: var(--muted);
}
.edge {
  stroke: var(--ink);
  stroke-width: 1.4;
}
path.edge:not([fill]) {
  fill: none;
}
.stem {
  fill: var(--lit);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.joint path {
  stroke: var(--line);
  stroke-width: 3;
}
.joint.in path {
  stroke: var(--fit);
}
.joint.next path {
  stroke: var(--lamp);
  stroke-width: 4;
}
text {
  font-family: var(--label);
  font-size: 14px;
  fill: var(--muted);
  text-anchor: middle;
}
</style>
