import { z } from 'zod';

/** How a run of the solver ended: the last solution is the best, there is none better than asked, or time was up. */
export type Outcome = 'best' | 'none' | 'stopped';

/** A constraint solver somewhere beside this thread. A run that cannot be made at all is an error. */
export interface Solver {
  run(model: string, seconds: number, heard: (solution: Solution) => void): Promise<Outcome>;
}

/** Starts and chosen rows, a task each. */
export interface Solution {
  readonly s: readonly number[];
  readonly r: readonly number[];
}

/** What the solver's worker says while it runs. */
const message = z.union([
  z.object({ type: z.literal('ready') }),
  z.object({
    type: z.literal('solution'),
    output: z.object({ json: z.object({ s: z.array(z.int()), r: z.array(z.int()) }) }),
  }),
  z.object({ type: z.literal('status'), status: z.string() }),
  z.object({ type: z.literal('error'), message: z.string() }),
  z.object({ type: z.literal('exit'), code: z.int().nullable(), message: z.string().optional() }),
]);

/** It also says statistics and warnings, which nobody here wants. */
const spoken = z.looseObject({ type: z.string() });
const KNOWN = new Set(['ready', 'solution', 'status', 'error', 'exit']);

/**
 * A worker of the solver: messages go in, messages come out. Who made it stops it when its time is long over, and says so
 * by an exit without a code.
 */
export interface SolverPort {
  post(message: unknown): void;
  /** One listener at a time. */
  listen(heard: (message: unknown) => void): void;
  close(): void;
}

/** Runs one model on a port, and closes it. */
export function runOn(
  port: SolverPort,
  model: string,
  seconds: number,
  heard: (solution: Solution) => void,
): Promise<Outcome> {
  return new Promise<Outcome>((done, failed) => {
    let outcome: Outcome = 'stopped';
    let error = '';
    function take(said: z.output<typeof message>): void {
      switch (said.type) {
        case 'ready':
          return port.post({
            jsonStream: true,
            files: { 'week.mzn': model },
            args: [...ARGUMENTS, '--time-limit', `${Math.max(1, Math.ceil(seconds * 1000))}`, 'week.mzn'],
          });
        case 'solution':
          return heard(said.output.json);
        case 'status':
          outcome = OUTCOMES[said.status] ?? outcome;
          return;
        case 'error':
          error = said.message;
          return;
        case 'exit':
          port.close();
          if (said.code === null) done('stopped');
          else if (said.code === 0 && error === '') done(outcome);
          else failed(new Error(`the solver failed: ${error || said.message || said.code}`));
      }
    }
    port.listen((raw) => {
      try {
        if (KNOWN.has(spoken.parse(raw).type)) take(message.parse(raw));
      } catch (wrong) {
        port.close();
        failed(wrong instanceof Error ? wrong : new Error(String(wrong)));
      }
    });
  });
}

const ARGUMENTS = ['-i', '--output-mode', 'json', '--solver', 'chuffed', '-f'];
const OUTCOMES: Readonly<Record<string, Outcome>> = {
  OPTIMAL_SOLUTION: 'best',
  UNSATISFIABLE: 'none',
};
