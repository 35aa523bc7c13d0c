<script setup lang="ts">
import type { StandingCall } from '@dusk-wren/core/calls';
import { partsOf, type PartRole, type Valve } from '@dusk-wren/core/valve';
import { computed, useId } from 'vue';
import { apart } from './sections/apart';
import { sectionOf } from './sections/compose';

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
const viewBox = computed(() => {
  const { up, down, side } = away.value.room;
  const { width, height } = section.value;
  return `${-26 - side} ${-up} ${width + 52 + 2 * side} ${height + up + down}`;
});

const MOST_PITCH = 46;

/** Balloons in two columns, in the order of their parts down the drawing, so that few leaders cross. */
const balloons = computed(() =>
  (['left', 'right'] as const).flatMap((side) => {
    const { height } = section.value;
    const here = section.value.balloons.filter((balloon) => balloon.side === side);
    const pitch = Math.min(MOST_PITCH, (height - 32) / Math.max(1, here.length));
    const radius = Math.max(9, Math.min(14, pitch / 2 - 1));
    const places: number[] = [];
    for (const balloon of here)
      places.push(Math.max((places.at(-1) ?? -Infinity) + pitch, balloon.at[1] - 6, 20));
    let lowest = height - 16;
    for (let i = places.length - 1; i >= 0; i--) {
      places[i] = Math.min(places[i] ?? 0, lowest);
      lowest = (places[i] ?? 0) - pitch;
    }
    return here.map((balloon, i) => {
      const part = parts.value.find(({ role }) => role === balloon.role);
      return {
        ...balloon,
        x: side === 'left' ? -6 : section.value.width + 6,
        y: places[i] ?? 0,
        radius,
        touch: Math.max(radius, Math.min(22, pitch / 2)),
        number: part?.number ?? 0,
        name: part?.name ?? balloon.role,
      };
    });
  }),
);
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
        { lit: inHand.includes(shape.role), picked: picked === shape.role },
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
        { lit: inHand.includes(balloon.role), picked: picked === balloon.role },
      ]"
      role="button"
      tabindex="0"
      :aria-label="`${balloon.number}, ${balloon.name}: ${verdict(balloon.role).replace('-', ' ')}${photographed?.has(balloon.role) ? ', photographed' : ''}`"
      :aria-pressed="picked === balloon.role"
      :style="shift(balloon.role)"
      @click="$emit('pick', balloon.role)"
      @keydown.enter.space.prevent="$emit('pick', balloon.role)"
    >
      <path :d="`M${balloon.x} ${balloon.y}L${balloon.at[0]} ${balloon.at[1]}`" class="leader" />
      <circle :cx="balloon.at[0]" :cy="balloon.at[1]" r="2.6" class="dot" />
      <circle :cx="balloon.x" :cy="balloon.y" :r="balloon.touch" class="touch" />
      <circle :cx="balloon.x" :cy="balloon.y" :r="balloon.radius" class="disc" />
      <text
        :x="balloon.x"
        :y="balloon.y + balloon.radius * 0.36"
        :style="{ fontSize: `${balloon.radius + 1}px` }"
      >
        {{ balloon.number }}
      </text>
      <path
        v-if="photographed?.has(balloon.role)"
        class="pin"
        :d="`M${balloon.x + balloon.radius * 0.55} ${balloon.y - balloon.radius * 1.25} h9 v7 h-9 Z`"
      />
    </g>
  </svg>
</template>

<style scoped src="./section-drawing.css"></style>
