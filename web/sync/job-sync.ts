import { decide, readCommand, record, type Edge, type RawCommand } from '@dusk-wren/core/command';
import {
  apply,
  EMPTY_JOB,
  type CommandId,
  type Entry,
  type JobState,
  type PersonStamp,
} from '@dusk-wren/core/job';
import type { Problem } from '@dusk-wren/core/problem';

export type PostAnswer =
  | { kind: 'taken'; entries: readonly Entry[] }
  | { kind: 'stale'; missed: readonly Entry[] }
  | { kind: 'refused'; text: string }
  | { kind: 'lost' };

/** A command on its way; read again by the core whenever it is decided. */
export interface Waiting {
  readonly commandId: CommandId;
  readonly command: unknown;
  /** When it was done, by this device's clock. */
  readonly at: string;
}

/** What the sync needs of its host; tests give their own. */
export interface Ports {
  readonly post: (baseVersion: number, waiting: Waiting) => Promise<PostAnswer>;
  readonly fetchAfter: (version: number) => Promise<readonly Entry[]>;
  readonly newId: () => CommandId;
  readonly now: () => string;
  readonly instrument: Edge['instrument'];
  readonly person: () => PersonStamp;
  readonly wait: (milliseconds: number) => Promise<void>;
  readonly changed: () => void;
  /** Keeps what is on its way where it outlives the tab; settled once the command is kept. */
  readonly keep: (pending: Waiting) => Promise<void>;
  /** It was answered: taken, or refused and said so. */
  readonly forget: (commandId: CommandId) => Promise<void>;
}

interface Pending extends Waiting {
  readonly entries: readonly Entry[];
}

export interface Lapsed {
  readonly command: unknown;
  readonly text: string;
}

const RETRY_MILLISECONDS = 1500;

/**
 * One job on this screen: what the server has confirmed, and what was done here and is on its way. A command is decided
 * at once for an instant answer, then sent; when somebody else was faster their entries are folded in and what is still
 * pending is decided again, and what is refused now is said, never dropped in silence.
 */
export class JobSync {
  private confirmed: JobState = EMPTY_JOB;
  private readonly log: Entry[] = [];
  private pending: Pending[] = [];
  private sending = false;
  /** The job as this screen should show it. */
  state: JobState = EMPTY_JOB;
  lapsed: Lapsed[] = [];
  /** The server cannot be reached; what is pending waits here. */
  lost = false;

  constructor(
    private readonly ports: Ports,
    private readonly wordProblem: (problem: Problem) => string,
  ) {}

  /** The confirmed log and, after it, what is on its way. */
  get entries(): readonly Entry[] {
    return [...this.log, ...this.pending.flatMap(({ entries }) => entries)];
  }

  /** What the server has confirmed. */
  get confirmedLog(): readonly Entry[] {
    return this.log;
  }

  get waiting(): number {
    return this.pending.length;
  }

  /** Entries from the server: from loading, from other people, or our own coming back. Gaps are fetched. */
  async receive(entries: readonly Entry[]): Promise<void> {
    const first = entries[0];
    if (first && first.seq > this.confirmed.version + 1)
      entries = await this.ports.fetchAfter(this.confirmed.version);
    for (const entry of entries) {
      if (entry.seq <= this.confirmed.version) continue;
      const next = apply(this.confirmed, entry);
      if (!next.ok) throw new Error(this.wordProblem(next.problem));
      this.confirmed = next.value;
      this.log.push(entry);
      if (this.pending.some(({ commandId }) => commandId === entry.commandId)) {
        this.pending = this.pending.filter(({ commandId }) => commandId !== entry.commandId);
        void this.ports.forget(entry.commandId);
      }
    }
    this.replay();
  }

  /** What this device still had on its way when it was last closed: decided again, and sent. */
  resume(kept: readonly Waiting[]): void {
    const known = new Set(this.log.map(({ commandId }) => commandId));
    for (const each of kept) {
      if (known.has(each.commandId)) void this.ports.forget(each.commandId);
      else this.pending.push({ ...each, entries: [] });
    }
    this.replay();
    void this.flush();
  }

  /** Decides a command here; answers with the problem's words when it is refused, and sends it on otherwise. */
  do(command: RawCommand): string | undefined {
    const commandId = this.ports.newId();
    const waiting = { commandId, command, at: this.ports.now() };
    const decided = this.decideOn(this.state, waiting);
    if ('text' in decided) return decided.text;
    this.pending.push({ ...waiting, entries: decided.entries });
    const kept = this.ports.keep(waiting);
    this.state = decided.state;
    this.ports.changed();
    // Kept before it is sent: a tab that is killed in between loses nothing.
    void kept.catch(() => undefined).then(() => this.flush());
    return undefined;
  }

  private decideOn(
    state: JobState,
    { commandId, command: raw, at }: Waiting,
  ): { entries: readonly Entry[]; state: JobState } | { text: string } {
    const command = readCommand(raw);
    if (!command.ok) return { text: this.wordProblem(command.problem) };
    const person = this.ports.person();
    const facts = decide(state, command.value, { person, now: at, instrument: this.ports.instrument });
    if (!facts.ok) return { text: this.wordProblem(facts.problem) };
    const recorded = record(state, facts.value, { commandId, by: person, at });
    return recorded.ok ? recorded.value : { text: this.wordProblem(recorded.problem) };
  }

  /** Puts what is pending on top of what is confirmed again. */
  private replay(): void {
    let state = this.confirmed;
    const still: Pending[] = [];
    for (const each of this.pending) {
      const decided = this.decideOn(state, each);
      if ('text' in decided) {
        this.lapsed = [...this.lapsed, { command: each.command, text: decided.text }];
        void this.ports.forget(each.commandId);
      } else {
        state = decided.state;
        still.push({ ...each, entries: decided.entries });
      }
    }
    this.pending = still;
    this.state = state;
    this.ports.changed();
  }

  /** Sends what is pending, one at a time, with the same id until it is answered. */
  private async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    for (let next = this.pending[0]; next; next = this.pending[0]) {
      const { commandId, command, at } = next;
      const answer = await this.ports.post(this.confirmed.version, { commandId, command, at });
      this.lost = answer.kind === 'lost';
      if (answer.kind === 'taken') await this.receive(answer.entries);
      else if (answer.kind === 'stale') await this.receive(answer.missed);
      else if (answer.kind === 'refused') {
        this.pending = this.pending.filter((each) => each.commandId !== commandId);
        this.lapsed = [...this.lapsed, { command, text: answer.text }];
        void this.ports.forget(commandId);
        this.replay();
      } else {
        this.ports.changed();
        await this.ports.wait(RETRY_MILLISECONDS);
      }
    }
    this.sending = false;
    this.ports.changed();
  }
}
