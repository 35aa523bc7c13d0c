<script setup lang="ts">
/** The three ways to look at what the shop knows of its valves. */
const VIEWS = [
  ['/valves', 'Register'],
  ['/valves/due', 'Due'],
  ['/valves/fleet', 'Together'],
] as const;
</script>

<template>
  <nav class="views label" aria-label="Valves">
    <router-link v-for="[to, label] in VIEWS" :key="to" :to="to" exact-active-class="shown">{{
      label
    }}</router-link>
  </nav>
</template>

<style scoped>
.views {
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
@media print {
  .views {
    display: none;
  }
}
</style>
