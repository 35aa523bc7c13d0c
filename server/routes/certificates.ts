import { certificateQuery } from '@dusk-wren/contract';
import { instrumentId } from '@dusk-wren/core/job';
import express, { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { findCertificate, keepCertificate } from '../database/calibration-files';
import { cleanPicture } from '../photos/clean-picture';
import { Refusal } from '../refusal';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

const PDF = 'application/pdf';
const TYPES = [PDF, 'image/png', 'image/jpeg', 'image/webp'];
const BEGINS = Buffer.from('%PDF-');
const PATH = '/setup/instruments/:id/calibrations/:calibration/certificate';

/** Certificates of calibrations, as files: in by a lead, out to be looked at. Before JSON is read: they are not. */
export function certificateRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  const which = ({ params }: Request) => ({
    instrument: read(instrumentId, params['id']),
    calibration: read(z.coerce.number().int().positive(), params['calibration']),
  });

  router.put(PATH, onlyLead, express.raw({ type: TYPES, limit: '12mb' }), async (request, response) => {
    const { name } = read(certificateQuery, request.query);
    const of = which(request);
    const file = await asCertificate(request.body, request.get('content-type') ?? '');
    const called = file.type === PDF ? name : name.replace(/(\.\w+)?$/, '.jpg');
    await keepCertificate({ sequelize, by: personOf(request), now: now() }, of, { ...file, name: called });
    response.status(204).end();
  });

  router.get(PATH, onlyLead, async (request, response) => {
    const { instrument, calibration } = which(request);
    const { name, type, body } = await findCertificate(instrument, calibration);
    response
      .attachment(name)
      .type(type)
      .set({ 'x-content-type-options': 'nosniff', 'content-security-policy': 'sandbox' })
      .send(body);
  });
  return router;
}

/** A PDF by its first bytes, a picture by being one; pictures are made smaller as photographs are. */
async function asCertificate(raw: unknown, type: string): Promise<{ type: string; body: Buffer }> {
  if (!Buffer.isBuffer(raw) || raw.length === 0) throw refused();
  if (!type.startsWith(PDF)) return { type: 'image/jpeg', body: (await cleanPicture(raw)).body };
  if (!raw.subarray(0, BEGINS.length).equals(BEGINS)) throw refused();
  return { type: PDF, body: raw };
}

const refused = () =>
  new Refusal({
    code: 'request.invalid',
    issues: [{ path: 'file', message: 'only PDF, PNG, JPEG and WebP are taken' }],
  });
