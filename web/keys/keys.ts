import { onBeforeUnmount, onMounted, reactive, shallowReactive } from 'vue';
import { afterBurst } from './bursts';

export interface Key {
  /** As `KeyboardEvent.key` gives it, lower case. */
  readonly key: string;
  readonly label: string;
  readonly run: () => void;
  /** Off while it would do nothing. */
  readonly when?: () => boolean;
}

/** Every key that works on this screen now; the newest takes precedence. */
export const activeKeys = shallowReactive<{ sets: (readonly Key[])[] }>({ sets: [] });

/** The list of keys on this screen: opened by its own key, or from the rail. */
export const keySheet = reactive({ open: false });

const TYPING = 'input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"]';
/** What takes keys for itself; a page that has the focus as a whole does not. */
const TAKES_KEYS = `${TYPING}, button, a, summary, [role="button"], [role="application"]`;
/** The step in hand: what a leaning elbow would work through. */
const IN_HAND = '#in-hand';
const COMPLETING: readonly string[] = ['enter', ' ', 'x'];
/** A press that was meant for the step before is over by then. */
export const SETTLED_AFTER_MILLISECONDS = 700;

/** The step in hand, as far as keys care: since when, and whether it is done by its own button alone. */
let inHand = { since: Number.NEGATIVE_INFINITY, deliberate: false };

/** Another step is in hand: a key meant for the one before does nothing to it. */
export function stepChanged(deliberate: boolean): void {
  inHand = { since: performance.now(), deliberate };
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest(TYPING) !== null;
}

/**
 * A key that can complete a step, held down, or pressed just as another step came into hand, or on a step that is done by
 * its own button alone: it reaches no field, no button and no key of the bench. A letter typed into a field always does,
 * and so does a key on the button itself.
 */
function leans(event: KeyboardEvent): boolean {
  const pressed = event.key.toLowerCase();
  if (!COMPLETING.includes(pressed)) return false;
  const on = event.target instanceof Element ? event.target.closest(TAKES_KEYS) : null;
  if (on && !on.closest(IN_HAND)) return false;
  if (isTyping(on) && pressed !== 'enter') return false;
  if (event.repeat || performance.now() - inHand.since < SETTLED_AFTER_MILLISECONDS) return true;
  return inHand.deliberate && !on?.closest('button, a, .sign-press');
}

function beforeAnything(event: KeyboardEvent): void {
  if (isCovered() || !leans(event)) return;
  event.preventDefault();
  event.stopImmediatePropagation();
}

/** A sheet lies over the page: its keys are its own. */
const isCovered = () => document.querySelector('dialog[open], .covers-page') !== null;

function onKey(event: KeyboardEvent): void {
  if (isCovered() || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  if (isTyping(event.target)) return;
  const pressed = event.key.toLowerCase();
  if (
    (pressed === 'enter' || pressed === ' ') &&
    event.target instanceof Element &&
    event.target.closest('button, a, summary, [role="button"]')
  )
    return;
  for (const set of [...activeKeys.sets].reverse()) {
    const found = set.find(({ key, when }) => key === pressed && (when?.() ?? true));
    if (found) {
      event.preventDefault();
      afterBurst(found.run);
      return;
    }
  }
}

let listening = 0;

/** Gives a component its keys while it is on the screen. */
export function useKeys(keys: readonly Key[]): void {
  onMounted(() => {
    if (listening++ === 0) {
      window.addEventListener('keydown', beforeAnything, { capture: true });
      window.addEventListener('keydown', onKey);
    }
    activeKeys.sets = [...activeKeys.sets, keys];
  });
  onBeforeUnmount(() => {
    activeKeys.sets = activeKeys.sets.filter((set) => set !== keys);
    if (--listening > 0) return;
    window.removeEventListener('keydown', beforeAnything, { capture: true });
    window.removeEventListener('keydown', onKey);
  });
}

export function keyName(key: string): string {
  return key === ' ' ? 'Space' : key === 'enter' ? 'Enter' : key === 'escape' ? 'Esc' : key.toUpperCase();
}
