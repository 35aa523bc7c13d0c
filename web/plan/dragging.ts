import { onBeforeUnmount } from 'vue';
import type { Piece } from './rails';

/** Less than this it was a press. */
const DRAGGED = 6;

interface Asked {
  readonly may: () => boolean;
  readonly take: (piece: Piece) => void;
  /** The share of the width that its beginning is at, and the rail that it is over. */
  readonly over: (share: number, rail: string) => void;
  readonly put: () => void;
}

/** A piece drawn along its rail, or onto another, by mouse, pen or finger. */
export function useDragging({ may, take, over, put }: Asked) {
  let stop = (): void => undefined;

  function begin(event: PointerEvent, piece: Piece): void {
    const button = event.currentTarget;
    if (!may() || event.button !== 0 || !(button instanceof HTMLElement)) return;
    const grip = event.clientX - button.getBoundingClientRect().left;
    const from = { x: event.clientX, y: event.clientY };
    const track = button.closest('.track');
    let isDragged = false;
    const move = (moved: PointerEvent) => {
      if (!isDragged && Math.hypot(moved.clientX - from.x, moved.clientY - from.y) < DRAGGED) return;
      if (!isDragged) take(piece);
      isDragged = true;
      const rail = document
        .elementsFromPoint(moved.clientX, moved.clientY)
        .find((each) => each instanceof HTMLElement && each.dataset['rail'] !== undefined);
      const area = (rail ?? track)?.getBoundingClientRect();
      const id = rail instanceof HTMLElement ? (rail.dataset['rail'] ?? '') : '';
      if (area) over((moved.clientX - grip - area.left) / area.width, id);
    };
    const end = () => {
      stop();
      if (isDragged) put();
    };
    stop = () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', stop);
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', stop);
  }
  onBeforeUnmount(() => stop());
  return { begin };
}
