import { signInRequest, type SessionView } from '@dusk-wren/contract';
import { Router, type Request } from 'express';
import rateLimit from 'express-rate-limit';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import { Refusal } from '../refusal';
import { checkPin } from '../sign-in/pin';
import { csrfToken, requireCsrf } from '../sign-in/session';
import { findPersonWithPin, listPeople } from '../store/people';
import { RateLimitStore } from '../store/rate-limit-store';
import { read } from './read';

const view = (request: Request): SessionView => ({
  person: request.session.person ?? null,
  csrf: csrfToken(request),
});

export function sessionRoutes(sequelize: Sequelize, config: Config): Router {
  const router = Router();
  const tries = rateLimit({
    windowMs: 60_000,
    limit: config.SIGN_IN_TRIES,
    standardHeaders: true,
    legacyHeaders: false,
    store: new RateLimitStore(sequelize, 'sign-in'),
    handler: () => {
      throw new Refusal({ code: 'request.too-many', retryAfterSeconds: 60 });
    },
  });

  router.get('/session', (request, response) => {
    response.json(view(request));
  });

  router.get('/people', async (_request, response) => {
    response.json({ people: await listPeople() });
  });

  router.post('/session', tries, requireCsrf, async (request, response) => {
    const { personId, pin } = read(signInRequest, request.body);
    const known = await findPersonWithPin(personId);
    const right = await checkPin(known?.pinHash, pin);
    if (!right || !known) throw new Refusal({ code: 'sign-in.wrong' });
    await new Promise<void>((done, failed) =>
      request.session.regenerate((error: unknown) => (error ? failed(error) : done())),
    );
    request.session.person = known.person;
    response.json(view(request));
  });

  router.delete('/session', requireCsrf, async (request, response) => {
    await new Promise<void>((done, failed) =>
      request.session.destroy((error: unknown) => (error ? failed(error) : done())),
    );
    response.status(204).end();
  });
  return router;
}
