<script setup lang="ts">
import { mdiAlert } from '@mdi/js';
import { formatSize, GROUP_NAMES } from '@dusk-wren/core/standards';
import {
  asksOf,
  CONSTRUCTIONS,
  HAZARDS,
  moverWords,
  protectionFor,
  ratingWords,
  type Valve,
} from '@dusk-wren/core/valve';
import { computed } from 'vue';
import { usePreferences } from '../stores/preferences';

/**
 * The valve's nameplate, drawn as one: it never scrolls away. Unknown is said, not left blank. On a job the time it still
 * takes and the day it is wanted stand as large as its tag.
 */
const props = defineProps<{
  valve: Valve;
  /** What changes on it while it is on the bench. */
  job?: { readonly about: string; readonly left: string; readonly due: string } | undefined;
  /** One line, to leave the room to the work. */
  folded?: boolean;
}>();
defineEmits<{ unfold: [] }>();
const preferences = usePreferences();
const { show, read } = preferences;

const unrated = computed(() => {
  const asked = asksOf(props.valve).map(({ id }) => id);
  if (asked.includes('ratedPressure')) return 'rated pressure?';
  return asked.includes('pressureClass') ? 'class?' : undefined;
});
const size = computed(() =>
  [
    props.valve.nps === undefined ? 'size?' : formatSize({ nps: props.valve.nps }),
    props.valve.pressureClass ?? ratingWords(props.valve, preferences.units) ?? unrated.value,
  ]
    .filter((word) => word !== undefined)
    .join(' · '),
);
const medium = computed(() => {
  const { medium: through } = props.valve;
  return through
    ? [through.name, through.pressure && read(through.pressure, 'gauge')].filter(Boolean).join(' ')
    : 'not known: ask';
});
/** What else is stamped on it: model, code, trim, set pressure, spring range. */
const stamped = computed(() => {
  const { plate } = props.valve;
  if (!plate) return '';
  const { model, sizeCode, trim, setPressure, springRange, orifice, stamp, signal, acting } = plate;
  return [
    model,
    sizeCode && `code ${sizeCode}`,
    trim && `trim ${trim}`,
    setPressure && `set ${read(setPressure, 'gauge')}`,
    orifice && `orifice ${orifice}`,
    stamp,
    springRange && `spring ${read(springRange.low, 'gauge')} to ${read(springRange.high, 'gauge')}`,
    signal && `signal ${signal}`,
    acting === 'reverse' && 'reverse acting',
  ]
    .filter(Boolean)
    .join(' · ');
});
const hazards = computed(() => {
  const { medium: through } = props.valve;
  if (!through) return ['treat as hazardous'];
  const words = through.hazards.map((hazard) => HAZARDS[hazard].label);
  return words.length > 0 && through.temperature ? [show(through.temperature), ...words] : words;
});
const protection = computed(() => protectionFor(props.valve.medium));
const badge = computed(() =>
  [
    ...hazards.value,
    ...(protection.value.breathingApparatus ? ['apparatus'] : []),
    ...(protection.value.buddy ? ['never alone'] : []),
  ].join(', '),
);
const LISTS = [
  ['hazards', 'What it can do'],
  ['guards', 'Against it'],
  ['limits', 'Detector and limits'],
  ['decontamination', 'Before it goes to a shop'],
] as const;
</script>

<template>
  <div v-if="folded" class="plate folded label" role="group" aria-label="Nameplate">
    <button type="button" aria-expanded="false" @click="$emit('unfold')">
      <b>{{ valve.tag || 'tag?' }}</b>
      <span class="through">{{ medium }}</span>
      <span v-if="badge" class="hazard">
        <svg viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
          <path :d="mdiAlert" fill="currentColor" />
        </svg>
        <span>{{ badge }}</span>
      </span>
      <span v-if="job" class="time"
        ><b>{{ job.left }}</b> {{ job.due }}</span
      >
    </button>
  </div>
  <div v-else class="plate label" role="group" aria-label="Nameplate">
    <i v-for="n in 4" :key="n" class="rivet" :class="`r${n}`" aria-hidden="true" />
    <div class="cell">
      <span class="tiny">Tag</span><b class="big">{{ valve.tag || 'tag?' }}</b
      ><span>{{ valve.serial ? `Serial ${valve.serial}` : 'serial not known' }}</span>
    </div>
    <div class="cell">
      <span class="tiny">Construction</span><b class="big">{{ CONSTRUCTIONS[valve.construction].name }}</b
      ><span>{{ stamped || CONSTRUCTIONS[valve.construction].about }}</span>
    </div>
    <div class="cell">
      <span class="tiny">Size and class</span><b class="big">{{ size }}</b
      ><span>{{
        valve.group
          ? GROUP_NAMES[valve.group]
          : asksOf(valve).some(({ id }) => id === 'group')
            ? 'body not known'
            : ''
      }}</span>
    </div>
    <div class="cell">
      <span class="tiny">Medium</span><b class="big">{{ medium }}</b>
      <details class="protection">
        <summary :class="{ hazard: badge !== '' }">
          <svg v-if="badge" viewBox="0 0 24 24" width="15" height="15" aria-hidden="true">
            <path :d="mdiAlert" fill="currentColor" />
          </svg>
          <span>{{ badge || 'protection' }}</span>
        </summary>
        <div class="sheet">
          <template v-for="[key, words] in LISTS" :key="key">
            <template v-if="protection[key].length > 0">
              <b>{{ words }}</b>
              <ul>
                <li v-for="each in protection[key]" :key="each">{{ each }}</li>
              </ul>
            </template>
          </template>
          <p>The site’s data sheet and permit come first.</p>
        </div>
      </details>
    </div>
    <div class="cell">
      <span class="tiny">Moved by</span><b class="big">{{ moverWords(valve.features).name }}</b
      ><span>{{ moverWords(valve.features).fails }}</span>
    </div>
    <div class="cell">
      <span class="tiny">For</span><b class="big">{{ valve.customer || 'customer?' }}</b>
      <span>{{ valve.location }}</span>
    </div>
    <div v-if="job" class="cell">
      <span class="tiny">{{ job.about }}</span><b class="big">{{ job.left }}</b
      ><span class="due">{{ job.due }}</span>
    </div>
  </div>
</template>

<style scoped>
.plate {
  position: relative;
  display: grid;
  grid-template-columns:
    fit-content(150px) minmax(0, 1.3fr) fit-content(150px) minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1.1fr)
    auto;
  color: var(--engraved);
  background: linear-gradient(var(--plate-high), var(--plate-low));
  border-radius: 7px;
  padding: 9px 28px;
  box-shadow: 0 2px 6px rgb(0 0 0 / 35%);
  font-size: 15px;
}
.cell {
  display: flex;
  flex-direction: column;
  gap: 1px;
  padding: 1px 12px;
  min-width: 0;
  border-left: 1px solid #8f8a9b;
  line-height: 1.25;
}
.cell:first-of-type {
  border-left: 0;
  padding-left: 4px;
}
.folded {
  display: block;
  padding: 0;
}
.folded button {
  display: flex;
  gap: 4px 14px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 16px;
  font: inherit;
  font-size: 17px;
  color: inherit;
  background: none;
  border: 0;
  text-align: left;
  cursor: pointer;
}
.folded b {
  white-space: nowrap;
  font-size: 19px;
}
.folded .hazard {
  align-self: center;
  flex: 0 1 auto;
  min-width: 0;
}
.folded .hazard span,
.through {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.through {
  flex: 0 2 auto;
  min-width: 0;
}
.time {
  margin-left: auto;
  flex: none;
}
.due {
  font-size: 16px;
  font-weight: 600;
}
.tiny {
  font-size: 14px;
  color: var(--engraved-label);
}
.big {
  font-size: 20px;
  font-weight: 700;
  line-height: 1.15;
}
.cell > :not(details) {
  overflow: hidden;
  text-overflow: ellipsis;
}
summary {
  cursor: pointer;
  list-style: none;
}
/* The press reaches further than the badge. */
summary {
  box-sizing: border-box;
  min-height: var(--touch);
  min-width: var(--touch);
  margin-block: -8px;
  border-block: 8px solid transparent;
  background-clip: padding-box;
}
summary.hazard {
  line-height: 1.15;
  margin-block: -8px;
  background-clip: padding-box;
}
summary svg {
  flex: none;
}
.sheet {
  position: absolute;
  z-index: 6;
  top: 100%;
  left: 20%;
  width: min(620px, 76%);
  margin-top: 4px;
  padding: 12px 16px;
  display: grid;
  gap: 4px;
  font-size: 16px;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-left: 5px solid var(--hazard);
  border-radius: var(--radius);
}
.sheet ul {
  list-style: disc;
  padding-left: 18px;
}
.hazard {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  align-self: flex-start;
  max-width: 100%;
  padding: 1px 8px;
  font-weight: 600;
  color: var(--hazard-ink);
  background: var(--hazard);
  border-radius: 3px;
}
.rivet {
  position: absolute;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: radial-gradient(circle at 35% 30%, #f5f4f8, #827d8e);
}
.r1,
.r2 {
  top: 8px;
}
.r3,
.r4 {
  bottom: 8px;
}
.r1,
.r3 {
  left: 9px;
}
.r2,
.r4 {
  right: 9px;
}
@media (max-width: 700px) {
  .plate.folded {
    padding: 0;
  }
  .folded button {
    gap: 8px;
    padding: 4px 10px;
    font-size: 15px;
  }
  /* The mark stays, its words are on the whole plate. */
  .folded .hazard span {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .folded .hazard {
    flex: none;
    padding: 3px 6px;
  }
  .folded b {
    font-size: 17px;
  }
}
@media (max-width: 1240px) {
  .big {
    font-size: 17px;
  }
  .cell {
    padding: 1px 9px;
  }
}
@media (max-width: 1000px) {
  .plate {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    row-gap: 6px;
    padding: 8px 22px;
  }
  .cell:nth-of-type(3n + 1) {
    border-left: 0;
  }
}
@media (max-width: 700px) {
  .plate {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding: 6px 20px;
  }
  .cell {
    border-left: 0;
    padding: 0 4px;
  }
  .cell:nth-of-type(2),
  .cell:nth-of-type(5),
  .tiny {
    display: none;
  }
  .big {
    font-size: 16px;
  }
}
</style>
