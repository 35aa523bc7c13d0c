import {
  personWithCode,
  setupPeopleView,
  setupPerson,
  type PersonWithCode,
  type SetupPerson,
} from '@dusk-wren/contract';
import type { Role } from '@dusk-wren/core/job';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { call, callForNothing } from '../api/client';
import { useTrying } from '../stores/trying';

/** What of a person may be changed. */
export interface PersonChange {
  readonly name?: string;
  readonly role?: Role;
  readonly skills?: readonly string[];
  readonly left?: boolean;
  readonly badge?: string | null;
}

/** The people of the shop, as a lead sets them up; what was refused, in words. */
export function useSetupPeople() {
  const { data, refetch } = useQuery({
    key: () => ['setup-people'],
    query: () => call('/setup/people', setupPeopleView),
  });
  const people = computed<readonly SetupPerson[]>(() => data.value?.people ?? []);
  const { wrong, done } = useTrying();
  /** Codes that were just made, shown this once. */
  const given = ref<PersonWithCode[]>([]);

  const doing = (work: () => Promise<unknown>) =>
    done(async () => {
      await work();
      await refetch();
    });
  const invite = (body: { name: string; role: Role; skills: readonly string[] }) =>
    doing(async () => {
      given.value = [await call('/setup/people', personWithCode, { method: 'POST', body })];
    });
  const change = (id: string, body: PersonChange) =>
    doing(() =>
      call(`/setup/people/${id}/change`, z.object({ person: setupPerson }), { method: 'POST', body }),
    );
  const newCode = (id: string) =>
    doing(async () => {
      given.value = [await call(`/setup/people/${id}/code`, personWithCode, { method: 'POST', body: {} })];
    });
  const closeScreens = (id: string) =>
    doing(() => callForNothing(`/setup/people/${id}/screens/close`, { method: 'POST', body: {} }));
  const erase = (id: string) =>
    doing(() => callForNothing(`/setup/people/${id}/erase`, { method: 'POST', body: {} }));
  return { people, wrong, given, refetch, invite, change, newCode, closeScreens, erase };
}
