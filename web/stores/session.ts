import { peopleView, personView, sessionView, type PersonView } from '@dusk-wren/contract';
import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { ApiProblem, call, callForNothing, rememberCsrf } from '../api/client';

function readPerson(text: string): PersonView | null {
  try {
    return personView.nullable().catch(null).parse(JSON.parse(text));
  } catch {
    return null;
  }
}

/** Who is at this screen. */
export const useSession = defineStore('session', () => {
  const person = ref<PersonView | null>(null);
  const known = ref(false);
  const last = useLocalStorage<PersonView | null>('dusk-wren.last-person', null, {
    serializer: { read: readPerson, write: (value) => JSON.stringify(value) },
  });

  async function load(): Promise<void> {
    try {
      const session = await call('/session', sessionView);
      rememberCsrf(session.csrf);
      person.value = session.person;
      last.value = session.person;
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.status !== 0) throw error;
      // No connection: whoever was here last goes on; the server asks again before it takes anything.
      person.value ??= last.value;
      throw error;
    } finally {
      known.value = person.value !== null || known.value;
    }
  }

  async function people(): Promise<PersonView[]> {
    return (await call('/people', peopleView)).people;
  }

  async function signIn(personId: string, pin: string): Promise<void> {
    const session = await call('/session', sessionView, { method: 'POST', body: { personId, pin } });
    rememberCsrf(session.csrf);
    person.value = session.person;
    last.value = session.person;
    known.value = true;
  }

  async function signOut(): Promise<void> {
    await callForNothing('/session', { method: 'DELETE' });
    last.value = null;
    await load();
  }

  return { person, known, load, people, signIn, signOut };
});
