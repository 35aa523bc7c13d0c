<script setup lang="ts">
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
useKeys([
  { key: 'u', label: 'US or SI units', run: preferences.switchUnits },
  { key: 'd', label: 'Dusk or daylight', run: preferences.switchLook },
]);
</script>

<template>
  <v-app>
    <a class="visually-hidden" href="#main">To the page</a>
    <SideRail v-if="!bare" />
    <main id="main" :class="{ railed: !bare }" tabindex="-1">
      <router-view />
    </main>
    <KeySheet />
  </v-app>
</template>

<style scoped>
.railed {
  margin-left: 76px;
}
main {
  outline: none;
}
@media (max-width: 700px) {
  .railed {
    margin: 0 0 58px;
  }
}
@media print {
  .railed {
    margin: 0;
  }
}
</style>
