import type { AnyProblem } from '@dusk-wren/contract';
import { STATUS } from '@dusk-wren/contract/status';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { NextFunction, Request, Response } from 'express';
import { Refusal } from './refusal';
import { databaseProblem, withoutStatement } from './database/failures';

const RETRY_SECONDS = 2;

/** Every error ends here: a problem with its words and status, or one number to say, and nothing of our insides. */
export function answerError(error: unknown, request: Request, response: Response, next: NextFunction): void {
  if (response.headersSent) {
    request.log.error({ err: withoutStatement(error) }, 'failed after the answer had begun');
    next(error);
    return;
  }
  const problem = problemOf(
    error,
    typeof request.id === 'object' ? JSON.stringify(request.id) : String(request.id),
  );
  if (problem.code === 'server.failed') request.log.error({ err: withoutStatement(error) }, 'request failed');
  if (problem.code === 'database.unwritable')
    request.log.error({ why: withoutStatement(error)['message'] }, `nothing can be stored: ${problem.why}`);
  if (problem.code === 'database.away')
    request.log.warn({ why: withoutStatement(error)['message'] }, 'the database does not answer');
  if (problem.code === 'database.away' || problem.code === 'database.unwritable') {
    response.set('retry-after', String(RETRY_SECONDS));
  }
  if (problem.code === 'request.too-many') response.set('retry-after', String(problem.retryAfterSeconds));
  response.status(STATUS[problem.code]).json({ problem, text: wordProblem(problem) });
}

function problemOf(error: unknown, requestId: string): AnyProblem {
  if (error instanceof Refusal) return error.problem;
  return databaseProblem(error) ?? problemOfRequest(error) ?? { code: 'server.failed', requestId };
}

const NO_JSON: readonly unknown[] = [
  'entity.parse.failed',
  'encoding.unsupported',
  'charset.unsupported',
  'request.aborted',
];

/** What the server's own parts say of a request that they could not read. */
function problemOfRequest(error: unknown): AnyProblem | undefined {
  if (typeof error !== 'object' || error === null) return undefined;
  const kind = 'type' in error ? error.type : undefined;
  if (NO_JSON.includes(kind)) return { code: 'request.not-json' };
  if (kind === 'entity.too.large') return { code: 'request.too-large', limit: megabytes(error) };
  const status = 'status' in error ? error.status : undefined;
  if (status === 404) return { code: 'not-found', what: 'page' };
  if (status === 413) return { code: 'request.too-large', limit: megabytes(error) };
  const unpacking = 'code' in error && typeof error.code === 'string' && error.code.startsWith('Z_');
  if (unpacking)
    return { code: 'request.invalid', issues: [{ path: '', message: 'What was sent cannot be unpacked.' }] };
  if (error instanceof URIError || (typeof status === 'number' && status >= 400 && status < 500))
    return { code: 'request.invalid', issues: [{ path: 'address', message: 'cannot be read' }] };
  return undefined;
}

const megabytes = (error: object): string =>
  'limit' in error && typeof error.limit === 'number'
    ? error.limit >= 1024 * 1024
      ? `${Math.round(error.limit / 1024 / 1024)} MB`
      : `${Math.round(error.limit / 1024)} kB`
    : 'may be sent at once';

export function notFound(): never {
  throw new Refusal({ code: 'not-found', what: 'page' });
}
