import {
  absenceRequest,
  extraHoursRequest,
  holidayRequest,
  ownHoursRequest,
  shopHoursRequest,
} from '@dusk-wren/contract/week';
import { personId } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import {
  addAbsence,
  addExtraHours,
  addHoliday,
  listHours,
  removeAbsence,
  removeExtraHours,
  removeHoliday,
  setOwnHours,
  setShopHours,
} from '../database/setup-hours';
import { shopDay } from '../database/shop-day';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

const rowId = z.coerce.number().int().positive();

/** Who is there when: hours, absences, holidays, hours that somebody stays for. Each answers with all of it, as it is then. */
export function hoursRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  router.use('/setup/hours', onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });
  const asItIs = async () => listHours(await shopDay(now().toISOString()));

  router.get('/setup/hours', async (_request, response) => {
    response.json(await asItIs());
  });

  const writes: Readonly<Record<string, (request: Request) => Promise<unknown>>> = {
    '/shop': (request) => setShopHours(moment(request), read(shopHoursRequest, request.body).hours),
    '/people/:id': (request) =>
      setOwnHours(
        moment(request),
        read(personId, request.params['id']),
        read(ownHoursRequest, request.body).hours,
      ),
    '/holidays': (request) => addHoliday(moment(request), read(holidayRequest, request.body)),
    '/holidays/:day/remove': (request) =>
      removeHoliday(moment(request), read(z.iso.date(), request.params['day'])),
    '/absences': (request) => addAbsence(moment(request), read(absenceRequest, request.body)),
    '/absences/:id/remove': (request) => removeAbsence(moment(request), read(rowId, request.params['id'])),
    '/extra': (request) => addExtraHours(moment(request), read(extraHoursRequest, request.body)),
    '/extra/:id/remove': (request) => removeExtraHours(moment(request), read(rowId, request.params['id'])),
  };
  for (const [path, write] of Object.entries(writes))
    router.post(`/setup/hours${path}`, async (request, response) => {
      await write(request);
      response.json(await asItIs());
    });
  return router;
}
