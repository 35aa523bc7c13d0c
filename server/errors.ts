import type { AnyProblem } from '@dusk-wren/contract';
import { STATUS } from '@dusk-wren/contract/status';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { NextFunction, Request, Response } from 'express';
import { Refusal } from './refusal';

/** Every error ends here: a problem with its words and status, or one number to say, and nothing of our insides. */
export function answerError(error: unknown, request: Request, response: Response, next: NextFunction): void {
  if (response.headersSent) {
    request.log.error({ err: error }, 'failed after the answer had begun');
    next(error);
    return;
  }
  const problem = problemOf(error, String(request.id));
  const status = STATUS[problem.code];
  if (status >= 500) request.log.error({ err: error }, 'request failed');
  if (problem.code === 'request.too-many') response.set('retry-after', String(problem.retryAfterSeconds));
  response.status(status).json({ problem, text: wordProblem(problem) });
}

function problemOf(error: unknown, requestId: string): AnyProblem {
  if (error instanceof Refusal) return error.problem;
  const kind = typeof error === 'object' && error !== null && 'type' in error ? error.type : undefined;
  if (
    kind === 'entity.parse.failed' ||
    kind === 'encoding.unsupported' ||
    kind === 'charset.unsupported' ||
    kind === 'request.aborted'
  )
    return { code: 'request.not-json' };
  if (kind === 'entity.too.large') return { code: 'request.too-large', limit: '5 MB' };
  if (error instanceof URIError || (error instanceof Error && 'status' in error && error.status === 400)) {
    return { code: 'request.invalid', issues: [{ path: 'address', message: 'cannot be read' }] };
  }
  return { code: 'server.failed', requestId };
}

export function notFound(): never {
  throw new Refusal({ code: 'not-found', what: 'page' });
}
