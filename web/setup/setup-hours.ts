import type { WorkHours } from '@dusk-wren/contract';
import { hoursView, type AbsenceAsked, type ExtraHoursAsked, type Holiday } from '@dusk-wren/contract/week';
import { useQuery, useQueryCache } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';

/** Who is there when; each change answers with all of it. */
export function useSetupHours() {
  const key = ['setup-hours'];
  const { data, refetch } = useQuery({ key, query: () => call('/setup/hours', hoursView), staleTime: 0 });
  const cache = useQueryCache();
  const { wrong, done } = useTrying();
  const post = (path: string, body: object = {}) =>
    done(async () => {
      cache.setQueryData(key, await call(`/setup/hours${path}`, hoursView, { method: 'POST', body }));
    });
  return {
    hours: computed(() => data.value),
    wrong,
    refetch,
    setShop: (hours: WorkHours) => post('/shop', { hours }),
    setOwn: (person: string, hours: WorkHours | null) => post(`/people/${person}`, { hours }),
    addHoliday: (holiday: Holiday) => post('/holidays', holiday),
    removeHoliday: (day: string) => post(`/holidays/${day}/remove`),
    addAbsence: (absence: AbsenceAsked) => post('/absences', absence),
    removeAbsence: (id: number) => post(`/absences/${id}/remove`),
    addExtra: (extra: ExtraHoursAsked) => post('/extra', extra),
    removeExtra: (id: number) => post(`/extra/${id}/remove`),
  };
}
