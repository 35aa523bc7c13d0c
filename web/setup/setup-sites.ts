import { setupSite, setupSitesView, siteEffectsView, type SiteEffects } from '@dusk-wren/contract';
import type { SiteRules } from '@dusk-wren/core/inspection';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { z } from 'zod';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';

const answered = z.object({ site: setupSite });

/** The version of a customer's rules that was changed, and what they are to be. */
export interface AskedRules {
  readonly customer: string;
  readonly version: number;
  readonly rules: SiteRules;
}

/** The customers of the shop with the rules of their sites; what was refused, in words. */
export function useSetupSites() {
  const { data, refetch } = useQuery({
    key: () => ['setup-sites'],
    query: () => call('/setup/sites', setupSitesView),
  });
  const sites = computed(() => data.value?.sites ?? []);
  const { wrong, trying, done } = useTrying();

  const post = (path: string, body: object) =>
    done(async () => {
      await call(`/setup/sites${path}`, answered, { method: 'POST', body });
      await refetch();
    });
  const add = (customer: string) => post('', { customer });
  const change = (asked: AskedRules) => post('/rules', asked);
  const effects = (asked: AskedRules): Promise<SiteEffects | undefined> =>
    trying(() => call('/setup/sites/effects', siteEffectsView, { method: 'POST', body: asked }));
  return { sites, wrong, refetch, add, change, effects };
}
