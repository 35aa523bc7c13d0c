import {
  badgeRequest,
  confirmationRequest,
  firstLeadRequest,
  ownPinRequest,
  signInRequest,
  type PersonView,
  type SessionView,
} from '@dusk-wren/contract';
import express, { Router, type Request, type Response } from 'express';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import { Refusal } from '../refusal';
import { confirmationFor } from '../sign-in/confirmation';
import { ensureCookie, readCookie } from '../sign-in/cookies';
import { csrfGuard, csrfToken } from '../sign-in/csrf';
import { whoseBadge } from '../database/badges';
import { deviceKeyOf } from '../database/device-keys';
import { settingsOf } from '../database/shop-settings';
import { isFirstLeadCode } from '../sign-in/first-lead';
import { whoIs } from '../sign-in/person';
import { hashNewPin } from '../sign-in/pin';
import { beginSession, endSession } from '../sign-in/session';
import { askSecond, asksSecond } from '../sign-in/second-factor';
import { tryPin } from '../sign-in/try-pin';
import { rememberDevice } from '../database/known-devices';
import { addFirstPerson, findPersonWithPin, keepPin, listPeople } from '../database/people';
import { beginTry, forgetTries } from '../database/sign-in-tries';
import { read } from './read';

const A_PIN_IS_SHORT = '10kb';

/** Who is at this screen: signing in and out, the first lead, and the PIN asked again for a signature. */
export function sessionRoutes(sequelize: Sequelize, config: Config, now: () => Date): Router {
  const router = Router();
  const csrf = csrfGuard(config);
  const json = express.json({ limit: A_PIN_IS_SHORT, strict: true });

  async function view(
    request: Request,
    response: Response,
    person: PersonView | undefined,
  ): Promise<SessionView> {
    const { name, units, lockMinutes } = await settingsOf(config);
    return {
      person: person ?? null,
      csrf: csrfToken(request, response, config),
      ...{ shop: name, units, lockMinutes },
      deviceKey: person ? await deviceKeyOf(person.id) : null,
    };
  }

  async function signedIn(request: Request, response: Response, person: PersonView): Promise<SessionView> {
    await beginSession(request, person.id);
    await rememberDevice(ensureCookie(request, response, 'device', config), person.id, now());
    return view(request, response, person);
  }

  router.get('/session', async (request, response) => {
    response.json(await view(request, response, await whoIs(request)));
  });

  router.get('/people', async (_request, response) => {
    response.json({ people: await listPeople() });
  });

  router.post('/badge', csrf, json, async (request, response) => {
    const { code } = read(badgeRequest, request.body);
    // Wrong ones are counted as wrong PINs are: nobody finds a badge by trying.
    const key = `badge ${readCookie(request, 'device') ?? 'stranger'}`;
    const begun = await beginTry(sequelize, key, now());
    if ('wait' in begun) throw new Refusal({ code: 'request.too-many', retryAfterSeconds: begun.wait });
    const personId = await whoseBadge(code);
    if (personId === undefined) throw new Refusal({ code: 'badge.unknown' });
    await forgetTries(key);
    response.json({ personId });
  });

  router.post('/session', csrf, json, async (request, response) => {
    const { personId, pin, second } = read(signInRequest, request.body);
    const person = await tryPin(sequelize, request, personId, pin, now());
    if (!person) throw new Refusal({ code: 'sign-in.wrong' });
    await askSecond(sequelize, await settingsOf(config), person, second, now());
    response.json(await signedIn(request, response, person));
  });

  router.post('/own-pin', csrf, json, async (request, response) => {
    const { personId, code, pin } = read(ownPinRequest, request.body);
    const person = await tryPin(sequelize, request, personId, code, now(), { byCode: true });
    const found = person && (await findPersonWithPin(person.id));
    if (!person || !found?.codeUntil) throw new Refusal({ code: 'sign-in.wrong' });
    if (found.codeUntil < now()) throw new Refusal({ code: 'pin.code-over' });
    await keepPin(person.id, await hashNewPin(pin, person.role));
    // The PIN is kept; who has to show a second factor signs in with both.
    await askSecond(sequelize, await settingsOf(config), person, undefined, now());
    response.json(await signedIn(request, response, person));
  });

  router.post('/first-lead', csrf, json, async (request, response) => {
    const { code, name, pin } = read(firstLeadRequest, request.body);
    const begun = await beginTry(sequelize, 'first lead', now());
    if ('wait' in begun) throw new Refusal({ code: 'request.too-many', retryAfterSeconds: begun.wait });
    if (!isFirstLeadCode(config, code)) {
      request.log.warn('wrong code for the first lead');
      throw new Refusal({ code: 'first-lead.wrong-code' });
    }
    const pinHash = await hashNewPin(pin, 'lead');
    const person = await addFirstPerson(sequelize, { name, role: 'lead', pinHash });
    if (!person) throw new Refusal({ code: 'first-lead.somebody-is-here' });
    response.status(201).json(await signedIn(request, response, person));
  });

  router.post('/confirmations', csrf, json, async (request, response) => {
    const { pin, commandId, personId } = read(confirmationRequest, request.body);
    const person = await whoIs(request);
    if (!person) throw new Refusal({ code: 'sign-in.needed' });
    if (request.get('x-person') !== person.id)
      throw new Refusal({ code: 'person.other', signedIn: person.name });
    const signer = personId ?? person.id;
    const signs = await tryPin(sequelize, request, signer, pin, now());
    if (!signs) throw new Refusal({ code: 'pin.wrong' });
    // Who has signed in here has shown both; at another's screen a PIN alone would be all.
    if (signs.id !== person.id && asksSecond(await settingsOf(config), signs.role))
      throw new Refusal({ code: 'second.own-screen', name: signs.name });
    response.json({ confirmation: confirmationFor(config, signer, commandId, now()) });
  });

  router.delete('/session', csrf, async (request, response) => {
    await endSession(request);
    response.status(204).end();
  });
  return router;
}
