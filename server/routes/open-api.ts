import { openApiDocument } from '@dusk-wren/contract/open-api';
import { Router } from 'express';

/** What other programs may ask of this server, as a document; there is nothing of the shop in it. */
export function openApiRoutes(): Router {
  const router = Router();
  let document: string | undefined;
  router.get('/openapi.json', (_request, response) => {
    document ??= JSON.stringify(openApiDocument());
    response.type('application/json').set('cache-control', 'public, max-age=300').send(document);
  });
  return router;
}
