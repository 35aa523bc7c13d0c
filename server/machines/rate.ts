import { TOKEN_ASKS_A_MINUTE } from '@dusk-wren/contract';
import { rateLimit } from 'express-rate-limit';
import { Refusal } from '../refusal';
import { machineOf } from './bearer';

const MINUTE = 60_000;

/** A machine that asks without end is told to wait; people are counted elsewhere, where they guess. */
export const notTooMany = () =>
  rateLimit({
    windowMs: MINUTE,
    limit: TOKEN_ASKS_A_MINUTE,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skip: ({ machine }) => machine === undefined,
    keyGenerator: (request) => machineOf(request).id,
    handler: (_request, response, next) => {
      const seconds = Number(response.getHeader('retry-after')) || MINUTE / 1000;
      next(new Refusal({ code: 'request.too-many', retryAfterSeconds: seconds }));
    },
  });
