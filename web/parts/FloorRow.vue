<script setup lang="ts">
import type { JobLine } from '@dusk-wren/contract';
import { SCOPE_WORDS } from '@dusk-wren/core/job';
import { wordBlocked } from '@dusk-wren/core/plan';
import { computed } from 'vue';
import { usePreferences } from '../stores/preferences';
import { sayDay } from './dates';
import { sayPiece } from './planned-words';
import ContactRing from './ContactRing.vue';
import TravelScale from './TravelScale.vue';

/** One job on the floor: a link to its bench. */
const props = defineProps<{ job: JobLine; late: boolean }>();
const { tell } = usePreferences();
const RING = { ask: 'ask', question: 'ask', hold: 'ask', part: 'renew', pressure: 'condemn' } as const;
const stop = computed(() => props.job.summary.blocked);
const names = computed(() => props.job.summary.withPerson?.name.split(' ') ?? []);
const initials = computed(() => names.value.map((name) => name.charAt(0)).join('') || '–');
/** What comes next, where that is not now. */
const planned = computed(() => {
  const { next, summary } = props.job;
  return next && summary.state === 'open' && Date.parse(next.start) > Date.now() ? sayPiece(next) : '';
});
const edge = computed(() =>
  stop.value
    ? RING[stop.value.kind]
    : props.job.summary.state === 'open'
      ? 'lamp'
      : props.job.summary.state === 'released'
        ? 'fit'
        : 'condemn',
);
</script>

<template>
  <router-link :to="`/jobs/${job.id}`" class="row row-flat" :class="edge">
    <span class="who label"
      ><b>{{ job.tag }}</b
      ><span>{{ job.construction }} · {{ job.size }}</span></span
    >
    <TravelScale :travel="job.summary.travel" :holds="job.summary.holds" :stage="job.summary.stage" />
    <span class="what label">
      <ContactRing v-if="stop" :verdict="RING[stop.kind]" />
      <ContactRing v-else-if="job.summary.state === 'released'" verdict="fit" />
      <i v-else class="lamp" aria-hidden="true" />
      <span
        ><b
          >{{ stop ? tell(wordBlocked(stop)) : job.summary.inHand
          }}<template v-if="stop?.kind === 'part' && stop.expected"
            >, {{ sayDay(stop.expected) }}</template
          ></b
        ><span
          ><template v-if="planned">{{ planned }} · </template
          ><template v-if="job.summary.imported">imported, not checked here · </template
          ><template v-if="job.summary.scope">{{ SCOPE_WORDS[job.summary.scope] }} · </template
          >{{ job.customer }}, {{ job.location }}</span
        ></span
      >
    </span>
    <span class="with label"
      ><span class="first">{{ names[0] ?? 'nobody' }}</span
      ><abbr class="initials" :title="job.summary.withPerson?.name ?? 'nobody'">{{ initials }}</abbr></span
    >
    <span class="due label" :class="{ late }"
      >{{ job.due ? `due ${sayDay(job.due)}` : ''
      }}<span v-if="job.readyBy">{{ late ? 'late: ' : '' }}ready {{ sayDay(job.readyBy) }}</span></span
    >
  </router-link>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(170px, 1.1fr) minmax(240px, 1.7fr) minmax(220px, 1.5fr) 66px 120px;
  gap: 18px;
  align-items: center;
  min-height: 62px;
  padding: 6px 14px;
  text-decoration: none;
  border-left-width: 5px;
}
.row:hover {
  border-color: var(--muted);
}
.row.lamp {
  border-left-color: var(--lamp);
}
.row.fit {
  border-left-color: var(--fit);
}
.row.ask {
  border-left-color: var(--ask);
}
.row.renew {
  border-left-color: var(--renew);
}
.row.condemn {
  border-left-color: var(--condemn);
}
.row,
.row.fit,
.row.ask,
.row.renew,
.row.condemn {
  color: var(--ink);
}
b {
  font-weight: 600;
}
.who,
.due {
  display: grid;
  line-height: 1.25;
}
.who b {
  font-size: 20px;
}
.who span,
.what span span,
.due span {
  color: var(--muted);
  font-size: 15px;
  font-weight: 400;
}
.what {
  display: flex;
  gap: 10px;
  align-items: center;
  line-height: 1.25;
}
.what > span {
  display: grid;
}
.what .ring {
  color: inherit;
}
.row.ask .what :deep(.ring) {
  color: var(--ask);
}
.row.renew .what :deep(.ring) {
  color: var(--renew);
}
.row.condemn .what :deep(.ring) {
  color: var(--condemn);
}
.row.fit .what :deep(.ring) {
  color: var(--fit);
}
.lamp i,
i.lamp {
  flex: none;
  width: 16px;
  height: 16px;
  background: var(--lamp);
  clip-path: polygon(0 0, 100% 0, 100% 50%, 50% 100%, 0 50%);
}
.due.late span {
  color: var(--condemn);
  font-weight: 600;
}
/* A long title takes two lines and no more. */
.what b {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}
.initials {
  display: none;
  text-decoration: none;
}
@media (max-width: 1100px) {
  .row {
    grid-template-columns: minmax(150px, 1fr) minmax(180px, 1.2fr) minmax(200px, 1.4fr) 30px 110px;
  }
  .first {
    display: none;
  }
  .initials {
    display: inline;
  }
}
@media (max-width: 860px) {
  .row {
    grid-template-columns: 1fr auto;
    gap: 4px 12px;
  }
  .travel {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .what {
    grid-column: 1 / -1;
    grid-row: 3;
  }
  .with {
    grid-column: 1;
    grid-row: 4;
  }
  .first {
    display: inline;
  }
  .initials {
    display: none;
  }
  .due {
    text-align: right;
  }
}
</style>
