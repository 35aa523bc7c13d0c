import { classView, type TaskAsked, type WitnessAsked, type WorkRule } from '@dusk-wren/contract/drills';
import { useQuery, useQueryCache } from '@pinia/colada';
import { call } from '../../api/client';
import { useTrying } from '../../stores/trying';

const KEY = ['drills-class'];

/** Everybody's skills, what was sent to whom, what work asks for; each change answers with all of it, as it is then. */
export function useClass() {
  const { data, error } = useQuery({ key: KEY, query: () => call('/drills/class', classView), staleTime: 0 });
  const cache = useQueryCache();
  const { wrong, busy, done } = useTrying();
  const change = (path: string, body: unknown) =>
    done(async () => {
      cache.setQueryData(KEY, await call(`/drills${path}`, classView, { method: 'POST', body }));
    });
  return {
    view: data,
    error,
    wrong,
    busy,
    send: (task: TaskAsked) => change('/tasks', task),
    takeBack: (id: string) => change(`/tasks/${id}/remove`, {}),
    ask: (rule: WorkRule) => change('/rules', rule),
    witness: (seen: WitnessAsked) => change('/witnessed', seen),
    unwitness: (id: number) => change(`/witnessed/${id}/remove`, {}),
  };
}
