<script setup lang="ts">
import type { ToComeAsked } from '@dusk-wren/contract/week';
import { computed, ref, shallowRef, watch } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { sayDay } from '../../parts/dates';
import { useTrying } from '../../stores/trying';
import { usePlanner } from '../week';
import { canPromise, dayBy, type CanPromise } from './promising';

/**
 * When a job could be ready that is not taken in yet: each day with its chance, out of a thousand weeks as weeks went here.
 * A day that is pressed is taken.
 */
const props = defineProps<{
  asked: ToComeAsked | undefined;
  /** What is still wanted before it can be asked. */
  lacking?: string;
  taken?: string;
}>();
defineEmits<{ take: [day: string] }>();
const SURE = 0.8;

const planner = usePlanner();
const { wrong, busy, trying } = useTrying();
const found = shallowRef<CanPromise>();
const isOf = ref('');
const key = computed(() => JSON.stringify(props.asked ?? null));
/** Another valve, and what was found is of none. */
watch(key, () => (found.value = undefined));
async function ask(): Promise<void> {
  const { asked } = props;
  if (!asked) return;
  isOf.value = key.value;
  const answer = await trying(() => canPromise(planner, asked));
  if (isOf.value === key.value) found.value = answer;
}
const days = computed(() => found.value?.days ?? []);
const sure = computed(() => dayBy(days.value, SURE));
/** Nothing is ever certain. */
const inTen = (chance: number) => (chance > 0.99 ? '> 99 %' : `${Math.round(chance * 100)} %`);
</script>

<template>
  <div class="can-promise">
    <BenchButton :disabled="!asked || busy" :lacking="lacking ?? ''" @press="ask">{{
      busy ? 'A thousand weeks…' : 'When could it be ready?'
    }}</BenchButton>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-if="found && days.length === 0" role="status">
      The week has no place for it: nobody can do it, or no door is open long enough.
    </p>
    <template v-else-if="found">
      <p role="status">
        <template v-if="found.seen === 0"
          >As planned by <b>{{ sayDay(days[0]?.day ?? '') }}</b>: nothing is known yet of how long work takes
          here, so this has no chance beside it.</template
        >
        <template v-else-if="sure"
          >Promise <b>{{ sayDay(sure) }}</b>: ready by then in 8 of 10 weeks, the jobs before it done
          first.</template
        >
        <template v-else>Less than 8 of 10 weeks have it ready while this plan looks ahead.</template>
      </p>
      <ol class="chances" aria-label="Ready by the end of">
        <li v-for="{ day, chance } in days" :key="day">
          <button
            type="button"
            class="label"
            :class="{ sure: day === sure }"
            :aria-pressed="taken === day"
            @click="$emit('take', day)"
          >
            <i aria-hidden="true"><i :style="{ height: `${chance * 100}%` }" /></i>
            <b class="number">{{ inTen(chance) }}</b>
            <span>{{ sayDay(day) }}</span>
          </button>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
.can-promise {
  display: grid;
  gap: 8px;
  justify-items: start;
  width: 100%;
}
.chances {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 0;
  margin: 0;
  list-style: none;
}
button {
  display: grid;
  grid-template-rows: 44px auto auto;
  justify-items: center;
  min-width: 78px;
  padding: 6px 6px 4px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
button > i {
  display: flex;
  align-items: end;
  width: 26px;
  height: 40px;
  background: color-mix(in srgb, var(--ink) 8%, transparent);
}
button > i > i {
  width: 100%;
  background: var(--muted);
}
.sure > i > i {
  background: var(--lamp);
}
.sure {
  border-color: var(--lamp);
}
button[aria-pressed='true'] {
  border: 2px solid var(--ink);
}
</style>
