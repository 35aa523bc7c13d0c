import { peopleView, sessionView, type PersonView } from '@dusk-wren/contract';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { call, callForNothing, rememberCsrf } from '../api/client';

/** Who is at this screen. */
export const useSession = defineStore('session', () => {
  const person = ref<PersonView | null>(null);
  const known = ref(false);

  async function load(): Promise<void> {
    const session = await call('/session', sessionView);
    rememberCsrf(session.csrf);
    person.value = session.person;
    known.value = true;
  }

  async function people(): Promise<PersonView[]> {
    return (await call('/people', peopleView)).people;
  }

  async function signIn(personId: string, pin: string): Promise<void> {
    const session = await call('/session', sessionView, { method: 'POST', body: { personId, pin } });
    rememberCsrf(session.csrf);
    person.value = session.person;
  }

  async function signOut(): Promise<void> {
    await callForNothing('/session', { method: 'DELETE' });
    await load();
  }

  return { person, known, load, people, signIn, signOut };
});
