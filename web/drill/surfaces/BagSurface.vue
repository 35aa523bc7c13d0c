<script setup lang="ts">
import { inTheBag, PILES, sorted } from '@dusk-wren/core/drill';
import { capital } from '@dusk-wren/core/quantity';
import { computed } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { useBench } from '../sitting';

/** A printed sheet that serves three kits, and one bag: every line, and what stands on none, is put on its pile. */
const { exercise, moves, over, play } = useBench(inTheBag);
const at = computed(() => sorted(moves.value));
const piles = PILES.map((value) => ({ value, label: capital(value) }));
const open = computed(() => exercise.items.filter(({ id }) => !at.value.has(id)).length);
const kits = exercise.sheet.kits.map(({ code }) => code);
</script>

<template>
  <div class="bag">
    <p class="label which">
      The label of the bag says kit <b class="number">{{ exercise.kit }}</b>.
    </p>
    <ul>
      <li v-for="item in exercise.items" :key="item.id" class="row-flat">
        <p>
          <b>{{ item.name }}</b>
          <span v-if="item.line" class="label line"
            >line {{ item.line.line }}: {{ item.line.quantity }} for kit
            <span
              v-for="kit in kits"
              :key="kit"
              class="number kit"
              :class="{ has: item.line.kits.includes(kit) }"
              >{{ item.line.kits.includes(kit) ? kit : '·' }}</span
            >
            , <b class="number">{{ item.counted }}</b> in the bag</span
          >
          <span v-else class="label line">on no line of the sheet</span>
        </p>
        <ChoiceRow
          :label="`Pile of ${item.name}`"
          :options="piles"
          :picked="at.get(item.id)"
          @pick="over || play({ do: 'sort', item: item.id, pile: $event })"
        />
      </li>
    </ul>
    <BenchButton
      lamp
      :disabled="over || open > 0"
      :lacking="`${open} lie on no pile yet`"
      @press="play({ do: 'done' })"
      >All of it is sorted</BenchButton
    >
  </div>
</template>

<style scoped>
.bag {
  display: grid;
  gap: 12px;
  justify-items: start;
}
ul {
  display: grid;
  gap: 6px;
  width: 100%;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px 18px;
  align-items: center;
  padding: 8px 14px;
}
.which {
  font-size: 18px;
}
.line {
  display: block;
  color: var(--muted);
}
.kit {
  display: inline-block;
  min-width: 18px;
  text-align: center;
}
.kit.has,
.line b {
  color: var(--ink);
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
