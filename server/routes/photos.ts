import { fold, jobId, photoId } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import express, { Router } from 'express';
import { zipSync } from 'fflate';
import { cleanPicture } from '../photos/clean-picture';
import { Refusal } from '../refusal';
import { requireCsrf } from '../sign-in/session';
import { loadLog } from '../store/job-log';
import { findJob } from '../store/jobs';
import { findPhoto, keepPhoto, photosOf } from '../store/photos';
import { read } from './read';

const PICTURES = ['image/png', 'image/jpeg', 'image/webp'];

/** A job's photographs: sent one at a time as their own bytes, shown, and taken along in a zip. */
export function photoRoutes(): Router {
  const router = Router();

  router.put(
    '/jobs/:id/photos/:photo',
    requireCsrf,
    express.raw({ type: PICTURES, limit: '12mb' }),
    async (request, response) => {
      const [job, photo] = [read(jobId, request.params['id']), read(photoId, request.params['photo'])];
      await findJob(job);
      const raw: unknown = request.body;
      if (!Buffer.isBuffer(raw) || raw.length === 0)
        throw new Refusal({ code: 'photo.unreadable', why: 'only PNG, JPEG and WebP are taken' });
      const picture = await cleanPicture(raw);
      await keepPhoto(job, photo, picture);
      response.status(201).json({ id: photo, width: picture.width, height: picture.height });
    },
  );

  router.get('/jobs/:id/photos/:photo', async (request, response) => {
    const { body } = await findPhoto(read(jobId, request.params.id), read(photoId, request.params.photo));
    response
      .type('image/jpeg')
      .set({ 'cache-control': 'private, max-age=31536000, immutable', 'x-content-type-options': 'nosniff' })
      .send(body);
  });

  router.get('/jobs/:id/photos.zip', async (request, response) => {
    const id = read(jobId, request.params.id);
    const row = await findJob(id);
    const pinned = must(fold(await loadLog(id, 0))).records['photo-added'];
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
