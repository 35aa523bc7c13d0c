<script setup lang="ts">
import type { OutageValve } from '@dusk-wren/contract/outages';
import type { PlacingView } from '@dusk-wren/contract/week';
import { sayKind } from '@dusk-wren/contract/planned';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { computed } from 'vue';
import ContactRing from '../../parts/ContactRing.vue';
import { sayDay, sayMinutes } from '../../parts/dates';
import { ringOf } from '../../parts/found-ring';
import { at, type Axis } from '../axis';

/** A valve of an outage: its place by risk and why it has it, what it waits for, and where its work lies in the window. */
const props = defineProps<{
  rank: number;
  valve: OutageValve;
  /** Of its work, as it is planned. */
  minutes: number | undefined;
  pieces: readonly PlacingView[];
  axis: Axis;
  /** Why it is not in the window, or what is done instead. */
  why: string;
  isLeft: boolean;
}>();
const drawn = computed(() =>
  props.pieces
    .filter(({ person, place }) => person !== undefined || place !== undefined)
    .map(({ id, start, end }) => {
      const [left, right] = [at(props.axis, start), at(props.axis, end)];
      const kind = props.valve.operations.find((each) => each.id === id)?.kind ?? id;
      return {
        id,
        kind,
        style: { left: `${left * 100}%`, width: `${Math.max(0.004, right - left) * 100}%` },
      };
    }),
);
const waits = computed(() =>
  props.valve.operations.flatMap(({ kind, id, until }) =>
    kind === 'part' ? [`${id.replace('part: ', '')}${until ? ` ${sayDay(until)}` : ''}`] : [],
  ),
);
</script>

<template>
  <li class="row-flat outage-row">
    <b class="rank number" :aria-label="`${rank} by risk`">{{ rank }}</b>
    <div class="which">
      <router-link class="way" :to="`/valves/${valve.id}`"
        ><b>{{ valve.tag }}</b></router-link
      >
      <span class="label muted">{{ valve.location }} · {{ CONSTRUCTIONS[valve.construction].name }}</span>
    </div>
    <div class="because label">
      <span v-if="valve.found"
        ><ContactRing :verdict="ringOf(valve.found)" :size="16" /> found {{ valve.found }}</span
      >
      <span v-else class="muted">nobody has seen it inside</span>
      <span v-if="valve.due">due {{ sayDay(valve.due.at) }}</span>
      <span v-if="valve.spares.length > 0">spare {{ valve.spares.map(({ tag }) => tag).join(', ') }}</span>
    </div>
    <div class="work label">
      <span v-if="why" :class="{ left: isLeft }">{{ why }}</span>
      <span v-if="valve.open"
        >on a bench: <router-link class="way" :to="`/jobs/${valve.open}`">its job</router-link></span
      >
      <div v-if="drawn.length > 0" class="strip">
        <i
          v-for="segment in axis.segments"
          :key="segment.from"
          :style="{ left: `${segment.left * 100}%`, right: `${(1 - segment.right) * 100}%` }"
        />
        <ol :aria-label="`Work on ${valve.tag}`">
          <li v-for="piece in drawn" :key="piece.id" :title="sayKind(piece.kind)" :style="piece.style">
            <span class="visually-hidden">{{ sayKind(piece.kind) }}</span>
          </li>
        </ol>
      </div>
      <span class="muted">
        <template v-if="minutes !== undefined">{{ sayMinutes(minutes) }} of work</template>
        <template v-if="valve.kits.length > 0"> · kit {{ valve.kits.join(' or ') }}</template>
        <template v-if="waits.length > 0"> · ordered today: {{ waits.join(', ') }}</template>
      </span>
    </div>
    <div class="act"><slot /></div>
  </li>
</template>

<style scoped>
.outage-row {
  display: grid;
  grid-template-columns: 34px minmax(0, 1.5fr) minmax(0, 0.8fr) minmax(0, 1.8fr) auto;
  gap: 4px 16px;
  align-items: center;
  min-height: 60px;
  padding: 4px 12px;
}
.rank {
  font-size: 22px;
  color: var(--muted);
  text-align: right;
}
.which,
.because,
.work {
  display: grid;
  gap: 2px;
}
.because span {
  display: flex;
  gap: 6px;
  align-items: center;
}
.left {
  color: var(--renew);
}
.strip {
  position: relative;
  height: 16px;
  margin: 2px 0;
}
.strip ol {
  padding: 0;
  margin: 0;
  list-style: none;
}
.strip i {
  position: absolute;
  top: 0;
  bottom: 0;
  background: color-mix(in srgb, var(--ink) 9%, transparent);
}
.strip li {
  position: absolute;
  top: 2px;
  bottom: 2px;
  background: var(--blue);
  border-right: 1px solid var(--card);
}
@media (max-width: 900px) {
  .outage-row {
    grid-template-columns: 34px minmax(0, 1fr) auto;
  }
  .because,
  .work {
    grid-column: 2 / -1;
  }
  .act {
    grid-row: 1;
    grid-column: 3;
  }
}
</style>
