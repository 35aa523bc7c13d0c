import { valvePage, type Standing } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';

/** What is to be otherwise of a valve. */
export interface ValveMove {
  readonly standing?: Standing;
  readonly tag?: string;
  readonly customer?: string;
  readonly location?: string;
  readonly why: string;
}

/** A valve with its life, and putting it elsewhere; what was refused, in words. */
export function useValvePage(id: () => string) {
  const { data, error, refetch } = useQuery({
    key: () => ['register', id()],
    query: () => call(`/register/${id()}`, valvePage),
    // What was done on it a moment ago is on it.
    staleTime: 0,
  });
  const { wrong, done } = useTrying();
  const move = (asked: ValveMove) =>
    done(async () => {
      await call(`/register/${id()}/move`, valvePage, { method: 'POST', body: asked });
      await refetch();
    });
  return { page: data, error, wrong, move };
}
