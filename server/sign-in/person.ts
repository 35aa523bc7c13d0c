import type { PersonStamp } from '@dusk-wren/core/job';
import type { NextFunction, Request, Response } from 'express';
import { Refusal } from '../refusal';
import { findPerson } from '../database/people';
import { emptySession } from './session';

declare module 'express-serve-static-core' {
  interface Request {
    /** Who is signed in, as the table of people has it now. */
    person?: PersonStamp;
  }
}

/** Looks up who is signed in; the session of somebody who is gone is ended. */
export async function whoIs(request: Request): Promise<PersonStamp | undefined> {
  const { personId } = request.session;
  if (personId === undefined) return undefined;
  const person = await findPerson(personId);
  if (!person) await emptySession(request);
  return person;
}

/** Lets nobody past who is not signed in, or is gone since. */
export async function requirePerson(
  request: Request,
  _response: Response,
  next: NextFunction,
): Promise<void> {
  const person = await whoIs(request);
  if (!person) throw new Refusal({ code: 'sign-in.needed' });
  request.person = person;
  next();
}

/** The person signed in, or a refusal. */
export function personOf({ person }: Request): PersonStamp {
  if (!person) throw new Refusal({ code: 'sign-in.needed' });
  return person;
}

const READING: readonly string[] = ['GET', 'HEAD'];

/**
 * A write says whose it is. One that was made by another than who is signed in now, in a second window or after a change
 * of shift, is refused and stored under nobody's name.
 */
export function requireSamePerson(request: Request, _response: Response, next: NextFunction): void {
  const { id, name } = personOf(request);
  if (!READING.includes(request.method) && request.get('x-person') !== id)
    throw new Refusal({ code: 'person.other', signedIn: name });
  next();
}

/** Lets only a lead past, before anything is read or reckoned. */
export function onlyLead(request: Request, _response: Response, next: NextFunction): void {
  const { role } = personOf(request);
  if (role !== 'lead') throw new Refusal({ code: 'role.not-allowed', role, wanted: ['lead'] });
  next();
}
