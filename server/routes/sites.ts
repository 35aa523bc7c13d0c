import { newSiteRequest, shopSettings, siteRulesRequest } from '@dusk-wren/contract';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import { addSite, changeRules, effectsOf, listSites } from '../database/setup-sites';
import { begunOf, changeSettings, endRound, settingsOf } from '../database/shop-settings';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** The shop itself, its customers, and the rules of their sites. */
export function siteRoutes(sequelize: Sequelize, config: Config, now: () => Date): Router {
  const router = Router();
  router.use(['/setup/shop', '/setup/begun', '/setup/sites'], onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/setup/shop', async (_request, response) => {
    response.json(await settingsOf(config));
  });

  router.post('/setup/shop', async (request, response) => {
    const asked = read(shopSettings, request.body);
    response.json(await changeSettings(moment(request), await settingsOf(config), asked));
  });

  router.get('/setup/begun', async (_request, response) => {
    response.json(await begunOf(config));
  });

  router.post('/setup/begun', async (request, response) => {
    await endRound(moment(request));
    response.json(await begunOf(config));
  });

  router.get('/setup/sites', async (_request, response) => {
    response.json({ sites: await listSites() });
  });

  router.post('/setup/sites', async (request, response) => {
    const { customer } = read(newSiteRequest, request.body);
    response.status(201).json({ site: await addSite(moment(request), customer) });
  });

  router.post('/setup/sites/effects', async (request, response) => {
    const { customer, rules } = read(siteRulesRequest, request.body);
    response.json(await effectsOf(customer, rules));
  });

  router.post('/setup/sites/rules', async (request, response) => {
    response.json({ site: await changeRules(moment(request), read(siteRulesRequest, request.body)) });
  });
  return router;
}
