import {
  betterPlanRequest,
  daySheetQuery,
  pinRequest,
  timetableQuery,
  toComeRequest,
  unpinRequest,
  wantRequest,
} from '@dusk-wren/contract/week';
import type { PlannedJobView } from '@dusk-wren/contract/planned';
import { jobId } from '@dusk-wren/core/job';
import { sayDay } from '@dusk-wren/core/quantity';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import type { Printer } from '../documents/printer';
import { duesCalendar, timetable, weekCsv } from '../exchange/week-files';
import { pinOperation, setWant, unpinOperation } from '../database/week-wants';
import { onlyLead, personOf } from '../sign-in/person';
import { daySheets } from '../week/day-sheets';
import { operationsToCome } from '../week/job-to-come';
import { piecesOf, saidOf } from '../week/kept';
import type { WeekKeeper } from '../week/keeper';
import { read } from './read';

interface Host {
  readonly sequelize: Sequelize;
  readonly week: WeekKeeper;
  readonly printer: Printer;
  readonly config: Config;
  readonly now: () => Date;
}

const NOT_PLANNED: PlannedJobView = { readyAt: null, lateMinutes: 0, next: null };

/** The plan of the shop's week: read by everybody, and what a lead wants of it. */
export function weekRoutes({ sequelize, week, printer, config, now }: Host): Router {
  const router = Router();
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/week', async (_request, response) => {
    response.json(await week.current());
  });

  router.get('/week/mine', async (request, response) => {
    response.json({ pieces: piecesOf(await week.current(), personOf(request).id) });
  });

  router.get('/week/jobs/:id', async (request, response) => {
    const id = read(jobId, request.params.id);
    response.json((await saidOf(id)) ?? NOT_PLANNED);
  });

  router.get('/week/day-sheet.pdf', async (request, response) => {
    const { day, person } = read(daySheetQuery, request.query);
    const sheets = daySheets(await week.current(), day, person);
    const pdf = await printer.daySheet(sayDay(day), sheets, `${config.PUBLIC_URL}/week`);
    response
      .type('application/pdf')
      .set('content-disposition', `inline; filename="day-sheet-${day}.pdf"`)
      .send(pdf);
  });

  router.get('/week/calendar.ics', async (request, response) => {
    const { person, place } = read(timetableQuery, request.query);
    const view = await week.current();
    const file =
      person !== undefined
        ? timetable(view, { person }, now())
        : place !== undefined
          ? timetable(view, { place }, now())
          : duesCalendar(view, now());
    response.type('text/calendar; charset=utf-8').attachment('week.ics').send(file);
  });

  router.get('/week.csv', async (_request, response) => {
    response
      .type('text/csv; charset=utf-8')
      .attachment('week.csv')
      .send(weekCsv(await week.current()));
  });

  /** What a job would want that nobody has opened yet. */
  router.post('/week/to-come', async (request, response) => {
    const { construction, operations } = await operationsToCome(
      read(toComeRequest, request.body),
      personOf(request),
      now(),
    );
    response.json({ construction, operations });
  });

  router.post('/week/pins', onlyLead, async (request, response) => {
    const { job, id, start, person } = read(pinRequest, request.body);
    const pin = {
      ...{ job, id },
      ...(start === undefined ? {} : { start: new Date(start) }),
      ...(person === undefined ? {} : { person }),
    };
    await week.tryPin({ ...pin, by: personOf(request).name });
    await pinOperation(moment(request), pin);
    response.json(await week.current());
  });

  router.post('/week/pins/remove', onlyLead, async (request, response) => {
    const { job, id } = read(unpinRequest, request.body);
    await unpinOperation(moment(request), job, id);
    response.json(await week.current());
  });

  router.post('/week/better', onlyLead, async (request, response) => {
    response.json(await week.offer(read(betterPlanRequest, request.body)));
  });

  router.post('/week/jobs/:id/want', onlyLead, async (request, response) => {
    const id = read(jobId, request.params.id);
    await setWant(moment(request), id, read(wantRequest, request.body));
    response.json(await week.current());
  });
  return router;
}
