import { defineStore } from 'pinia';
import { ref } from 'vue';

/**
 * What the frame of the application knows of the job that is open on this screen. A job brings the whole plan with it,
 * and the first page does not wait for that.
 */
export const useJobOnScreen = defineStore('job on screen', () => {
  const isCutOff = ref(false);
  let closes: () => void = () => undefined;
  const closedBy = (close: () => void) => {
    closes = close;
  };
  const close = () => closes();
  return { isCutOff, closedBy, close };
});
