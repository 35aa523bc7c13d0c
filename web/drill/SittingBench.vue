<script setup lang="ts">
import { DRILLS, HINT_COSTS, type Ticket } from '@dusk-wren/core/drill';
import { capitalised, formatPercent } from '@dusk-wren/core/quantity';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useKeys } from '../keys/keys';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import { usePreferences } from '../stores/preferences';
import { addressOf, freshSeed } from './address';
import { useDrills } from './drills';
import BestWay from './BestWay.vue';
import MarksSheet from './MarksSheet.vue';
import { useRound } from './round';
import { useSitting } from './sitting';
import { SURFACES } from './surfaces';

/** One exercise on its bench: what it is, the bench itself, what the last move came to, and in the end the marks. */
const props = defineProps<{ ticket: Ticket; task?: string; note?: string }>();
const router = useRouter();
const { tell } = usePreferences();
const drills = useDrills();
const round = useRound();
const { hints, hint, said, over, marks, ask, finish, bestWay, most } = useSitting(props.ticket, props.task);
const drill = DRILLS[props.ticket.drill];
const leaving = ref(false);
const hintsLeft = computed(() => most - hints.value);
useKeys([{ key: 'h', label: 'A hint', run: ask, when: () => !over.value && hintsLeft.value > 0 }]);
async function another(): Promise<void> {
  const skill = drills.skills.find((each) => each.drill === drill.id);
  const { construction } = props.ticket;
  await router.push(
    addressOf({ drill: drill.id, level: skill?.level ?? 1, seed: freshSeed(), construction }),
  );
}
async function goOn(): Promise<void> {
  const next = round.next();
  await router.push(next ? addressOf(next) : '/drill');
}
</script>

<template>
  <div class="page sitting">
    <header>
      <h1>{{ drill.title }}</h1>
      <p class="label muted">
        {{ CONSTRUCTIONS[ticket.construction].name }}, level {{ ticket.level }}, about {{ drill.minutes }} min
      </p>
      <p class="label drill-sign">A drill: nothing of it touches a job.</p>
    </header>
    <p class="teaches">{{ note || drill.teaches }}</p>
    <div class="told" role="status">
      <p v-if="hint" class="hint"><b>Hint:</b> {{ tell(capitalised(hint)) }}</p>
      <p v-else-if="said" :class="said.right ? 'right' : 'wrong'">
        <ContactRing :verdict="said.right ? 'fit' : 'condemn'" /> {{ tell(capitalised(said.words)) }}
      </p>
    </div>
    <template v-if="marks">
      <MarksSheet :marks="marks" />
      <p v-if="!drills.problem" class="label" role="status">
        {{ drills.waiting > 0 ? 'Kept on this device, to be sent.' : 'Kept by the server.' }}
      </p>
      <p v-if="drills.problem" class="problem" role="alert">{{ drills.problem }}</p>
      <BestWay :way="bestWay()" />
      <div class="on">
        <BenchButton v-if="round.left > 0" lamp @press="goOn"
          >Next of the round: {{ round.title }}</BenchButton
        >
        <BenchButton :lamp="round.left === 0" @press="another">Another like it</BenchButton>
        <router-link class="way" to="/drill">Back to the drills</router-link>
      </div>
    </template>
    <component :is="SURFACES[ticket.drill]" />
    <div v-if="!over" class="on">
      <BenchButton
        hint="h"
        :disabled="hintsLeft <= 0"
        :lacking="most === 0 ? 'this level has none' : 'none is left'"
        @press="ask"
        >A hint ({{ hintsLeft }} left, {{ formatPercent(HINT_COSTS) }} each)</BenchButton
      >
      <BenchButton v-if="!leaving" @press="leaving = true">I go no further</BenchButton>
      <BenchButton v-else @press="finish">Yes, mark it as it stands</BenchButton>
    </div>
  </div>
</template>

<style scoped>
.sitting {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  align-items: baseline;
}
.drill-sign {
  color: var(--ask);
  font-weight: 600;
}
.teaches {
  max-width: 90ch;
}
/* Seen wherever on the bench the move was made. */
.told {
  position: sticky;
  top: 0;
  z-index: 3;
  min-height: 30px;
  font-size: 17px;
}
.told p {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 8px 14px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.told .wrong {
  border-color: var(--condemn);
}
.told .hint {
  border-color: var(--ask);
}
.on {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
}
</style>
