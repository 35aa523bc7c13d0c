<script setup lang="ts">
import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { computed, shallowRef, watch, watchEffect } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useTheme } from 'vuetify';
import KeySheet from '../keys/KeySheet.vue';
import { listenForBursts } from '../keys/bursts';
import { useKeys } from '../keys/keys';
import { useGaugeLines } from '../stores/gauge-lines';
import { usePreferences } from '../stores/preferences';
import { hasWaitingDrills } from '../stores/waiting-drills';
import { useSession } from '../stores/session';
import { useIdleLock } from './leaving';
import SideRail from './SideRail.vue';

const preferences = usePreferences();
const theme = useTheme();
const route = useRoute();
const router = useRouter();
const session = useSession();
useIdleLock();
const gauges = useGaugeLines();
// Before any key of the page: what a gauge types is no key of it.
listenForBursts({ isAwaited: gauges.isAwaited, isReading: gauges.isReading, take: gauges.hear });
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
// Exercises that were done without a connection are sent from whatever page is opened first.
watch(
  () => session.person?.id,
  async () => {
    if (!session.person || !hasWaitingDrills()) return;
    const { useDrills } = await import('../drill/drills');
    await useDrills().load();
  },
  { immediate: true },
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
/** A stray letter turns units and look over: it is said, and undone by a press. */
const said = shallowRef({ words: '', back: (): void => undefined });
const SAID_MILLISECONDS = 6000;
const switched = useTimeoutFn(() => undefined, SAID_MILLISECONDS, { immediate: false });
function turn(back: () => void, words: () => string): void {
  back();
  said.value = { words: words(), back };
  switched.start();
}
function undo(): void {
  said.value.back();
  switched.stop();
}
useKeys([
  {
    key: 'u',
    label: 'US or SI units',
    run: () => turn(preferences.switchUnits, () => `Units: ${preferences.units}.`),
  },
  {
    key: 'd',
    label: 'Dusk or daylight',
    run: () => turn(preferences.switchLook, () => `Look: ${preferences.look}.`),
  },
]);
</script>

<template>
  <v-app>
    <a class="skip label no-print" href="#main" @click.prevent="toWork">To the work</a>
    <SideRail v-if="!bare" />
    <main id="main" :class="{ railed: !bare }" tabindex="-1">
      <router-view />
    </main>
    <KeySheet />
    <p v-if="switched.isPending.value" class="switched row-flat label no-print" role="status">
      {{ said.words }} <button type="button" class="link-button" @click="undo">Undo</button>
    </p>
  </v-app>
</template>

<style scoped>
.railed {
  margin: 0 0 var(--rail-foot) var(--rail-left);
}
main {
  outline: none;
}
.switched {
  position: fixed;
  left: calc(var(--rail-left) + 16px);
  bottom: calc(var(--rail-foot) + 16px);
  z-index: 8;
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 10px 16px;
  font-size: 17px;
  box-shadow: 0 6px 18px rgb(0 0 0 / 40%);
}
.skip {
  position: fixed;
  left: 8px;
  top: -80px;
  z-index: 10;
  min-height: var(--touch);
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
