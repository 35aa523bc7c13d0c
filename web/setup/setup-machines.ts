import {
  hooksView,
  machineTokensView,
  newHookView,
  newTokenView,
  type CallView,
  type Happening,
  type HookView,
  type MachineScope,
  type MachineToken,
} from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { useIntervalFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { call, callForNothing } from '../api/client';
import { useTrying } from '../stores/trying';

/** Something that is told once: what it is for, and the secret itself. */
export interface ToldOnce {
  readonly of: string;
  readonly secret: string;
}
const LOOKS_EVERY = 10_000;
const BASE = '/setup/machines';

/** Tokens of other programs, and the addresses that are told of what happens. */
export function useSetupMachines() {
  const tokensAsked = useQuery({
    key: () => ['machine-tokens'],
    query: () => call(`${BASE}/tokens`, machineTokensView),
    staleTime: 0,
  });
  const hooksAsked = useQuery({
    key: () => ['machine-hooks'],
    query: () => call(`${BASE}/hooks`, hooksView),
    staleTime: 0,
  });
  useIntervalFn(() => void hooksAsked.refetch(), LOOKS_EVERY);
  const { wrong, busy, done } = useTrying();
  const told = ref<ToldOnce>();

  const doing = (work: () => Promise<unknown>) =>
    done(async () => {
      await work();
      await Promise.all([tokensAsked.refetch(), hooksAsked.refetch()]);
    });
  const post = (path: string, body: object = {}) =>
    doing(() => callForNothing(`${BASE}${path}`, { method: 'POST', body }));
  const makeToken = (body: { name: string; scopes: readonly MachineScope[]; days: number }) =>
    doing(async () => {
      const { token, secret } = await call(`${BASE}/tokens`, newTokenView, { method: 'POST', body });
      told.value = { of: `The token of ${token.name}`, secret };
    });
  const secretOf = (path: string, body: object) =>
    doing(async () => {
      const { hook, secret } = await call(`${BASE}/hooks${path}`, newHookView, { method: 'POST', body });
      told.value = { of: `The secret that signs what ${new URL(hook.address).host} is told`, secret };
    });
  return {
    ...{ wrong, busy, told, makeToken },
    tokens: computed<readonly MachineToken[]>(() => tokensAsked.data.value?.tokens ?? []),
    hooks: computed<readonly HookView[]>(() => hooksAsked.data.value?.hooks ?? []),
    calls: computed<readonly CallView[]>(() => hooksAsked.data.value?.calls ?? []),
    hosts: computed<readonly string[]>(() => hooksAsked.data.value?.hosts ?? []),
    endToken: (id: string) => post(`/tokens/${id}/end`),
    addHook: (address: string, kinds: readonly Happening[]) => secretOf('', { address, kinds }),
    turnHook: (id: string, on: boolean) => post(`/hooks/${id}/change`, { on }),
    newSecret: (id: string) => secretOf(`/hooks/${id}/secret`, {}),
  };
}
