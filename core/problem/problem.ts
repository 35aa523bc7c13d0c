/**
 * Every way the core can say no, as data. Wording lives in `contract/wording`,
 * HTTP status in `contract/status`; tests prove that each code has both.
 */
export type Problem =
  // quantities
  | { code: 'quantity.empty' }
  | { code: 'quantity.unreadable'; text: string; understood: string; leftover: string }
  | { code: 'quantity.unit-missing'; text: string; number: number; suggestions: string[] }
  | { code: 'quantity.unit-unknown'; text: string; number: number; unit: string; suggestions: string[] }
  | { code: 'quantity.wrong-kind'; text: string; unit: string; wanted: string; found: string[] }
  | { code: 'quantity.not-finite'; text: string }
  | { code: 'quantity.two-readings'; text: string; either: string; or: string }
  // workings
  | { code: 'working.unknown'; id: string; known: string[] }
  | { code: 'input.invalid'; issues: InputIssue[] }
  | { code: 'input.out-of-range'; field: string; value: string; allowed: string; why: string }
  | { code: 'input.conflict'; fields: string[]; why: string }
  | { code: 'input.too-few'; field: string; count: number; least: number; why: string }
  | { code: 'table.no-entry'; table: string; looked: string; has: string }
  // valve
  | { code: 'construction.unknown'; id: string; known: string[] }
  | { code: 'features.contradict'; why: string }
  // plan
  | { code: 'plan.cycle'; fragments: string[] }
  | { code: 'plan.same-step'; steps: string[] }
  // commands
  | { code: 'command.unknown'; kind: string }
  | { code: 'command.invalid'; kind: string; issues: InputIssue[] }
  | { code: 'job.not-open' }
  | { code: 'job.released' }
  | { code: 'step.unknown'; step: string }
  | { code: 'step.already-done'; step: string; by?: string }
  | { code: 'step.waits'; step: string; waits: string[] }
  | { code: 'step.wants'; step: string; wants: string }
  | { code: 'instrument.unknown'; id: string }
  | { code: 'call.none'; part: string }
  | { code: 'entry.unknown'; seq: number }
  | { code: 'entry.fixed'; seq: number; why: string }
  | { code: 'entry.unfounded'; seq: number }
  | { code: 'hold.wrong-role'; role: string }
  | { code: 'hold.own-work'; person: string }
  | { code: 'reading.own'; person: string }
  | { code: 'hold.asks-open'; parts: string[] }
  | { code: 'role.not-allowed'; role: string; wanted: string[] }
  | { code: 'unit.does-not-fit'; unit: string; valve: string }
  | { code: 'unit.already-taken'; unit: string; serial: string }
  | { code: 'unit.not-on-shelf'; unit: string; serial: string }
  | { code: 'lock.elsewhere'; lock: string; where: string }
  | { code: 'lock.not-yours'; lock: string; owner: string }
  | { code: 'isolation.both-sides'; person: string }
  | { code: 'isolation.own-hand'; person: string; what: 'lock' | 'zero' }
  | { code: 'isolation.not-done-by'; person: string }
  | { code: 'certificate.own-work'; person: string }
  | { code: 'sheet.own'; person: string }
  | { code: 'reading.not-steady'; what: string; change?: Figure; over: Figure }
  | { code: 'person.unknown'; id: string }
  | { code: 'photo.not-of-job'; photo: string }
  | { code: 'leak.counted-otherwise'; found: string; wanted: string }
  // drills
  | { code: 'drill.no-sense'; drill: string; construction: string }
  | { code: 'drill.not-planted'; drill: string }
  | { code: 'drill.cannot-be-told'; drill: string }
  // formats
  | { code: 'event.unknown-kind'; kind: string; seq: number }
  | { code: 'event.unknown-format'; kind: string; format: number; known: number }
  | { code: 'event.broken'; kind: string; seq: number; issues: InputIssue[] }
  | { code: 'event.out-of-order'; expected: number; found: number };

/** A quantity as a problem carries it: worded where it is read, in the reader's units. */
export interface Figure {
  readonly dimension: string;
  readonly value: number;
  readonly unit: string;
}

/** One thing wrong with one field of what was entered. `path` is dotted, empty for the whole. */
export interface InputIssue {
  path: string;
  problem: Problem | { code: 'field'; message: string };
}

export type ProblemCode = Problem['code'];
