import type { UnitSystem } from '@dusk-wren/core/quantity';
import type { JobId } from '@dusk-wren/core/job';
import type { AnyProblem } from '@dusk-wren/contract';
import type { InDoubt, ReadOtherwise } from '@dusk-wren/core/command';
import { Piscina } from 'piscina';
import { Refusal } from '../refusal';
import type { DaySheet } from './day-sheet-pdf';
import type { PrintedBy } from './paper';
import type { Training } from './training-pdf';
import { codesOf, writtenCode } from './paper-code';
import { loadRawLog } from '../database/job-log';

export const PAPERS = ['certificate', 'isolation', 'job-sheet'] as const;
export type Paper = (typeof PAPERS)[number];

interface Asked {
  readonly paper: Paper;
  readonly jobId: JobId;
  readonly version: number;
  readonly units: UnitSystem;
  /** Where this shop is found. */
  readonly site: string;
}

/** What the worker is asked: a paper of a job, what of a log from elsewhere would have been refused here, or what other readings would make of one. */
export type Errand =
  | {
      readonly kind: 'print';
      readonly paper: Paper;
      readonly log: readonly unknown[];
      readonly units: UnitSystem;
      readonly address: string;
      /** Of a signed certificate: by it the paper is held against its record. */
      readonly code?: string;
      readonly shop: PrintedBy;
    }
  | {
      readonly kind: 'day-sheet';
      readonly day: string;
      readonly sheets: readonly DaySheet[];
      readonly address: string;
      readonly shop: PrintedBy;
    }
  | {
      readonly kind: 'training';
      readonly training: Training;
      readonly address: string;
      readonly shop: PrintedBy;
    }
  | { readonly kind: 'replay'; readonly log: readonly unknown[] }
  | { readonly kind: 'weigh'; readonly log: readonly unknown[]; readonly doubt: InDoubt };

export type Answer =
  | { readonly kind: 'printed'; readonly pdf: Uint8Array }
  | { readonly kind: 'replayed'; readonly refused: readonly { seq: number; problem: AnyProblem }[] }
  | { readonly kind: 'weighed'; readonly otherwise: ReadOtherwise }
  | { readonly kind: 'refused'; readonly problem: AnyProblem };

const MOST_WAITING = 60;
const KEPT_PAPERS = 24;
const SECONDS_A_PAPER = 5;

/** From the built server its neighbour; from the sources themselves, read by tsx. */
const fromSource = import.meta.url.endsWith('.ts');
const WORKER = new URL(fromSource ? './printer-worker.ts' : './printer-worker.mjs', import.meta.url);

/**
 * Long work on a job's log, off the event loop: one worker, others wait their turn. A paper asked for again is the same
 * while the job has not grown.
 */
export class Printer {
  private readonly pool = new Piscina<Errand, Answer>({
    filename: WORKER.href,
    minThreads: 0,
    maxThreads: 1,
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
    ...(fromSource ? { execArgv: ['--import', 'tsx'] } : {}),
  });
  private readonly kept = new Map<string, Buffer>();

  /** `shop` says whose papers these are, as it is now. */
  constructor(private readonly shop: () => Promise<PrintedBy>) {}

  async print({ paper, jobId, version, units, site }: Asked): Promise<Buffer> {
    const shop = await this.shop();
    const name = [paper, jobId, version, units, shop.name, shop.zone].join(' ');
    const before = this.kept.get(name);
    if (before) return before;
    const log = await loadRawLog(jobId, 0);
    const signed = paper === 'certificate' ? codesOf(jobId, log).at(-1) : undefined;
    const code = signed && writtenCode(signed.code);
    const address = code === undefined ? `${site}/jobs/${jobId}` : `${site}/papers/${code}`;
    const answer = await this.ask({
      ...{ kind: 'print' as const, paper, log, units, address, shop },
      ...(code === undefined ? {} : { code }),
    });
    if (answer.kind !== 'printed') throw new Error('the printer answered something else');
    const pdf = Buffer.from(answer.pdf);
    this.keep(name, pdf);
    return pdf;
  }

  /** What each does on a day, on paper. */
  async daySheet(day: string, sheets: readonly DaySheet[], address: string): Promise<Buffer> {
    const answer = await this.ask({ kind: 'day-sheet', day, sheets, address, shop: await this.shop() });
    if (answer.kind !== 'printed') throw new Error('the printer answered something else');
    return Buffer.from(answer.pdf);
  }

  /** What somebody has learnt, on paper. */
  async training(training: Training, address: string): Promise<Buffer> {
    const answer = await this.ask({ kind: 'training', training, address, shop: await this.shop() });
    if (answer.kind !== 'printed') throw new Error('the printer answered something else');
    return Buffer.from(answer.pdf);
  }

  /** What of this log would have been refused here. */
  async replay(log: readonly unknown[]): Promise<readonly { seq: number; problem: AnyProblem }[]> {
    const answer = await this.ask({ kind: 'replay', log });
    return answer.kind === 'replayed' ? answer.refused : [];
  }

  /** What would stand otherwise on a job where an instrument was so far off; nothing where its log cannot be read so. */
  async weigh(log: readonly unknown[], doubt: InDoubt): Promise<ReadOtherwise | undefined> {
    const answer = await this.ask({ kind: 'weigh', log, doubt });
    return answer.kind === 'weighed' ? answer.otherwise : undefined;
  }

  async close(): Promise<void> {
    await this.pool.destroy();
  }

  private async ask(errand: Errand): Promise<Answer> {
    if (this.pool.queueSize >= MOST_WAITING)
      throw new Refusal({ code: 'request.too-many', retryAfterSeconds: SECONDS_A_PAPER });
    const answer = await this.pool.run(errand);
    if (answer.kind === 'refused') throw new Refusal(answer.problem);
    return answer;
  }

  private keep(name: string, pdf: Buffer): void {
    this.kept.set(name, pdf);
    const [oldest] = this.kept.keys();
    if (this.kept.size > KEPT_PAPERS && oldest !== undefined) this.kept.delete(oldest);
  }
}
