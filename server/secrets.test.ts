import { confirmationView, sessionView } from '@dusk-wren/contract';
import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp, type App } from './app';
import { isConfirmed } from './sign-in/confirmation';
import { openShop, PIN, Screen, type Shop } from './testing/shop';

const NEXT = 'another secret for tests alone, 32+';

describe('another secret of the shop', () => {
  let shop: Shop;
  const apps: App[] = [];
  const serverWith = (secrets: object) => {
    const app = createApp(shop.sequelize, { ...shop.config, ...secrets }, pino({ level: 'silent' }));
    apps.push(app);
    return app.express;
  };
  const both = () => ({ SESSION_SECRET: NEXT, SESSION_SECRET_BEFORE: shop.config.SESSION_SECRET });
  beforeAll(async () => {
    shop = await openShop();
  });
  afterAll(async () => {
    for (const app of apps) await app.close();
    await shop.close();
  });

  it('signs nobody out while the one before stands beside it', async () => {
    const ada = await Screen.open(shop, 'ada');
    const answer = await request(serverWith(both())).get('/api/jobs').set('cookie', ada.cookie);
    expect(answer.status).toBe(200);
  });
  it('signs everybody out where it stands alone', async () => {
    const ada = await Screen.open(shop, 'ada');
    const answer = await request(serverWith({ SESSION_SECRET: NEXT }))
      .get('/api/jobs')
      .set('cookie', ada.cookie);
    expect(answer.status).toBe(401);
  });
  it('a page that was open before still signs in', async () => {
    const begun = await request(shop.app.express).get('/api/session');
    const cookie = begun.headers['set-cookie'] ?? '';
    const { csrf } = sessionView.parse(begun.body);
    const signIn = (secrets: object) =>
      request(serverWith(secrets))
        .post('/api/session')
        .set({ cookie, 'x-csrf-token': csrf })
        .send({ personId: shop.people.ada, pin: PIN });
    expect((await signIn({ SESSION_SECRET: NEXT })).body.problem.code).toBe('csrf.missing');
    expect((await signIn(both())).status).toBe(200);
  });
  it('a signature that waits on a device stays good', async () => {
    const ada = await Screen.open(shop, 'ada');
    const commandId = randomUUID();
    const { confirmation } = confirmationView.parse(
      (await ada.post('/api/confirmations', { pin: PIN, commandId })).body,
    );
    const isGood = (secrets: object) =>
      isConfirmed({ ...shop.config, ...secrets }, shop.people.ada, commandId, confirmation, new Date());
    expect([isGood({}), isGood(both()), isGood({ SESSION_SECRET: NEXT })]).toEqual([true, true, false]);
    const another = { ...shop.config, ...both() };
    expect(isConfirmed(another, shop.people.bo, commandId, confirmation, new Date())).toBe(false);
  });
});
