import { Op, type ModelStatic, type Model, type Sequelize } from 'sequelize';
import { Refusal } from '../refusal';
import { PersonRow } from '../database/models';

/** Whose stream it is, and how to end it. */
export interface OpenStream {
  readonly sid: string;
  readonly personId: string;
  readonly end: () => void;
}

const LOOK_MILLISECONDS = 2000;
/** Several screens, each with a job and an instrument, and none left over from a page that went wrong. */
const MOST_OF_A_PERSON = 20;
const TRY_AGAIN_SECONDS = 5;

/**
 * Streams that are open now. They outlive the look at the session that let them in, so that it is looked at again: who has
 * signed out, whose sign-in has run out, or who is gone hears no more.
 */
export class OpenStreams {
  private readonly streams = new Set<OpenStream>();
  private timer: NodeJS.Timeout | undefined;
  private isLooking = false;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly onFailure: (error: unknown) => void,
  ) {}

  /** Registers a stream until the returned function is called. */
  add(stream: OpenStream): () => void {
    if ([...this.streams].filter(({ personId }) => personId === stream.personId).length >= MOST_OF_A_PERSON)
      throw new Refusal({ code: 'request.too-many', retryAfterSeconds: TRY_AGAIN_SECONDS });
    this.streams.add(stream);
    this.lookSoon();
    return () => {
      this.streams.delete(stream);
      if (this.streams.size === 0) this.stop();
    };
  }

  endAll(): void {
    for (const { end } of this.streams) end();
    this.streams.clear();
    this.stop();
  }

  private stop(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  /** One look at a time, as long as there is anything to look at. */
  private lookSoon(): void {
    if (this.isLooking || this.streams.size === 0) return;
    this.timer ??= setTimeout(() => void this.look(), LOOK_MILLISECONDS);
  }

  private async look(): Promise<void> {
    this.timer = undefined;
    this.isLooking = true;
    try {
      // One that is opened while the database is asked was let in just now: it was not asked for.
      const those = [...this.streams];
      const [sids, people] = await Promise.all([this.signedIn(those), this.onFile(those)]);
      for (const { sid, personId, end } of those) if (!sids.has(sid) || !people.has(personId)) end();
    } catch (error) {
      this.onFailure(error);
    }
    this.isLooking = false;
    this.lookSoon();
  }

  private async signedIn(those: readonly OpenStream[]): Promise<Set<string>> {
    const sessions: ModelStatic<Model<{ sid: string; expires: Date }>> = this.sequelize.model('SessionRow');
    const rows = await sessions.findAll({
      where: { sid: distinct(those, 'sid'), expires: { [Op.gt]: new Date() } },
      attributes: ['sid'],
    });
    return new Set(rows.map((row) => String(row.get('sid'))));
  }

  private async onFile(those: readonly OpenStream[]): Promise<Set<string>> {
    const rows = await PersonRow.findAll({
      where: { id: distinct(those, 'personId'), leftAt: null },
      attributes: ['id'],
    });
    return new Set(rows.map(({ id }) => id));
  }
}

const distinct = (those: readonly OpenStream[], key: 'sid' | 'personId'): string[] => [
  ...new Set(those.map((stream) => stream[key])),
];
