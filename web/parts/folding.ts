import { useEventListener, useMediaQuery } from '@vueuse/core';
import { ref, watch, type Ref } from 'vue';

/** Further than this is reading on, not a finger that rests. */
const SCROLLED_PIXELS = 24;

/**
 * Whether something above the work is folded up: on a phone and on a low screen from the start, elsewhere as soon as the
 * work is scrolled; unfolded again by a press, until the next scroll.
 */
export function useFolding(work: () => HTMLElement | null | undefined): {
  folded: Ref<boolean>;
  unfold: () => void;
} {
  const low = useMediaQuery('(max-width: 860px), (max-height: 600px)');
  const folded = ref(low.value);
  watch(low, (now) => (folded.value = now));
  const at = () => (work()?.scrollTop ?? 0) + window.scrollY;
  let from = 0;
  function scrolled(): void {
    if (Math.abs(at() - from) > SCROLLED_PIXELS) folded.value = true;
  }
  useEventListener(work, 'scroll', scrolled, { passive: true });
  useEventListener(window, 'scroll', scrolled, { passive: true });
  function unfold(): void {
    from = at();
    folded.value = false;
  }
  return { folded, unfold };
}
