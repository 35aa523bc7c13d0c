import { jobId, photoId } from '@dusk-wren/core/job';
import express, { Router, type NextFunction, type Request, type Response } from 'express';
import { zipSync } from 'fflate';
import { cleanPicture } from '../photos/clean-picture';
import { Refusal } from '../refusal';
import { stateOf } from '../database/state-of';
import { findJob } from '../database/jobs';
import { findPhoto, isPhotoKept, keepPhoto, photosOf } from '../database/photos';
import { read } from './read';

const PICTURES = ['image/png', 'image/jpeg', 'image/webp'];
/** Pictures that lie in memory at a time, waiting to be made smaller: one more is asked to come again. */
const MOST_AT_ONCE = 8;
const COME_AGAIN_SECONDS = 3;

/** A job's photographs: sent one at a time as their own bytes, shown, and taken along in a zip. */
export function photoRoutes(): Router {
  const router = Router();
  let underWay = 0;
  const oneOfFew = (_request: Request, response: Response, next: NextFunction) => {
    if (underWay >= MOST_AT_ONCE)
      throw new Refusal({ code: 'request.too-many', retryAfterSeconds: COME_AGAIN_SECONDS });
    underWay++;
    response.once('close', () => underWay--);
    next();
  };

  router.put(
    '/jobs/:id/photos/:photo',
    oneOfFew,
    express.raw({ type: PICTURES, limit: '12mb' }),
    async (request, response) => {
      const photo = read(photoId, request.params['photo']);
      const job = await findJob(read(jobId, request.params['id']));
      if (await isPhotoKept(job, photo)) {
        response.status(201).json({ id: photo });
        return;
      }
      const raw: unknown = request.body;
      if (!Buffer.isBuffer(raw) || raw.length === 0)
        throw new Refusal({ code: 'photo.unreadable', why: 'only PNG, JPEG and WebP are taken' });
      const picture = await cleanPicture(raw);
      await keepPhoto(job, photo, picture);
      response.status(201).json({ id: photo, width: picture.width, height: picture.height });
    },
  );

  router.get('/jobs/:id/photos/:photo', async (request, response) => {
    const id = read(photoId, request.params.photo);
    const { body } = await findPhoto(read(jobId, request.params.id), id);
    response
      .type('image/jpeg')
      // Kept by the browser, and shown again only after asking whether its person is still signed in.
      .set({ 'cache-control': 'private, no-cache', etag: `"${id}"`, 'x-content-type-options': 'nosniff' })
      .send(body);
  });

  router.get('/jobs/:id/photos.zip', async (request, response) => {
    const id = read(jobId, request.params.id);
    const row = await findJob(id);
    const pinned = (await stateOf(id, row.version)).records['photo-added'];
    const bodies = new Map((await photosOf(id)).map((photo) => [photo.id, photo.body]));
    const files: Record<string, Uint8Array> = {};
    for (const { seq, body } of pinned) {
      const picture = bodies.get(body.photo);
      if (picture)
        files[`${String(seq).padStart(4, '0')}-${plain(`${body.part ?? 'valve'} ${body.caption}`)}.jpg`] =
          picture;
    }
    response
      .type('application/zip')
      .set('content-disposition', `attachment; filename="${plain(row.tag)}-photographs.zip"`)
      .send(Buffer.from(zipSync(files, { level: 0 })));
  });
  return router;
}

/** A name that no file system and no unpacker can take for a path. */
const plain = (words: string): string => words.replace(/[^A-Za-z0-9]+/g, '-').slice(0, 60);
