<script setup lang="ts">
import { describeSource } from '@dusk-wren/core/standards';
import { searchWorkings } from '@dusk-wren/core/workings';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useKeys } from '../keys/keys';

/** Every calculation there is, found by what a person would type. */
const router = useRouter();
const typed = ref('');
const search = ref<{ focus: () => void }>();
const found = computed(() => searchWorkings(typed.value));
const open = () => {
  const first = found.value[0];
  if (first && typed.value.trim()) void router.push(`/workings/${first.id}`);
};
useKeys([{ key: '/', label: 'Find', run: () => search.value?.focus() }]);
</script>

<template>
  <div class="page workings">
    <header>
      <h1>Workings</h1>
      <v-text-field
        ref="search"
        v-model="typed"
        label="What do you need? “how tight”, “bubbles”, “ring length”"
        autofocus
        @keydown.enter="open"
      />
    </header>
    <ul>
      <li v-for="working in found" :key="working.id">
        <router-link :to="`/workings/${working.id}`" class="row-flat">
          <b class="label">{{ working.title }}</b><span>{{ working.meaning }}</span
          ><span class="muted label">{{ describeSource(working.source).split(';')[0] }}</span>
        </router-link>
      </li>
    </ul>
    <p v-if="found.length === 0" class="muted">
      Nothing answers to “{{ typed }}”. Try a plainer word: torque, leak, stem, packing.
    </p>
  </div>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: auto minmax(0, 520px);
  gap: 20px;
  align-items: center;
  margin-bottom: 14px;
}
ul {
  display: grid;
  gap: 6px;
}
li a {
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(0, 2fr) minmax(160px, 1fr);
  gap: 4px 18px;
  align-items: center;
  min-height: 56px;
  padding: 8px 16px;
  text-decoration: none;
}
li a:hover {
  border-color: var(--muted);
}
b {
  font-size: 19px;
  font-weight: 600;
}
@media (max-width: 860px) {
  header,
  li a {
    grid-template-columns: 1fr;
  }
}
</style>
