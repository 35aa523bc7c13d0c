<script setup lang="ts">
import type { SheetRequest } from '@dusk-wren/contract';
import { ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import SetupFile from './SetupFile.vue';
import SheetCard from './SheetCard.vue';
import SheetForm from './SheetForm.vue';
import { useSetupSheets } from './setup-sheets';

/** The makers' sheets that the shop goes by, a card a model. */
const { models, wrong, refetch, file, withdraw, effects } = useSetupSheets();
const adding = ref(false);
async function keep(asked: SheetRequest): Promise<void> {
  if (await file(asked)) adding.value = false;
}
</script>

<template>
  <section class="sheets" aria-label="Makers’ sheets">
    <div class="head">
      <h2>
        {{
          models.length === 0 ? 'No sheet yet' : models.length === 1 ? '1 model' : `${models.length} models`
        }}
      </h2>
      <BenchButton v-if="!adding" lamp @press="adding = true">Type a sheet</BenchButton>
    </div>
    <SheetForm
      v-if="adding"
      :effects="effects"
      @file="keep({ sheet: $event, instead: null })"
      @leave="adding = false"
    />
    <p class="muted">
      The maker’s own figure wins over a table and over common practice. A job keeps the sheet that it has;
      the next one on the model goes by the newest.
    </p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <SetupFile
      kind="sheets"
      columns="model, revision, and for every figure one with its value and one with its page"
      @taken="refetch()"
    />
    <SheetCard
      v-for="model in models"
      :key="model.model"
      :model="model"
      :effects="effects"
      @file="file"
      @withdraw="withdraw"
    />
  </section>
</template>

<style scoped>
.sheets {
  display: grid;
  gap: 10px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  justify-content: space-between;
}
</style>
