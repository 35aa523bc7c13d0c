<script setup lang="ts">
import { searchWorkings, SUBJECTS } from '@dusk-wren/core/workings';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useKeys } from '../keys/keys';
import { useRecentWorkings } from '../workings/recent';

/** Every working, found by what a person would call it; those used lately first, then the index by subject. */
const router = useRouter();
/** Opened from a job, every working is filled from it. */
const { job } = useRoute().query;
const to = (id: string) => ({ path: `/workings/${id}`, query: typeof job === 'string' ? { job } : {} });
const recent = useRecentWorkings();
const typed = ref('');
const search = ref<{ focus: () => void }>();
const isSearching = computed(() => typed.value.trim() !== '');
const matches = computed(() => (isSearching.value ? searchWorkings(typed.value) : []));
const open = () => {
  const first = matches.value[0];
  if (first && isSearching.value) void router.push(to(first.id));
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
        label="What do you need? “how tight”, “bubbles”, “crow foot”"
        autofocus
        clearable
        @keydown.enter="open"
        @click:clear="typed = ''"
      />
    </header>
    <template v-if="isSearching">
      <ul class="found">
        <li v-for="(working, i) in matches" :key="working.id">
          <router-link :to="to(working.id)" class="row-flat" :class="{ first: i === 0 }">
            <b class="label">{{ working.title }}</b><span>{{ working.meaning }}</span>
            <kbd v-if="i === 0" class="label" aria-hidden="true">Enter</kbd>
          </router-link>
        </li>
      </ul>
      <p v-if="matches.length === 0" class="muted">
        Nothing answers to “{{ typed }}”. Try a plainer word: torque, leak, stem, packing.
      </p>
    </template>
    <template v-else>
      <section v-if="recent.recent.length > 0" class="lately">
        <h2>Used lately</h2>
        <ul>
          <li v-for="working in recent.recent" :key="working.id">
            <router-link :to="to(working.id)" class="label">{{ working.title }}</router-link>
          </li>
        </ul>
      </section>
      <div class="index">
        <section v-for="group in SUBJECTS" :key="group.name">
          <h2>{{ group.name }}</h2>
          <ul>
            <li v-for="working in group.workings" :key="working.id">
              <router-link :to="to(working.id)">
                <b class="label">{{ working.title }}</b><span class="muted">{{ working.meaning }}</span>
              </router-link>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: auto minmax(0, 560px);
  gap: 20px;
  align-items: center;
  margin-bottom: 14px;
}
.found {
  display: grid;
  gap: 6px;
}
.found a {
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(0, 2fr) auto;
  gap: 4px 18px;
  align-items: center;
  min-height: 56px;
  padding: 8px 16px;
  text-decoration: none;
}
.found a.first {
  border-left: 4px solid var(--lamp);
}
.found b {
  font-size: 19px;
}
kbd {
  font-size: 14px;
  border: 1px solid currentColor;
  border-radius: 4px;
  padding: 0 6px;
  color: var(--muted);
}
.lately {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
  margin-bottom: 14px;
}
.lately ul {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.lately a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 20px;
  text-decoration: none;
  font-weight: 600;
}
.index {
  columns: 3 320px;
  column-gap: 28px;
}
.index section {
  break-inside: avoid;
  margin-bottom: 18px;
}
.index h2 {
  padding-bottom: 4px;
  border-bottom: 3px solid var(--lamp-deep);
}
.index li a {
  display: grid;
  padding: 6px 2px;
  min-height: 48px;
  text-decoration: none;
  border-bottom: 1px solid var(--line);
}
.index li a:hover b,
.lately a:hover {
  color: var(--blue);
}
.index b {
  font-size: 18px;
  font-weight: 600;
  line-height: 1.25;
}
.index span {
  font-size: 15px;
  line-height: 1.25;
}
@media (max-width: 860px) {
  header,
  .found a {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
