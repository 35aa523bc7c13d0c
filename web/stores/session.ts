import {
  badgeView,
  confirmationView,
  peopleView,
  personView,
  sessionView,
  type PersonView,
  type SessionView,
} from '@dusk-wren/contract';
import type { CommandId } from '@dusk-wren/core/job';
import type { UnitSystem } from '@dusk-wren/core/quantity';
import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { z } from 'zod';
import { ApiProblem, call, callForNothing, rememberSession } from '../api/client';
import { device } from './device';

function readPerson(text: string): PersonView | null {
  try {
    return personView.nullable().catch(null).parse(JSON.parse(text));
  } catch {
    return null;
  }
}

const idsHere = z.array(z.string()).catch([]);
function readIds(text: string): string[] {
  try {
    return idsHere.parse(JSON.parse(text));
  } catch {
    return [];
  }
}
/** As many as stand at one bench in a week. */
const MOST_HERE = 6;

/** Who is at this screen. */
export const useSession = defineStore('session', () => {
  const person = ref<PersonView | null>(null);
  /** Somebody else who has signed in on this browser, in another window, since this page was somebody's. */
  const elsewhere = ref<PersonView | null>(null);
  const known = ref(false);
  const shop = useLocalStorage('dusk-wren.shop', '');
  /** What somebody's units are here until they turn them. */
  const units = useLocalStorage<UnitSystem>('dusk-wren.units', 'US');
  /** A screen that nobody touched for so long locks itself; never where it is nothing. */
  const lockMinutes = useLocalStorage('dusk-wren.lock-minutes', 0);
  const last = useLocalStorage<PersonView | null>('dusk-wren.last-person', null, {
    serializer: { read: readPerson, write: (value) => JSON.stringify(value) },
  });
  /** Who signed in on this device before, the last one first. */
  const lastHere = useLocalStorage<string[]>('dusk-wren.last-here', [], {
    serializer: { read: readIds, write: (value) => JSON.stringify(value) },
  });
  /** Signed out here while the server could not be told: it is told before anything else. */
  const owed = useLocalStorage('dusk-wren.sign-out-owed', false);

  /** What the server says of this browser. A page that was one person's never turns into another's by itself. */
  async function take(session: SessionView): Promise<void> {
    rememberSession(session.csrf, session.person?.id);
    shop.value = session.shop;
    units.value = session.units;
    lockMinutes.value = session.lockMinutes;
    const other = person.value !== null && session.person !== null && session.person.id !== person.value.id;
    if (other || session.person === null) device.shut();
    else if (session.deviceKey !== null)
      await device.unlock(session.person.id, session.deviceKey).catch(() => undefined);
    elsewhere.value = other ? session.person : null;
    person.value = other ? null : session.person;
    if (!other) last.value = session.person;
    known.value = true;
  }

  async function load(): Promise<void> {
    try {
      const session = await call('/session', sessionView);
      if (!owed.value) return await take(session);
      rememberSession(session.csrf, session.person?.id);
      if (session.person) await callForNothing('/session', { method: 'DELETE' });
      owed.value = false;
      await take(await call('/session', sessionView));
    } catch (error) {
      if (!(error instanceof ApiProblem) || !error.isAway) throw error;
      // No connection, or no database behind it: whoever was here last goes on, unless they left; the server asks again before it takes anything.
      if (!owed.value && (await wakes(last.value))) person.value ??= last.value;
      throw error;
    } finally {
      known.value = person.value !== null || known.value;
    }
  }

  /** Whether this device still has the key of who was here last. */
  async function wakes(who: PersonView | null): Promise<boolean> {
    if (person.value || !who) return false;
    return device.wake(who.id).catch(() => false);
  }

  async function people(): Promise<PersonView[]> {
    return (await call('/people', peopleView)).people;
  }

  async function begin(session: SessionView): Promise<void> {
    owed.value = false;
    person.value = null;
    await take(session);
  }

  async function signIn(personId: string, pin: string, second = ''): Promise<void> {
    const body = { personId, pin, ...(second === '' ? {} : { second }) };
    await begin(await call('/session', sessionView, { method: 'POST', body }));
    wasHere(personId);
  }
  function wasHere(personId: string): void {
    lastHere.value = [personId, ...lastHere.value.filter((id) => id !== personId)].slice(0, MOST_HERE);
  }

  /** Whose badge was scanned. */
  async function whoseBadge(code: string): Promise<string> {
    return (await call('/badge', badgeView, { method: 'POST', body: { code } })).personId;
  }

  /** The code of a lead, and the PIN chosen in its place. */
  async function choosePin(given: { personId: string; code: string; pin: string }): Promise<void> {
    await begin(await call('/own-pin', sessionView, { method: 'POST', body: given }));
    wasHere(given.personId);
  }

  /** The first lead of a shop with nobody in it. */
  async function beFirst(given: { code: string; name: string; pin: string }): Promise<void> {
    await begin(await call('/first-lead', sessionView, { method: 'POST', body: given }));
  }

  /** Whoever signed in in another window says that it is they who sit here too. */
  async function goOnAsOther(): Promise<void> {
    person.value = null;
    await load();
  }

  /** The PIN again, for one signature: of who is here, or of who signs at this screen. */
  async function confirm(pin: string, commandId: CommandId, signer?: PersonView): Promise<string> {
    const body = { pin, commandId, ...(signer ? { personId: signer.id } : {}) };
    return (await call('/confirmations', confirmationView, { method: 'POST', body })).confirmation;
  }

  /** Gone from this screen at once; the server hears of it now, or first of all when it can be reached again. */
  async function signOut(): Promise<void> {
    person.value = null;
    elsewhere.value = null;
    last.value = null;
    owed.value = true;
    await device.lock().catch(() => undefined);
    await load().catch(() => undefined);
  }

  // Another window of this browser signed somebody in, or out: this one asks before anything is entered here.
  watch(last, (now) => {
    if (person.value && now?.id !== person.value.id) void load().catch(() => undefined);
  });

  return {
    person,
    elsewhere,
    known,
    shop,
    units,
    lastHere,
    lockMinutes,
    load,
    people,
    signIn,
    whoseBadge,
    choosePin,
    beFirst,
    goOnAsOther,
    confirm,
    signOut,
  };
});
