import { BurstReader, GAUGE_PACE_MILLISECONDS } from './burst-reader';

/**
 * What a gauge types into the page. Once it is known to be a reading, the field that happened to have the focus is as it was
 * before, and no key of the page has been pressed.
 */

type Field = HTMLInputElement | HTMLTextAreaElement;

/** Who takes readings, where a gauge here types any. */
interface Taker {
  readonly isAwaited: () => boolean;
  /** Whether a line is a reading. */
  readonly isReading: (line: string) => boolean;
  readonly take: (line: string) => void;
}

const reader = new BurstReader();
let taker: Taker | undefined;
/** The field that the first character went into, and what stood in it. */
let field: Field | undefined;
let before = '';
/** What the page’s own key is for, while it may yet be the first character of a line. */
let held: { readonly run: () => void; readonly due: ReturnType<typeof setTimeout> } | undefined;

/** The key that was held is a gauge’s, or has been done. */
function letGo(): void {
  if (held) clearTimeout(held.due);
  held = undefined;
}
/** The key that was held was a hand’s. */
function doHeld(): void {
  const run = held?.run;
  letGo();
  run?.();
}

const fieldOf = (target: EventTarget | null): Field | undefined =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target : undefined;

/**
 * Puts back what stood in the field, once whoever bound it has heard of all that was typed into it; then, once they have heard
 * of that too, the reading lands: it may be the very field that it is for.
 */
function land(into: Field | undefined, text: string, taken: () => void): void {
  if (!into) return taken();
  setTimeout(() => {
    into.value = text;
    into.dispatchEvent(new Event('input', { bubbles: true }));
    setTimeout(taken);
  });
}

const keepFromPage = (event: KeyboardEvent): void => {
  event.preventDefault();
  event.stopImmediatePropagation();
};

function hear(event: KeyboardEvent): void {
  if (!taker?.isAwaited() || event.ctrlKey || event.metaKey || event.altKey) {
    doHeld();
    return reader.forget();
  }
  const heard = reader.key(event.key, event.timeStamp);
  switch (heard.is) {
    case 'first':
      doHeld();
      field = fieldOf(event.target);
      before = field?.value ?? '';
      return;
    case 'inside':
      letGo();
      // A blank in the middle of a line presses no button.
      if (!field) keepFromPage(event);
      return;
    case 'line': {
      const { line } = heard;
      if (!taker.isReading(line)) return;
      keepFromPage(event);
      land(field, before, () => taker?.take(line));
      return;
    }
    case 'nothing':
      // Before the page hears this key: one after the other, as they were pressed. A gauge shifts within a line.
      return event.key === 'Shift' ? undefined : doHeld();
  }
}

/** Hears every key of the page before anybody else, from now on. */
export function listenForBursts(by: Taker): void {
  taker = by;
  window.addEventListener('keydown', hear, { capture: true });
}

/** Does what a key is for once it is known to be no gauge’s: at once where none types here. */
export function afterBurst(run: () => void): void {
  if (!taker?.isAwaited()) return run();
  held = { run, due: setTimeout(doHeld, GAUGE_PACE_MILLISECONDS) };
}
