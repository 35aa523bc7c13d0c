<script setup lang="ts">
import type { WeekView } from '@dusk-wren/contract/week';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { at, minuteAt, type Axis } from './axis';
import { useDragging } from './dragging';
import type { Piece, Rail } from './rails';
import RailPiece from './RailPiece.vue';
import { stretchesWithin } from './stretches';
import { sayAt } from './words';

/** The week on rails: open hours lit, work as pieces that carry their tag, the minute that it is. */
const props = defineProps<{
  view: WeekView;
  rails: readonly Rail[];
  axis: Axis;
  now: number;
  chosen: string | undefined;
  /** The piece that is taken up. */
  held: string | undefined;
  /** Pieces of the chain that makes the chosen job late, the last first. */
  chain: readonly string[];
  mayMove: boolean;
}>();
const emit = defineEmits<{
  choose: [piece: Piece];
  take: [piece: Piece];
  /** It is moved over a minute of a rail. */
  over: [minute: number, rail: string];
  step: [by: 1 | -1];
  toNext: [by: 1 | -1];
  put: [];
  leave: [];
}>();

const LANE = 44;
const left = (minute: number) => at(props.axis, minute) * 100;
const isShown = ({ placing: { start, end } }: Piece) => start < props.axis.to && end > props.axis.from;
const shown = computed(() =>
  props.rails.map((rail) => ({
    ...rail,
    pieces: rail.pieces.filter(isShown),
    lit: rail.open === undefined ? undefined : stretchesWithin(rail.open, props.axis.from, props.axis.to),
  })),
);
const days = computed(() =>
  props.view.days
    .map(({ midnight }) => Math.max(midnight, props.axis.from))
    .flatMap((from, i) => {
      const until = (props.view.days[i]?.midnight ?? from) + 24 * 60;
      const opens = props.axis.segments.find((each) => each.from >= from && each.from < until);
      return opens ? [{ from: opens.from, left: opens.left * 100, name: sayAt(props.view, opens.from) }] : [];
    }),
);
const hours = computed(() =>
  props.axis.segments.flatMap(({ from, to }) => {
    const first = Math.ceil(from / 60) * 60 - (new Date(props.view.from).getUTCMinutes() % 60);
    const marks: number[] = [];
    for (let minute = first; minute <= to; minute += 60) if (minute >= from) marks.push(minute);
    return marks;
  }),
);

const root = useTemplateRef<HTMLElement>('root');
const stop = ref<string>();
/** One stop of the tab key: the piece that was on it last, or the first. */
const tabStop = computed(() => {
  const keys = shown.value.flatMap(({ pieces }) => pieces.map(({ key }) => key));
  return stop.value !== undefined && keys.includes(stop.value) ? stop.value : keys[0];
});
async function focus(key: string | undefined): Promise<void> {
  if (key === undefined) return;
  stop.value = key;
  await nextTick();
  root.value?.querySelector<HTMLElement>(`[data-key="${CSS.escape(key)}"]`)?.focus();
}
/** The piece beside it on its rail, or the nearest in time of the next rail that has any. */
function neighbour(piece: Piece, key: string): string | undefined {
  const row = shown.value.findIndex(({ pieces }) => pieces.some((each) => each.key === piece.key));
  const own = shown.value[row]?.pieces ?? [];
  const place = own.findIndex((each) => each.key === piece.key);
  if (key === 'ArrowRight' || key === 'ArrowLeft') return own[place + (key === 'ArrowRight' ? 1 : -1)]?.key;
  const rows = key === 'ArrowDown' ? shown.value.slice(row + 1) : shown.value.slice(0, row).reverse();
  const next = rows.find(({ pieces }) => pieces.length > 0)?.pieces ?? [];
  const off = (each: Piece) => Math.abs(each.placing.start - piece.placing.start);
  return next.toSorted((a, b) => off(a) - off(b))[0]?.key;
}
function onKey(event: KeyboardEvent, piece: Piece): void {
  const { key } = event;
  if (props.held === piece.key) {
    const acts: Partial<Record<string, () => void>> = {
      ArrowRight: () => emit('step', 1),
      ArrowLeft: () => emit('step', -1),
      ArrowDown: () => emit('toNext', 1),
      ArrowUp: () => emit('toNext', -1),
      Enter: () => emit('put'),
      Escape: () => emit('leave'),
    };
    if (!acts[key]) return;
    event.preventDefault();
    acts[key]();
    void focus(piece.key);
    return;
  }
  if (key.startsWith('Arrow')) {
    event.preventDefault();
    void focus(neighbour(piece, key));
  } else if (key.toLowerCase() === 'm' && props.mayMove) {
    event.preventDefault();
    emit('take', piece);
  }
}

const dragging = useDragging({
  may: () => props.mayMove,
  take: (piece) => emit('take', piece),
  over: (share, rail) => emit('over', minuteAt(props.axis, share), rail),
  put: () => emit('put'),
});
/** A piece that is held goes over to other rails: the keys go with it. */
watch(
  () => props.rails,
  () => {
    if (props.held !== undefined && document.activeElement === document.body) void focus(props.held);
  },
  { flush: 'post' },
);
function choose(piece: Piece): void {
  stop.value = piece.key;
  if (props.held !== piece.key) emit('choose', piece);
}

/** Where the pieces of the chain lie, so that a line can be drawn from each to the one that it waited for. */
const TOP = 34;
const line = computed(() => {
  const points: string[] = [];
  let top = TOP;
  const where = new Map<string, { x: number; end: number; y: number }>();
  for (const { pieces, lanes } of shown.value) {
    for (const { key, lane, placing } of pieces)
      where.set(key, { x: left(placing.start), end: left(placing.end), y: top + 6 + lane * LANE + LANE / 2 });
    top += lanes * LANE + 12;
  }
  for (const key of [...props.chain].reverse()) {
    const found = where.get(key);
    if (found) points.push(`${found.x},${found.y}`, `${found.end},${found.y}`);
  }
  return { points: points.join(' '), height: top };
});
defineExpose({ focus });
</script>

<template>
  <div ref="root" class="rails" role="group" aria-label="The week on rails">
    <div class="rail scale label" aria-hidden="true">
      <span />
      <div class="track">
        <b v-for="day in days" :key="day.from" class="day" :style="{ left: `${day.left}%` }">{{
          day.name
        }}</b>
      </div>
    </div>
    <div v-for="rail in shown" :key="rail.id" class="rail">
      <h3 class="label">
        {{ rail.name }}<small>{{ rail.about }}</small>
      </h3>
      <ol
        class="track"
        :aria-label="rail.name"
        :data-rail="rail.id"
        :class="{ always: !rail.lit }"
        :style="{ height: `${rail.lanes * LANE + 11}px` }"
      >
        <li
          v-for="[from, to] in rail.lit ?? []"
          :key="`open ${from}`"
          class="lit"
          aria-hidden="true"
          :style="{ left: `${left(from)}%`, width: `${left(to) - left(from)}%` }"
        />
        <li
          v-for="minute in hours"
          :key="`hour ${minute}`"
          class="hour"
          aria-hidden="true"
          :style="{ left: `${left(minute)}%` }"
        />
        <li
          v-for="piece in rail.pieces"
          :key="piece.key"
          class="place"
          :style="{
            left: `${left(piece.placing.start)}%`,
            width: `${Math.max(0, left(piece.placing.end) - left(piece.placing.start))}%`,
            top: `${piece.lane * LANE + 5}px`,
            height: `${LANE - 2}px`,
          }"
        >
          <RailPiece
            :piece="piece"
            :view="view"
            :is-chosen="chosen === piece.job.id"
            :is-dim="chosen !== undefined && chosen !== piece.job.id && !chain.includes(piece.key)"
            :is-held="held === piece.key"
            :tabindex="piece.key === tabStop ? 0 : -1"
            @press="choose(piece)"
            @keydown="onKey($event, piece)"
            @pointerdown="dragging.begin($event, piece)"
          />
        </li>
        <li
          v-if="now >= axis.from && now < axis.to"
          class="now"
          aria-hidden="true"
          :style="{ left: `${left(now)}%` }"
        />
      </ol>
    </div>
    <svg
      v-if="line.points"
      class="chain"
      :viewBox="`0 0 100 ${line.height}`"
      :style="{ height: `${line.height}px` }"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <polyline :points="line.points" />
    </svg>
  </div>
</template>

<style scoped>
.rails {
  position: relative;
  user-select: none;
}
.rail {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr);
  border-bottom: 1px solid var(--line);
}
.scale {
  height: 34px;
}
h3 {
  display: grid;
  align-content: center;
  padding: 2px 10px 2px 0;
  font-size: 16px;
  font-weight: 600;
  line-height: 1.15;
}
small {
  font-size: 14px;
  font-weight: 400;
  color: var(--muted);
}
.track {
  position: relative;
  overflow: hidden;
  padding: 0;
  margin: 0;
  list-style: none;
}
ol.track {
  background: repeating-linear-gradient(
    135deg,
    transparent 0 7px,
    color-mix(in srgb, var(--line) 55%, transparent) 7px 8px
  );
}
ol.always {
  background: none;
}
.scale .track {
  overflow: visible;
}
.day {
  position: absolute;
  bottom: 4px;
  padding-left: 6px;
  font-weight: 600;
  white-space: nowrap;
  border-left: 2px solid var(--muted);
}
.lit,
.hour,
.place,
.now {
  position: absolute;
}
.lit {
  top: 0;
  bottom: 0;
  background: var(--card);
}
.hour {
  top: 0;
  width: 1px;
  height: 5px;
  background: var(--muted);
}
.now {
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--lamp);
  pointer-events: none;
}
.chain {
  position: absolute;
  top: 0;
  right: 0;
  left: 132px;
  width: calc(100% - 132px);
  pointer-events: none;
}
.chain polyline {
  fill: none;
  stroke: var(--condemn);
  stroke-width: 2;
  stroke-dasharray: 5 4;
  vector-effect: non-scaling-stroke;
}
</style>
