import type { z } from 'zod';
import type { InputIssue, Problem } from './problem';

/** Zod's issues as ours; a `params.problem` set by our own schemas is carried through whole. */
export function issuesFromZod(error: z.ZodError): InputIssue[] {
  return error.issues.map((issue) => ({
    path: issue.path.map(String).join('.'),
    problem: carried(issue) ?? { code: 'field', message: issue.message },
  }));
}

function carried(issue: z.core.$ZodIssue): Problem | undefined {
  if (issue.code !== 'custom') return undefined;
  const held: unknown = issue.params?.['problem'];
  return isProblem(held) ? held : undefined;
}

function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'code' in value && typeof value.code === 'string';
}
