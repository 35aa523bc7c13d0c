import type { z } from 'zod';
import type { MachineScope } from '../machine-scopes';

export const GROUPS = [
  'Machines',
  'Signing in',
  'Jobs',
  'Papers and files of a job',
  'Valves and what is due',
  'Store',
  'Week',
] as const;
export type Group = (typeof GROUPS)[number];

export type Method = 'get' | 'post' | 'put' | 'delete';

/** What an operation answers with when all went well: JSON, a file of this type, or nothing. */
export type Answer =
  | { readonly status: 200 | 201 | 202; readonly json: z.ZodType }
  | { readonly status: 200; readonly file: string }
  | { readonly status: 204 };

/** One thing that can be asked of the server over HTTP. */
export interface Operation {
  /** A name for it that generated clients use. */
  readonly id: string;
  readonly method: Method;
  /** Below `/api`; what stands in braces is told apart by `parameters`. */
  readonly path: string;
  readonly group: Group;
  readonly summary: string;
  /** Anybody; whoever is signed in; a lead; a machine alone, with the scope. */
  readonly who: 'anybody' | 'person' | 'lead' | 'machine';
  /** The scope of a token that may ask it too. */
  readonly scope?: MachineScope;
  /** What each part of the path in braces is. */
  readonly parameters?: Readonly<Record<string, string>>;
  readonly query?: z.ZodObject<Readonly<Record<string, z.ZodType>>>;
  readonly body?: z.ZodType;
  readonly answer: Answer;
  /** Where the entry was of an older version of the job: what was missed. */
  readonly stale?: z.ZodType;
}

/** Writes of a person carry the token of their session and whose they are. */
export const isPersonsWrite = ({ method, who }: Pick<Operation, 'method' | 'who'>): boolean =>
  method !== 'get' && who !== 'machine';
