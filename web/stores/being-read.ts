import { defineStore } from 'pinia';
import { computed, ref } from 'vue';

/** Instruments that are being read on this screen: a test that runs is somebody at work, though they touch nothing. */
export const useBeingRead = defineStore('being read', () => {
  const count = ref(0);
  const some = computed(() => count.value > 0);
  const begin = () => (count.value += 1);
  const end = () => (count.value -= 1);
  return { some, begin, end };
});
