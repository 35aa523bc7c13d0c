<script setup lang="ts">
import type { PartLived } from '@dusk-wren/contract';
import { capital } from '@dusk-wren/core/quantity';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { answerLines, findWorking } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import LifePicture from '../workings/pictures/LifePicture.vue';
import { useAges } from './fleet';

/** How old a part of a construction becomes: what outlives each age, and the Weibull life where enough have failed. */
const props = defineProps<{ of: PartLived }>();
const { data, error, raw, service } = useAges(() => props.of);
const life = computed(() => {
  const working = findWorking('life.weibull');
  const worked = working.ok ? working.value.run(raw.value) : working;
  return working.ok && worked.ok
    ? { lines: answerLines(working.value, worked.value), notes: worked.value.notes }
    : undefined;
});
</script>

<template>
  <section class="life row-flat" :aria-label="`Life of the ${of.part}`">
    <h2>{{ capital(of.part) }}, {{ CONSTRUCTIONS[of.construction].name }}</h2>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <template v-if="data">
      <v-select
        v-if="data.services.length > 1"
        v-model="service"
        label="Only in this medium"
        :items="data.services"
        clearable
        hide-details
      />
      <p>
        <b class="number">{{ data.failures.length }}</b> failed,
        <b class="number">{{ data.running.length }}</b> outlived their age or still run<template
          v-if="data.unknown > 0"
          >; {{ data.unknown }} failed at an age that nobody knows and are left out</template
        >.
        <span class="muted">Found at an inspection, it failed before: ages are upper ends.</span>
      </p>
      <LifePicture v-if="data.failures.length > 0" :raw="raw" />
      <dl v-if="life" class="label">
        <div v-for="{ label, value } in life.lines" :key="label">
          <dt class="muted">{{ label }}</dt>
          <dd class="number">{{ value }}</dd>
        </div>
      </dl>
      <p v-for="note in life?.notes ?? []" :key="note">{{ note }}</p>
      <p v-if="!life" class="muted">A life is said from eight failures on: these are counts alone.</p>
    </template>
  </section>
</template>

<style scoped>
.life {
  display: grid;
  gap: 8px;
  padding: 12px 14px;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 6px 14px;
}
</style>
