<script setup lang="ts">
import { recallsView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { sayMoment } from '../parts/dates';
import { useTrying } from '../stores/trying';

/** Jobs called back because an instrument was found off: open until somebody says what was done. */
const { data, refetch } = useQuery({
  key: () => ['recalls'],
  query: () => call('/setup/recalls', recallsView),
});
const recalls = computed(() => data.value?.recalls ?? []);
const openOnes = computed(() => recalls.value.filter(({ closed }) => closed === null).length);
/** Those that are closed are there to be looked up. */
const isAll = ref(false);
const shown = computed(() => (isAll.value ? recalls.value : recalls.value.filter(({ closed }) => !closed)));
const done = ref<Record<number, string>>({});
const { wrong, trying } = useTrying();
const close = (id: number) =>
  trying(async () => {
    const body = { why: (done.value[id] ?? '').trim() };
    await call(`/setup/recalls/${id}/close`, recallsView, { method: 'POST', body });
    await refetch();
  });
</script>

<template>
  <section v-if="recalls.length > 0" class="recalls" aria-label="Recalls">
    <h3>{{ openOnes }} jobs recalled</h3>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <article v-for="each in shown" :key="each.id" :class="{ open: !each.closed }">
      <p class="whose">
        <router-link class="way" :to="`/jobs/${each.job}`">{{ each.tag }}</router-link>
        <span class="label muted">
          {{ each.location }} · {{ each.instrument }} · {{ each.openedBy }},
          {{ sayMoment(each.openedAt) }}</span
        >
      </p>
      <ul class="label">
        <li v-for="line in each.why" :key="line">{{ line }}</li>
      </ul>
      <p v-if="each.closed" class="label">
        Closed by {{ each.closed.by }}, {{ sayMoment(each.closed.at) }}: <b>{{ each.closed.why }}</b>
      </p>
      <form v-else @submit.prevent="close(each.id)">
        <v-text-field v-model="done[each.id]" :label="`What was done about ${each.tag}`" maxlength="400" />
        <BenchButton kind="submit" :disabled="!done[each.id]?.trim()" lacking="what was done"
          >Close it</BenchButton
        >
      </form>
    </article>
    <BenchButton v-if="shown.length < recalls.length" @press="isAll = true"
      >{{ recalls.length - openOnes }} that are closed</BenchButton
    >
  </section>
</template>

<style scoped>
.recalls,
article {
  display: grid;
  gap: 6px;
}
article {
  padding: 8px 14px 12px;
  border: 1px solid var(--line);
  border-left-width: 5px;
  border-radius: var(--radius);
}
.open {
  border-color: var(--renew);
}
ul {
  padding: 0 0 0 18px;
  margin: 0;
}
.whose {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
form > :first-child {
  flex: 1 1 300px;
}
</style>
