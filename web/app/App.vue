<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, watch, watchEffect } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useTheme } from 'vuetify';
import KeySheet from '../keys/KeySheet.vue';
import { useKeys } from '../keys/keys';
import { usePreferences } from '../stores/preferences';
import { useSession } from '../stores/session';
import SideRail from './SideRail.vue';

const preferences = usePreferences();
const theme = useTheme();
const route = useRoute();
const router = useRouter();
const session = useSession();
const bare = computed(() => route.meta['bare'] === true);
watchEffect(() => {
  document.documentElement.dataset['theme'] = preferences.look;
  void theme.change(preferences.look);
});
// Another window signed somebody else in: whoever sits here says who they are before anything is entered.
watch(
  () => session.elsewhere,
  (other) => {
    if (other && !bare.value) void router.push({ path: '/sign-in', query: { to: route.fullPath } });
  },
);
/** Escape closes what is folded open, where the focus is or last opened; the focus stays where it was opened from. */
function shut(event: KeyboardEvent): void {
  if (event.key !== 'Escape' || event.defaultPrevented) return;
  const inside = document.activeElement?.closest<HTMLDetailsElement>('details[open]');
  const open = inside ?? [...document.querySelectorAll<HTMLDetailsElement>('details[open]')].at(-1);
  if (!open) return;
  open.open = false;
  open.querySelector('summary')?.focus();
}
useEventListener('keydown', shut);
/** The first stop of the tab key: the step in hand where there is one, else the page. */
function toWork(): void {
  const step = document.querySelector<HTMLElement>('#in-hand h2');
  (step ?? document.getElementById('main'))?.focus();
  step?.scrollIntoView({ block: 'nearest' });
}
useKeys([
  { key: 'u', label: 'US or SI units', run: preferences.switchUnits },
  { key: 'd', label: 'Dusk or daylight', run: preferences.switchLook },
]);
</script>

<template>
  <v-app>
    <a class="skip label" href="#main" @click.prevent="toWork">To the work</a>
    <SideRail v-if="!bare" />
    <main id="main" :class="{ railed: !bare }" tabindex="-1">
      <router-view />
    </main>
    <KeySheet />
  </v-app>
</template>

<style scoped>
.railed {
  margin: 0 0 var(--rail-foot) var(--rail-left);
}
main {
  outline: none;
}
.skip {
  position: fixed;
  left: 8px;
  top: -80px;
  z-index: 10;
  padding: 12px 18px;
  font-weight: 600;
  color: var(--on-lamp);
  background: var(--lamp);
  border-radius: var(--radius);
}
.skip:focus {
  top: 8px;
}
@media print {
  .railed {
    margin: 0;
  }
}
</style>
