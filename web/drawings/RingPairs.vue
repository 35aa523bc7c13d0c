<script setup lang="ts">
import type { BlueRing, RingPair } from '@dusk-wren/core/certificate';
import { computed } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import ContactArcs from './ContactArcs.vue';

/** The blue line of every contact: as it was found, and beside it as it is left. */
const props = defineProps<{ rings: readonly RingPair[] }>();
const pairs = computed(() =>
  props.rings.map(({ contact, found, left }) => ({
    contact,
    rings: [
      ...(found ? [['as found', found] as const] : []),
      ...(left ? [['as left', left] as const] : []),
    ] satisfies (readonly [string, BlueRing])[],
  })),
);
</script>

<template>
  <section v-for="pair in pairs" :key="pair.contact">
    <h3>{{ pair.contact }}</h3>
    <div class="pair">
      <figure v-for="[when, ring] in pair.rings" :key="when">
        <ContactArcs :arcs="ring.arcs" :gaps="[]" />
        <figcaption class="label">
          <ContactRing :verdict="ring.passes ? 'fit' : 'rework'" :size="18" /> <b>{{ when }}</b>
          {{ ring.words }}
        </figcaption>
      </figure>
    </div>
  </section>
</template>

<style scoped>
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
figure {
  flex: 0 1 220px;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  align-items: center;
  font-size: 15px;
}
</style>
