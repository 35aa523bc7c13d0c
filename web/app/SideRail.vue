<script setup lang="ts">
import {
  mdiLightbulbOnOutline,
  mdiLogoutVariant,
  mdiPackageVariantClosed,
  mdiSchoolOutline,
  mdiSigma,
  mdiStoreCog,
  mdiTagOutline,
  mdiTapeMeasure,
  mdiTimelineClockOutline,
  mdiTune,
  mdiWeatherSunny,
} from '@mdi/js';
import { useRoute } from 'vue-router';
import { usePreferences } from '../stores/preferences';
import { useSession } from '../stores/session';
import { keySheet } from '../keys/keys';
import { useLeaving } from './leaving';

const preferences = usePreferences();
const session = useSession();
const leave = useLeaving();
const route = useRoute();
</script>

<template>
  <nav class="side-rail label" aria-label="Main">
    <router-link to="/" class="wren" aria-label="Dusk Wren, the floor">
      <svg viewBox="0 0 32 32" width="40" height="40" aria-hidden="true">
        <path
          d="M5 22c4 1 6-1 7-5 1-5 5-8 9-7l5-4-2 6c1 7-4 13-12 12l-4 3 1-4-4-1zm16-9h.1M13 24l-1 4m5-4 1 4"
          fill="none"
          stroke="currentColor"
          stroke-width="1.9"
          stroke-linecap="round"
          stroke-linejoin="round"
        />
      </svg>
    </router-link>
    <router-link to="/" class="place" exact-active-class="here">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiTune" fill="currentColor" /></svg
      >Floor
    </router-link>
    <router-link to="/week" class="place" active-class="here">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiTimelineClockOutline" fill="currentColor" /></svg
      >Week
    </router-link>
    <router-link to="/valves" class="place" :class="{ here: route.path.startsWith('/valves') }">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiTagOutline" fill="currentColor" /></svg
      >Valves
    </router-link>
    <router-link to="/store" class="place" active-class="here">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiPackageVariantClosed" fill="currentColor" /></svg
      >Store
    </router-link>
    <router-link to="/workings" class="place" active-class="here">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiSigma" fill="currentColor" /></svg
      >Workings
    </router-link>
    <router-link to="/drill" class="place" :class="{ here: route.path.startsWith('/drill') }">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiSchoolOutline" fill="currentColor" /></svg
      >Drill
    </router-link>
    <router-link v-if="session.person?.role === 'lead'" to="/setup" class="place" active-class="here">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiStoreCog" fill="currentColor" /></svg
      >Setup
    </router-link>
    <span class="gap" />
    <button type="button" class="place keys" aria-keyshortcuts="?" @click="keySheet.open = true">
      <b aria-hidden="true">?</b>Keys
    </button>
    <button
      type="button"
      class="place"
      :aria-label="`Units ${preferences.units}: switch`"
      @click="preferences.switchUnits"
    >
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
        <path :d="mdiTapeMeasure" fill="currentColor" /></svg
      >{{ preferences.units }}
    </button>
    <button type="button" class="place" @click="preferences.switchLook">
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
        <path
          :d="preferences.look === 'dusk' ? mdiWeatherSunny : mdiLightbulbOnOutline"
          fill="currentColor"
        /></svg
      >{{ preferences.look === 'dusk' ? 'Daylight' : 'Dusk' }}
    </button>
    <button
      v-if="session.person"
      type="button"
      class="place"
      :aria-label="`${session.person.name}, ${session.person.role}: sign out`"
      @click="leave()"
    >
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
        <path :d="mdiLogoutVariant" fill="currentColor" /></svg
      >{{ session.person.name.split(' ')[0] }}
    </button>
  </nav>
</template>

<style scoped>
.side-rail {
  position: fixed;
  inset: 0 auto 0 0;
  width: 76px;
  z-index: 5;
  display: flex;
  flex-direction: column;
  background: var(--rail);
  border-right: 1px solid var(--line);
}
.wren {
  display: grid;
  place-items: center;
  height: 66px;
  color: var(--lamp);
}
.place {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 3px;
  min-height: 60px;
  font-size: 14px;
  color: var(--muted);
  text-decoration: none;
  background: none;
  border: 0;
  border-left: 4px solid transparent;
  padding-right: 4px;
  cursor: pointer;
}
.place:hover {
  color: var(--ink);
}
.place.here {
  color: var(--ink);
  background: var(--ground);
  border-left-color: var(--lamp);
}
.keys b {
  font-size: 20px;
  line-height: 22px;
}
.gap {
  flex: 1;
}
@media (max-width: 700px) {
  .side-rail {
    inset: auto 0 0 0;
    width: auto;
    flex-direction: row;
    border-right: 0;
    border-top: 1px solid var(--line);
    overflow-x: auto;
    scrollbar-width: none;
  }
  .wren {
    display: none;
  }
  .place {
    /* As wide as each other, whatever their words, and a finger wide each: those of a lead scroll. */
    flex: 1 0 var(--touch);
    min-height: 54px;
    font-size: 14px;
    border-left: 0;
    border-top: 4px solid transparent;
    padding: 0;
  }
  .place.here {
    border-top-color: var(--lamp);
  }
  .gap,
  .keys {
    display: none;
  }
}
</style>
