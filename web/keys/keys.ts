import { onBeforeUnmount, onMounted, shallowReactive } from 'vue';

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

const TYPING = 'input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"]';

function isTyping(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest(TYPING) !== null;
}

function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
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
      found.run();
      return;
    }
  }
}

let listening = 0;

/** Gives a component its keys while it is on the screen. */
export function useKeys(keys: readonly Key[]): void {
  onMounted(() => {
    if (listening++ === 0) window.addEventListener('keydown', onKey);
    activeKeys.sets = [...activeKeys.sets, keys];
  });
  onBeforeUnmount(() => {
    activeKeys.sets = activeKeys.sets.filter((set) => set !== keys);
    if (--listening === 0) window.removeEventListener('keydown', onKey);
  });
}

export function keyName(key: string): string {
  return key === ' ' ? 'Space' : key === 'enter' ? 'Enter' : key === 'escape' ? 'Esc' : key.toUpperCase();
}
