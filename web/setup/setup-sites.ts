import { setupSite, setupSitesView, siteEffectsView, type SiteEffects } from '@dusk-wren/contract';
import type { SiteRules } from '@dusk-wren/core/inspection';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';

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
  const wrong = ref('');

  async function doing<T>(work: () => Promise<T>): Promise<T | undefined> {
    wrong.value = '';
    try {
      return await work();
    } catch (error) {
      wrong.value = faultOf(error);
      return undefined;
    }
  }
  const post = (path: string, body: object) => async () => {
    await call(`/setup/sites${path}`, answered, { method: 'POST', body });
    await refetch();
    return true;
  };
  const add = (customer: string) => doing(post('', { customer }));
  const change = (asked: AskedRules) => doing(post('/rules', asked));
  const effects = (asked: AskedRules): Promise<SiteEffects | undefined> =>
    doing(() => call('/setup/sites/effects', siteEffectsView, { method: 'POST', body: asked }));
  return { sites, wrong, refetch, add, change, effects };
}
