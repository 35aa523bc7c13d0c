import {
  shopSheetsView,
  siteEffectsView,
  type ModelSheets,
  type SheetRequest,
  type SiteEffects,
} from '@dusk-wren/contract';
import type { MakersSheet } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';

/** The makers' sheets that the shop goes by; what was refused, in words. */
export function useSetupSheets() {
  const { data, refetch } = useQuery({
    key: () => ['setup-sheets'],
    query: () => call('/setup/sheets', shopSheetsView),
  });
  const models = computed<readonly ModelSheets[]>(() => data.value?.models ?? []);
  const { wrong, trying, done } = useTrying();
  const post = (path: string, body: object) =>
    done(async () => {
      await call(`/setup/sheets${path}`, shopSheetsView, { method: 'POST', body });
      await refetch();
    });
  const file = (asked: SheetRequest) => post('', asked);
  const withdraw = (id: number) => post('/withdraw', { id });
  const effects = (sheet: MakersSheet): Promise<SiteEffects | undefined> =>
    trying(() => call('/setup/sheets/effects', siteEffectsView, { method: 'POST', body: { sheet } }));
  return { models, wrong, refetch, file, withdraw, effects };
}
