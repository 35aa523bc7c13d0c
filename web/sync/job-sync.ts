import { decide, NOTHING_OUTSIDE, readCommand, record, type RawCommand } from '@dusk-wren/core/command';
import {
  apply,
  EMPTY_JOB,
  wordEntry,
  type CommandId,
  type Entry,
  type JobState,
  type PersonStamp,
} from '@dusk-wren/core/job';
import type { Problem } from '@dusk-wren/core/problem';
import type { Phrase } from '@dusk-wren/core/quantity';
import type { Countersigned, PostAnswer, Ports, Sent, Waiting } from './ports';
import type { Delay, Lapsed, View } from './view';

interface Pending extends Sent {
  readonly entries: readonly Entry[];
}

const FIRST_RETRY_MILLISECONDS = 1500;
const LONGEST_RETRY_MILLISECONDS = 15_000;
const NOBODY: Problem | { code: 'sign-in.needed' } = { code: 'sign-in.needed' };
const NO_CONNECTION: Delay = { kind: 'no connection' };

/**
 * One job on this screen: what the server has confirmed, and what was done here and is on its way. A command is decided
 * at once for an instant answer, then sent; when somebody else was faster their entries are folded in and what is still
 * pending is decided again, and what is refused now is said, never dropped in silence. What waits carries its person and
 * is sent only while that person is signed in here.
 */
export class JobSync {
  private confirmed: JobState = EMPTY_JOB;
  private readonly log: Entry[] = [];
  private pending: Pending[] = [];
  private state: JobState = EMPTY_JOB;
  private lapsed: readonly Lapsed[] = [];
  private delay: Delay | undefined;
  private unkept = false;
  private sending = false;
  private closed = false;
  /** Ends the wait before the next try. */
  private wake: () => void = () => undefined;
  /** The job as this screen should show it now. */
  view: View;

  constructor(
    private readonly ports: Ports,
    private readonly wordProblem: (problem: Problem | { code: 'sign-in.needed' }) => string,
  ) {
    this.view = this.look();
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
      if (known.has(each.commandId)) {
        void this.ports.forget(each.commandId);
        continue;
      }
      const command = readCommand(each.command);
      if (command.ok) this.pending.push({ ...each, command: command.value, entries: [] });
      else this.lapse(each, 'an entry of an older version', this.wordProblem(command.problem));
    }
    this.replay();
    void this.flush();
  }

  /** Why this command would be refused here and now; nothing when it would be taken. */
  refusal(command: RawCommand, signer?: PersonStamp): string | undefined {
    const tried = this.tryOn(this.state, command, signer && { signer });
    return 'text' in tried ? tried.text : undefined;
  }

  /** The job as it would stand after this command; nothing when it would be refused. */
  would(command: RawCommand): JobState | undefined {
    const tried = this.tryOn(this.state, command);
    return 'text' in tried ? undefined : tried.state;
  }

  /** Decides a command here; answers with the problem's words when it is refused, and sends it on otherwise. */
  do(command: RawCommand, signed?: { commandId: CommandId; confirmation: string }): string | undefined {
    const tried = this.tryOn(this.state, command, signed);
    if ('text' in tried) return tried.text;
    const { sent, entries, state } = tried;
    this.pending.push({ ...sent, entries });
    this.state = state;
    const kept = this.ports.keep(sent).catch(() => {
      this.unkept = true;
    });
    this.publish();
    // Kept before it is sent: a tab that is killed in between loses nothing.
    void kept.then(() => this.flush());
    return undefined;
  }

  /**
   * A signature by somebody else at this screen: sent at once, and never left to wait under a name that is not signed in.
   * Answers with the words of what kept it from being stored.
   */
  async countersign(command: RawCommand, signed: Countersigned): Promise<string | undefined> {
    if (this.pending.length > 0)
      return 'What was entered here before is not with the server yet: it goes first.';
    for (;;) {
      const tried = this.tryOn(this.state, command, signed);
      if ('text' in tried) return tried.text;
      const answer = await this.ports.post(this.confirmed.version, tried.sent);
      switch (answer.kind) {
        case 'taken':
          return void (await this.receive(answer.entries));
        case 'stale':
          await this.receive(answer.missed);
          break;
        case 'refused':
          return answer.text;
        case 'later':
          return 'The server did not answer. If it was signed all the same, that shows here as soon as it is back.';
      }
    }
  }

  /** Whoever is signed in may have changed, or the connection: tries what waits. */
  retry(): void {
    this.wake();
    void this.flush();
  }

  /** The server cannot be reached: what is shown is what this device kept. */
  away(): void {
    this.delayBy(NO_CONNECTION);
  }

  /** The server answers again. */
  back(): void {
    this.delayBy(undefined);
  }

  /** Something is wrong that trying again does not mend: said, and what waits is kept. */
  fault(text: string): void {
    this.delayBy({ kind: 'fault', text });
  }

  /** A person gives up an entry of theirs that cannot be sent. */
  giveUp(commandId: CommandId): void {
    this.pending = this.pending.filter((each) => each.commandId !== commandId);
    void this.ports.forget(commandId);
    if (this.pending.length === 0) this.delay = undefined;
    this.replay();
  }

  /** What became impossible has been read. */
  dismissLapsed(): void {
    this.lapsed = [];
    this.publish();
  }

  /** The page is gone: nothing more is sent from here. What waits is kept on the device for whose it is. */
  close(): void {
    this.closed = true;
    this.wake();
  }

  private tryOn(
    state: JobState,
    raw: RawCommand,
    signed?: Partial<Countersigned>,
  ): { sent: Sent; entries: readonly Entry[]; state: JobState } | { text: string } {
    const person = this.ports.person();
    if (!person) return { text: this.wordProblem(NOBODY) };
    const command = readCommand(raw);
    if (!command.ok) return { text: this.wordProblem(command.problem) };
    const sent: Sent = {
      commandId: this.ports.newId(),
      ...signed,
      command: command.value,
      person,
      at: this.ports.now(),
    };
    const decided = this.decideOn(state, sent);
    return 'text' in decided ? decided : { sent, ...decided };
  }

  private decideOn(
    state: JobState,
    { commandId, command, at, person: here, signer }: Sent,
    edge: Ports['edge'] = this.ports.edge,
  ): { entries: readonly Entry[]; state: JobState } | { text: string } {
    const person = signer ?? here;
    const facts = decide(state, command, { ...edge, person, now: at });
    if (!facts.ok) return { text: this.wordProblem(facts.problem) };
    const recorded = record(state, facts.value, { commandId, by: person, at });
    return recorded.ok ? recorded.value : { text: this.wordProblem(recorded.problem) };
  }

  /**
   * Puts what is pending on top of what is confirmed again. What was looked up outside the log was looked up when it was
   * done: a shelf that shows a unit as taken meanwhile may show this very command.
   */
  private replay(): void {
    const { instrument, faultCounts } = this.ports.edge;
    const edge = { ...NOTHING_OUTSIDE, instrument, faultCounts };
    let state = this.confirmed;
    const still: Pending[] = [];
    for (const each of this.pending) {
      const decided = this.decideOn(state, each, edge);
      if ('text' in decided) this.lapse(each, wordsOf(each), decided.text);
      else {
        state = decided.state;
        still.push({ ...each, entries: decided.entries });
      }
    }
    this.pending = still;
    this.state = state;
    this.publish();
  }

  private lapse({ command, commandId }: Waiting, what: Phrase, text: string): void {
    this.lapsed = [...this.lapsed, { command, what, text }];
    void this.ports.forget(commandId);
  }

  /** Sends what is pending, one at a time, with the same id until it is decided on, while its person is here. */
  private async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    for (let tries = 0, next = this.pending[0]; next && !this.closed; next = this.pending[0]) {
      if (this.ports.person()?.id !== next.person.id) {
        this.delay = { kind: 'sign-in' };
        break;
      }
      const delay = await this.settled(next);
      this.delayBy(delay);
      if (delay?.kind === 'fault') break;
      if (delay) await this.patience(pauseAfter(tries++));
      else tries = 0;
    }
    this.sending = false;
    if (this.pending.length === 0 && this.delay?.kind !== 'no connection') this.delay = undefined;
    this.publish();
  }

  /** Sends one and takes its answer in; says why, where either could not be done. */
  private async settled(next: Pending): Promise<Delay | undefined> {
    try {
      const answer = await this.ports.post(this.confirmed.version, next);
      if (answer.kind === 'later') return answer.delay;
      await this.settle(next, answer);
      return undefined;
    } catch (error) {
      return this.ports.delayOf(error);
    }
  }

  private patience(milliseconds: number): Promise<void> {
    const woken = new Promise<void>((done) => {
      this.wake = done;
    });
    return Promise.race([this.ports.wait(milliseconds), woken]);
  }

  private async settle(sent: Pending, answer: Exclude<PostAnswer, { kind: 'later' }>): Promise<void> {
    switch (answer.kind) {
      case 'taken':
        return this.receive(answer.entries);
      case 'stale':
        return this.receive(answer.missed);
      case 'refused':
        this.pending = this.pending.filter(({ commandId }) => commandId !== sent.commandId);
        this.lapse(sent, wordsOf(sent), answer.text);
        this.replay();
    }
  }

  private delayBy(delay: Delay | undefined): void {
    this.delay = delay;
    this.publish();
  }

  private publish(): void {
    this.view = this.look();
    this.ports.changed(this.view);
  }

  private look(): View {
    const confirmed = [...this.log];
    return Object.freeze({
      state: this.state,
      entries: [...confirmed, ...this.pending.flatMap(({ entries }) => entries)],
      confirmed,
      waiting: this.pending.map((each) => ({ commandId: each.commandId, what: wordsOf(each) })),
      lapsed: this.lapsed,
      delay: this.delay,
      unkept: this.unkept,
    });
  }
}

/** An entry that waits, as the log would say it; a command that was never decided here, by its kind. */
function wordsOf({ entries: [first], command }: Pending): Phrase {
  return first ? wordEntry(first) : command.kind.replaceAll('-', ' ');
}

/** Longer each time, so that a server that comes back is not fallen upon. */
const pauseAfter = (tries: number): number =>
  Math.min(LONGEST_RETRY_MILLISECONDS, FIRST_RETRY_MILLISECONDS * 2 ** tries);
