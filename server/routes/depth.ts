import type { NextFunction, Request, Response } from 'express';
import { Refusal } from '../refusal';

/** Nothing that people enter is nested deeper; what reads it calls itself once a level. */
const DEEPEST = 60;

/** Refuses a body nested so deep that only an attack is. */
export function notTooDeep(request: Request, _response: Response, next: NextFunction): void {
  refuseTooDeep(request.body);
  next();
}

export function refuseTooDeep(value: unknown): void {
  if (depthOver(value, DEEPEST))
    throw new Refusal({
      code: 'request.invalid',
      issues: [{ path: '', message: `Nested more than ${DEEPEST} levels deep.` }],
    });
}

function depthOver(root: unknown, limit: number): boolean {
  let level: unknown[] = [root];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > limit) return true;
    level = level.flatMap((value) =>
      typeof value === 'object' && value !== null ? (Object.values(value) as unknown[]) : [],
    );
  }
  return false;
}
