<script setup lang="ts">
import type { RegisterLine } from '@dusk-wren/contract';
import { isoDay, sayDay } from '../parts/dates';

/** A valve of the register as a stamped tag on its wire; one that is in work is lit. */
const props = defineProps<{ valve: RegisterLine }>();
const today = isoDay(new Date());
const been = (): string => {
  const { jobs, lastOpened } = props.valve;
  if (lastOpened === null) return 'never here';
  return `${jobs === 1 ? 'here once' : `here ${jobs} times`}, last ${sayDay(lastOpened)}`;
};
</script>

<template>
  <router-link
    :to="`/valves/${valve.id}`"
    class="tag row-flat"
    :class="[valve.standing, { lit: valve.open }]"
  >
    <i class="hole" aria-hidden="true" />
    <span class="what">
      <b>{{ valve.tag }}</b>
      <span class="label">{{ [valve.construction, valve.size].filter(Boolean).join(' · ') }}</span>
      <span class="label muted">{{ valve.customer }}, {{ valve.location }}</span>
    </span>
    <span class="label been">
      <b v-if="valve.open">on a bench</b>
      <b v-else-if="valve.standing !== 'in place'">{{ valve.standing }}</b>
      <span class="muted">{{ been() }}</span>
      <span v-if="valve.due"
        >{{ valve.due.at < today ? 'was due' : 'due' }} <b>{{ sayDay(valve.due.at) }}</b></span
      >
      <span v-if="valve.serial" class="muted">serial {{ valve.serial }}</span>
    </span>
  </router-link>
</template>

<style scoped>
.tag {
  display: grid;
  grid-template-columns: 14px minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  min-height: 78px;
  padding: 8px 14px 8px 16px;
  color: var(--ink);
  text-decoration: none;
  border-radius: 26px var(--radius) var(--radius) 26px;
}
.tag:hover {
  border-color: var(--muted);
}
.hole {
  width: 14px;
  height: 14px;
  border: 2px solid var(--muted);
  border-radius: 50%;
}
.lit .hole {
  background: var(--lamp);
  border-color: var(--lamp);
}
.spare {
  border-style: dashed;
}
.scrapped .what b {
  text-decoration: line-through;
}
.what,
.been {
  display: grid;
  line-height: 1.25;
}
.what > b {
  font-size: 20px;
}
.been {
  text-align: right;
}
@media (max-width: 460px) {
  .tag {
    grid-template-columns: 14px minmax(0, 1fr);
  }
  .been {
    grid-column: 2;
    text-align: left;
  }
}
</style>
