import type { InstrumentControl } from '@dusk-wren/contract';
import { Refusal } from '../refusal';

/** What whoever reads an instrument has set on it since it was last looked at, in order. */
export interface Controls {
  readonly take: () => readonly InstrumentControl[];
}

/** More than a person turns between two looks. */
const MOST_WAITING = 50;

/** Instruments that are read now and can be set meanwhile: each reading by its own name, for whoever began it. */
export class OpenControls {
  private readonly open = new Map<string, { personId: string; waiting: InstrumentControl[] }>();

  /** Takes settings under this name until `close`. A reading without a name cannot be set. */
  begin(name: string | undefined, personId: string): { controls: Controls; close: () => void } {
    if (name === undefined) return { controls: { take: () => [] }, close: () => undefined };
    const waiting: InstrumentControl[] = [];
    this.open.set(name, { personId, waiting });
    return {
      controls: { take: () => waiting.splice(0) },
      close: () => void this.open.delete(name),
    };
  }

  /** Sets something on a reading that this person began. */
  send(name: string, personId: string, control: InstrumentControl): void {
    const found = this.open.get(name);
    if (found?.personId !== personId) throw new Refusal({ code: 'not-found', what: 'reading' });
    if (found.waiting.length < MOST_WAITING) found.waiting.push(control);
  }
}
