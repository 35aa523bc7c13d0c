/** Longer than a gauge takes between two characters, shorter than anybody types them. */
export const GAUGE_PACE_MILLISECONDS = 35;
/** A reading has so many characters at least. */
const LEAST = 3;
const ENDS: readonly string[] = ['Enter', 'Tab'];

/** What a key is: the first character of what may be a burst, a later one of it, its end, or none of this. */
export type Heard =
  | { readonly is: 'first' }
  | { readonly is: 'inside' }
  | { readonly is: 'line'; readonly line: string }
  | { readonly is: 'nothing' };

/** Tells what a gauge types from what a hand does: it comes faster, has a digit in it, and ends with Enter or Tab. */
export class BurstReader {
  private text = '';
  private last = Number.NEGATIVE_INFINITY;

  /** A key, as `KeyboardEvent.key` gives it, at a time in milliseconds. */
  key(key: string, at: number): Heard {
    const goesOn = this.text !== '' && at - this.last <= GAUGE_PACE_MILLISECONDS;
    if (ENDS.includes(key)) {
      const line = goesOn ? this.text : '';
      this.forget();
      return line.length >= LEAST && /\d/.test(line) ? { is: 'line', line } : { is: 'nothing' };
    }
    if (key.length !== 1) return { is: 'nothing' };
    [this.text, this.last] = [goesOn ? this.text + key : key, at];
    return { is: goesOn ? 'inside' : 'first' };
  }

  forget(): void {
    [this.text, this.last] = ['', Number.NEGATIVE_INFINITY];
  }
}
