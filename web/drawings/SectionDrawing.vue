<script setup lang="ts">
import type { StandingCall } from '@dusk-wren/core/calls';
import { partsOf, type PartRole, type Valve } from '@dusk-wren/core/valve';
import { computed, useId } from 'vue';
import { apart } from './sections/apart';
import { sectionOf } from './sections/compose';
import { labelled, type Label } from './sections/labels';
import type { Point } from './sections/section';

/** The valve in section, numbered to its parts list, hatched by call; a part can be picked by mouse, touch or key. */
const props = withDefaults(
  defineProps<{
    valve: Valve;
    calls: ReadonlyMap<PartRole, StandingCall>;
    inHand: readonly PartRole[];
    picked?: PartRole | undefined;
    /** Parts in the order they come off, and how many of them are drawn off. */
    order?: readonly PartRole[];
    off?: number;
    /** Parts that a photograph is pinned to. */
    photographed?: ReadonlySet<PartRole>;
    /** Parts that are off the valve: drawn faint, where the drawing is not drawn apart. */
    onTray?: ReadonlySet<PartRole>;
  }>(),
  { picked: undefined, order: () => [], off: 0 },
);
defineEmits<{ pick: [part: PartRole] }>();

const section = computed(() => sectionOf(props.valve));
const parts = computed(() => partsOf(props.valve));
const away = computed(() => apart(section.value, props.order, props.off));
const verdict = (role: PartRole) => props.calls.get(role)?.verdict ?? 'not-yet';
const shift = (role: PartRole) => {
  const [x, y] = away.value.offsets.get(role) ?? [0, 0];
  return { transform: `translate(${x}px, ${y}px)` };
};
/** Columns of numbers stand this far outside the drawing. */
const OUTSIDE = 8;

/** Every number with its leader, as its part stands now. */
const layout = computed(() => {
  const { width, height, anchors } = section.value;
  const { up, down, side } = away.value.room;
  return labelled(
    anchors.map(({ role, places: [one, ...others] }) => {
      const [dx, dy] = away.value.offsets.get(role) ?? [0, 0];
      const moved = ([x, y]: Point): Point => [x + dx, y + dy];
      return { role, places: [moved(one), ...others.map(moved)] };
    }),
    { left: -OUTSIDE - side, right: width + OUTSIDE + side, top: 18 - up, bottom: height - 18 + down },
  );
});
const balloons = computed(() =>
  layout.value.labels.map((label) => {
    const part = parts.value.find(({ role }) => role === label.role);
    return { ...label, number: part?.number ?? 0, name: part?.name ?? label.role };
  }),
);

const viewBox = computed(() => {
  const { side } = away.value.room;
  const { top, bottom, radius } = layout.value;
  const edge = OUTSIDE + radius + 2;
  const from = Math.min(0, top - radius - 2);
  const to = Math.max(section.value.height, bottom + radius + 2);
  return `${-edge - side} ${from} ${section.value.width + 2 * (edge + side)} ${to - from}`;
});

/** With many parts on it, those in hand and what stands next to them come forward. */
const MANY = 24;
const NEAR = 70;
const isBehind = (label: Label): boolean => {
  const inHand = layout.value.labels.filter(({ role }) => props.inHand.includes(role));
  if (layout.value.labels.length < MANY || inHand.length === 0 || props.picked === label.role) return false;
  return inHand.every(({ at }) => Math.hypot(at[0] - label.at[0], at[1] - label.at[1]) > NEAR);
};
const isGone = (role: PartRole) =>
  props.off === 0 &&
  props.onTray?.has(role) === true &&
  !props.inHand.includes(role) &&
  props.picked !== role;
const own = useId();
const fill = (role: PartRole, kind: string) =>
  kind === 'outline' ? 'none' : kind === 'solid' ? undefined : `url(#${own}-${kind}-${verdict(role)})`;
const HATCHES = ['not-yet', 'fit', 'rework', 'renew', 'ask', 'condemn'];
</script>

<template>
  <svg class="section" :viewBox="viewBox" role="group" aria-label="Section of the valve">
    <defs>
      <template v-for="name in HATCHES" :key="name">
        <pattern
          :id="`${own}-hatch-${name}`"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V8" :class="name" class="hatch" />
        </pattern>
        <pattern
          :id="`${own}-hatch-back-${name}`"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M0 0V8" :class="name" class="hatch" />
        </pattern>
        <pattern
          :id="`${own}-cross-${name}`"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V6M0 0H6" :class="name" class="hatch" />
        </pattern>
      </template>
    </defs>
    <path :d="section.flow" class="flow" />
    <g
      v-for="(shape, i) in section.shapes"
      :key="i"
      class="part"
      :class="[
        verdict(shape.role),
        shape.fill,
        { lit: inHand.includes(shape.role), picked: picked === shape.role, gone: isGone(shape.role) },
      ]"
      :style="shift(shape.role)"
      @click="$emit('pick', shape.role)"
    >
      <path v-if="shape.fill !== 'outline'" :d="shape.d" class="ground" />
      <path :d="shape.d" :fill="fill(shape.role, shape.fill)" class="cut" />
    </g>
    <path :d="section.thin" class="thread" :class="{ hidden: off > 0 }" />
    <path :d="section.centreLines" class="centre" />
    <g
      v-for="balloon in balloons"
      :key="balloon.role"
      class="balloon"
      :class="[
        verdict(balloon.role),
        {
          lit: inHand.includes(balloon.role),
          picked: picked === balloon.role,
          behind: isBehind(balloon),
          gone: isGone(balloon.role),
        },
      ]"
      role="button"
      tabindex="0"
      :aria-label="`${balloon.number}, ${balloon.name}: ${verdict(balloon.role).replace('-', ' ')}${photographed?.has(balloon.role) ? ', photographed' : ''}`"
      :aria-pressed="picked === balloon.role"
      @click="$emit('pick', balloon.role)"
      @keydown.enter.space.prevent="$emit('pick', balloon.role)"
    >
      <path :d="`M${balloon.x} ${balloon.y}L${balloon.at[0]} ${balloon.at[1]}`" class="leader" />
      <circle :cx="balloon.at[0]" :cy="balloon.at[1]" r="2.6" class="dot" />
      <circle :cx="balloon.x" :cy="balloon.y" :r="layout.radius + 4" class="touch" />
      <circle :cx="balloon.x" :cy="balloon.y" :r="layout.radius" class="disc" />
      <text
        :x="balloon.x"
        :y="balloon.y + layout.radius * 0.5"
        :style="{ fontSize: `${layout.radius * 1.42}px` }"
      >
        {{ balloon.number }}
      </text>
      <path
        v-if="photographed?.has(balloon.role)"
        class="pin"
        :d="`M${balloon.x + layout.radius * 0.55} ${balloon.y - layout.radius * 1.25} h9 v7 h-9 Z`"
      />
    </g>
  </svg>
</template>

<style scoped src="./section-drawing.css"></style>
