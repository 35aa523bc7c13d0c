import {
  attemptsRequest,
  taskRequest,
  trainingQuery,
  witnessRequest,
  workRule,
} from '@dusk-wren/contract/drills';
import type { PersonId, PersonStamp } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import type { Config } from '../config';
import { findPerson, listPeople } from '../database/people';
import { shopZone } from '../database/shop-day';
import type { Printer } from '../documents/printer';
import { attemptsOf, keepAttempts } from '../drill/attempts';
import { theClass } from '../drill/class';
import { onShift } from '../drill/on-shift';
import { sendTask, takeBackTask, tasksFor } from '../drill/tasks';
import { trainingOf } from '../drill/training';
import { setWorkRule, unwitness, witness } from '../drill/work-rules';
import { drillsCsv } from '../exchange/drill-files';
import { Refusal } from '../refusal';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

interface Host {
  readonly sequelize: Sequelize;
  readonly printer: Printer;
  readonly config: Config;
  readonly now: () => Date;
}

/** Exercises: what somebody did and is to do, what a teacher sends and sees, and what work asks for. No job is touched. */
export function drillRoutes({ sequelize, printer, config, now }: Host): Router {
  const router = Router();
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });
  const mine = async ({ id }: PersonStamp) => ({
    zone: await shopZone(),
    done: await attemptsOf(id),
    tasks: await tasksFor(id),
  });

  router.get('/drills', async (request, response) => {
    response.json(await mine(personOf(request)));
  });

  router.post('/drills/attempts', async (request, response) => {
    const { attempts } = read(attemptsRequest, request.body);
    response.json(await keepAttempts(attempts, personOf(request), now()));
  });

  router.get('/drills/on-shift', async (_request, response) => {
    response.json(await onShift(now()));
  });

  /** One's own papers, or anybody's for a lead. */
  const whose = async (request: Request): Promise<PersonStamp> => {
    const by = personOf(request);
    const { person } = read(trainingQuery, request.query);
    if (person === undefined || person === by.id) return by;
    mayTeach(by);
    return existing(person);
  };

  router.get('/drills/certificate.pdf', async (request, response) => {
    const person = await whose(request);
    const training = await trainingOf(person, now(), await shopZone());
    const pdf = await printer.training(training, `${config.PUBLIC_URL}/drill`);
    response
      .type('application/pdf')
      .set('content-disposition', 'inline; filename="certificate-of-training.pdf"')
      .send(pdf);
  });

  router.get('/drills/history.csv', async (request, response) => {
    const person = await whose(request);
    const done = [{ name: person.name, done: await attemptsOf(person.id) }];
    response.type('text/csv; charset=utf-8').attachment('drills.csv').send(drillsCsv(done));
  });

  router.get('/drills/class', onlyLead, async (_request, response) => {
    response.json(await theClass(now()));
  });

  router.get('/drills/class.csv', onlyLead, async (_request, response) => {
    const people = await listPeople();
    const done = await Promise.all(
      people.map(async ({ id, name }) => ({ name, done: await attemptsOf(id) })),
    );
    response.type('text/csv; charset=utf-8').attachment('drills-of-all.csv').send(drillsCsv(done));
  });

  const rowId = z.coerce.number().int().positive();
  const writes: Readonly<Record<string, (request: Request) => Promise<unknown>>> = {
    '/tasks': (request) => sendTask(moment(request), read(taskRequest, request.body)),
    '/tasks/:id/remove': (request) => takeBackTask(moment(request), read(z.uuid(), request.params['id'])),
    '/rules': (request) => setWorkRule(moment(request), read(workRule, request.body)),
    '/witnessed': (request) => witness(moment(request), read(witnessRequest, request.body)),
    '/witnessed/:id/remove': (request) => unwitness(moment(request), read(rowId, request.params['id'])),
  };
  for (const [path, write] of Object.entries(writes))
    router.post(`/drills${path}`, onlyLead, async (request, response) => {
      await write(request);
      response.json(await theClass(now()));
    });
  return router;
}

function mayTeach({ role }: PersonStamp): void {
  if (role !== 'lead') throw new Refusal({ code: 'role.not-allowed', role, wanted: ['lead'] });
}

async function existing(id: PersonId): Promise<PersonStamp> {
  const person = await findPerson(id);
  if (!person) throw new Refusal({ code: 'person.unknown', id });
  return person;
}
