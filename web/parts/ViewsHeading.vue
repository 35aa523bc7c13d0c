<script setup lang="ts">
/** The heading of a page, and the other ways to look at what it shows. */
defineProps<{
  title: string;
  /** What all of them are of. */
  of: string;
  views: readonly (readonly [to: string, label: string])[];
}>();
</script>

<template>
  <div class="heading">
    <h1>{{ title }}</h1>
    <nav v-if="views.length > 1" class="label no-print" :aria-label="of">
      <router-link v-for="[to, label] in views" :key="to" :to="to" exact-active-class="shown">{{
        label
      }}</router-link>
    </nav>
  </div>
</template>

<style scoped>
.heading {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
nav {
  display: flex;
  gap: 2px;
}
a {
  display: flex;
  align-items: center;
  justify-content: center;
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0 10px;
  font-size: 17px;
  font-weight: 600;
  color: var(--muted);
  text-decoration: none;
  border-bottom: 3px solid transparent;
}
.shown {
  color: var(--ink);
  border-color: var(--lamp);
}
</style>
