import { IMPORT_KINDS, importRequest, previewRequest, stockQuery } from '@dusk-wren/contract/stock';
import { jobId } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { valveKey } from '@dusk-wren/core/valve';
import { Router } from 'express';
import { createHash } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { exportCsv, readStoreFile, writeRead } from '../exchange/stock-files';
import { Refusal } from '../refusal';
import { onlyLead, personOf } from '../sign-in/person';
import { stateOf } from '../database/state-of';
import { findJob } from '../database/jobs';
import { listOrders } from '../database/orders';
import { listSpares } from '../database/spares';
import { listUnits } from '../database/shelf';
import { keepImport, listImports } from '../database/stock-imports';
import { listKits, listStock, stockFor } from '../database/stock';
import { transacted } from '../database/transacted';
import { read } from './read';

/** The store: bins, kit sheets, units on the shelf, orders, and all of it as files. */
export function stockRoutes(sequelize: Sequelize, now: () => string): Router {
  const router = Router();

  router.get('/store/stock', async (request, response) => {
    response.json(await listStock(read(stockQuery, request.query)));
  });

  router.get('/store/kits', async (_request, response) => {
    response.json({ kits: await listKits() });
  });

  router.get('/store/units', async (_request, response) => {
    response.json({ units: await listUnits() });
  });

  router.get('/store/spares', async (_request, response) => {
    response.json({ spares: await listSpares(now()) });
  });

  router.get('/store/orders', async (_request, response) => {
    response.json({ orders: await listOrders(now()) });
  });

  /** What is stocked for the valve of a job. */
  router.get('/jobs/:id/stock', async (request, response) => {
    const id = read(jobId, request.params.id);
    const { version } = await findJob(id);
    const current = must(plan(await stateOf(id, version)));
    response.json({ parts: current ? await stockFor(valveKey(current.valve)) : [], next: null });
  });

  router.get('/store/export/:kind.csv', async (request, response) => {
    const kind = read(z.enum(IMPORT_KINDS), request.params.kind);
    response
      .type('text/csv; charset=utf-8')
      .attachment(`dusk-wren-${kind}.csv`)
      .send(await exportCsv(kind));
  });

  router.get('/store/imports', async (_request, response) => {
    response.json({ imports: await listImports() });
  });

  router.post('/store/import/preview', onlyLead, async (request, response) => {
    const { kind, csv } = read(previewRequest, request.body);
    response.json((await readStoreFile(kind, csv)).preview);
  });

  router.post('/store/import', onlyLead, async (request, response) => {
    const { kind, csv, skipBad, after } = read(importRequest, request.body);
    const file = await readStoreFile(kind, csv);
    const bad = file.preview.rows.filter(({ does }) => does === 'bad');
    if (bad.length > 0 && !skipBad) {
      throw new Refusal({
        code: 'request.invalid',
        issues: bad.map(({ row, why }) => ({ path: `row ${row}`, message: why.join('; ') })),
      });
    }
    const [written, skipped] = [file.preview.good, bad.length];
    const sha256 = createHash('sha256').update(csv).digest('hex');
    const person = personOf(request);
    await transacted(sequelize, async (transaction) => {
      await keepImport({ kind, person, at: now(), file: sha256, written, skipped, after }, transaction);
      await writeRead(file, transaction);
    });
    response.json({ written, skipped });
  });
  return router;
}
