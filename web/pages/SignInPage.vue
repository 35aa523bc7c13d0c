<script setup lang="ts">
import type { PersonView } from '@dusk-wren/contract';
import { useMediaQuery } from '@vueuse/core';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ApiProblem } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import KeyPad from '../parts/KeyPad.vue';
import { device } from '../stores/device';
import { faultOf } from '../stores/fault';
import { secondAsked, type SecondAsked } from '../stores/second-asked';
import { useSession } from '../stores/session';
import SecondFactor from './sign-in/SecondFactor.vue';

/** Who is at this screen: a name and a PIN, touchable with gloves. In a shop with nobody in it, its first lead. */
const session = useSession();
const router = useRouter();
const route = useRoute();
const people = ref<PersonView[]>([]);
const chosen = ref<PersonView>();
const pin = ref('');
const wrong = ref('');
const empty = ref(false);
const byTouch = useMediaQuery('(pointer: coarse)');
/** The PIN was right, and the shop asks for more. */
const second = ref<{ asked: SecondAsked; code: string }>();
/** A code from a lead was typed: it opens nothing but the choice of a PIN. */
const choosing = ref<{ code: string; said: string }>();
const own = ref('');
const first = ref({ code: '', name: '', pin: '' });
/** Entries of each person that wait on this device for them. */
const waiting = ref(new Map<string, number>());

onMounted(async () => {
  const kept = await device.waitingByPerson().catch(() => []);
  waiting.value = new Map(kept.map(({ person, count }) => [person, count]));
  try {
    if (!session.known || session.shop === '') await session.load();
    people.value = await session.people();
    empty.value = people.value.length === 0;
  } catch (error) {
    wrong.value =
      error instanceof ApiProblem && error.isLost
        ? 'No connection: the server looks at PINs, so that nobody can sign in until it is back. What waits on this device is safe.'
        : faultOf(error);
  }
});

/** More than these are found by letters, on a screen that is touched too. */
const FEW = 8;
const letters = ref('');
function pick(person: PersonView): void {
  [chosen.value, wrong.value, pin.value] = [person, '', ''];
  [choosing.value, second.value] = [undefined, undefined];
}
/** Whose screen locked itself: they go on with their PIN alone. */
watch(people, (all) => {
  const locked = all.find(({ id }) => id === route.query['locked']);
  if (locked) pick(locked);
});
/** Letters that leave one person are theirs; what is nobody's name is a badge that was scanned. */
async function found(): Promise<void> {
  const [one, ...more] = shown.value;
  const typed = letters.value.trim();
  if (typed === '' || more.length > 0) return;
  letters.value = '';
  if (one) return pick(one);
  try {
    const personId = await session.whoseBadge(typed);
    const person = people.value.find(({ id }) => id === personId);
    if (person) pick(person);
  } catch (error) {
    wrong.value = faultOf(error);
  }
}
/** Who signed in here last comes first; the rest by name. */
const shown = computed(() => {
  const typed = letters.value.trim().toLowerCase();
  const begins = ({ name }: PersonView) =>
    name
      .toLowerCase()
      .split(/\s+/)
      .some((_, i, words) => words.slice(i).join(' ').startsWith(typed));
  const rank = ({ id }: PersonView) => {
    const at = session.lastHere.indexOf(id);
    return at < 0 ? session.lastHere.length : at;
  };
  return people.value.filter(begins).sort((a, b) => rank(a) - rank(b));
});
const goesTo = computed(() => {
  const to = route.query['to'];
  return typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/';
});
async function enter(work: () => Promise<void>, to = goesTo.value): Promise<void> {
  try {
    await work();
    await router.push(to);
  } catch (error) {
    if (error instanceof ApiProblem && error.code === 'pin.to-choose') {
      choosing.value = { code: pin.value, said: error.message };
      pin.value = '';
      return;
    }
    const asked = secondAsked(error);
    if (asked) {
      // Who chose a PIN just now signs in with that.
      if (own.value !== '') pin.value = own.value;
      [second.value, own.value, choosing.value] = [{ asked, code: '' }, '', undefined];
      return;
    }
    if (second.value && error instanceof ApiProblem && error.code === 'second.wrong') {
      [second.value.code, wrong.value] = ['', error.message];
      return;
    }
    pin.value = '';
    own.value = '';
    second.value = undefined;
    wrong.value = error instanceof ApiProblem ? error.message : 'Something failed. Try again.';
  }
}
const signIn = () => enter(() => session.signIn(chosen.value?.id ?? '', pin.value, second.value?.code));
const choosePin = () =>
  enter(() =>
    session.choosePin({ personId: chosen.value?.id ?? '', code: choosing.value?.code ?? '', pin: own.value }),
  );
const goOn = () => enter(session.goOnAsOther);
async function beFirst(): Promise<void> {
  await enter(() => session.beFirst(first.value), '/setup');
}
</script>

<template>
  <div class="sign-in">
    <svg class="wren" viewBox="0 0 32 32" width="76" height="76" aria-hidden="true">
      <path
        d="M5 22c4 1 6-1 7-5 1-5 5-8 9-7l5-4-2 6c1 7-4 13-12 12l-4 3 1-4-4-1zm16-9h.1M13 24l-1 4m5-4 1 4"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </svg>
    <h1>Dusk Wren</h1>
    <template v-if="empty">
      <p class="muted">
        {{ session.shop }}. Nobody is on file here yet: the first is a lead, made with the code that the
        server printed when it started.
      </p>
      <form class="first" @submit.prevent="beFirst">
        <v-text-field v-model="first.code" label="Code from the server" autocomplete="off" autofocus />
        <v-text-field v-model="first.name" label="Your name" autocomplete="name" maxlength="80" />
        <v-text-field
          v-model="first.pin"
          label="A PIN of your own, six digits or more"
          type="password"
          inputmode="numeric"
          autocomplete="new-password"
        />
        <BenchButton
          lamp
          kind="submit"
          :disabled="first.code.trim() === '' || first.name.trim() === '' || first.pin.length < 6"
          >Be the first lead</BenchButton
        >
      </form>
    </template>
    <template v-else>
      <p class="muted">{{ session.shop }}. Who is at this bench?</p>
      <p v-if="session.elsewhere" class="elsewhere" role="status">
        {{ session.elsewhere.name }} has signed in on this browser in another window.
        <BenchButton @press="goOn">I am {{ session.elsewhere.name }}: go on</BenchButton>
      </p>
      <p v-if="chosen && chosen.id === route.query['locked']" role="status">
        Locked: nobody touched this screen for {{ session.lockMinutes }} minutes. What was half done is kept.
      </p>
      <form v-if="!second" class="find" @submit.prevent="found">
        <v-text-field
          v-model="letters"
          label="First letters of a name, or scan a badge"
          autocomplete="off"
          :autofocus="!byTouch || people.length <= FEW"
          :inputmode="byTouch && people.length <= FEW ? 'none' : 'text'"
        />
      </form>
      <ul v-if="!second" class="people" aria-label="People">
        <li v-for="each in shown" :key="each.id">
          <button
            type="button"
            class="person label"
            :aria-pressed="chosen?.id === each.id"
            @click="pick(each)"
          >
            <b>{{ each.name }}</b><span
              >{{ each.role
              }}<template v-if="waiting.get(each.id)">
                · {{ waiting.get(each.id) }} waiting to be sent</template
              ></span
            >
          </button>
        </li>
      </ul>
      <SecondFactor
        v-if="chosen && second"
        v-model="second.code"
        :asked="second.asked"
        :name="chosen.name"
        :by-touch="byTouch"
        @give="signIn"
        @leave="((chosen = undefined), (second = undefined))"
      />
      <form v-else-if="chosen && choosing" class="pin" @submit.prevent="choosePin">
        <p class="chooses" role="status">{{ choosing.said }}</p>
        <v-text-field
          v-model="own"
          :label="`PIN of your own, ${chosen.name}`"
          type="password"
          :inputmode="byTouch ? 'none' : 'numeric'"
          autocomplete="new-password"
          autofocus
        />
        <BenchButton lamp kind="submit" :disabled="own.length < 4">This is my PIN</BenchButton>
        <KeyPad
          class="pad"
          label="Digits"
          @press="(digit) => (own += digit)"
          @rub-out="own = own.slice(0, -1)"
        />
      </form>
      <form v-else-if="chosen" class="pin" @submit.prevent="signIn">
        <v-text-field
          :key="chosen.id"
          v-model="pin"
          :label="`PIN of ${chosen.name}`"
          type="password"
          :inputmode="byTouch ? 'none' : 'numeric'"
          autocomplete="current-password"
          autofocus
        />
        <BenchButton lamp kind="submit" :disabled="pin.length < 4">Sign in</BenchButton>
        <KeyPad
          class="pad"
          label="Digits"
          @press="(digit) => (pin += digit)"
          @rub-out="pin = pin.slice(0, -1)"
        />
      </form>
    </template>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.sign-in {
  max-width: 640px;
  margin: 8vh auto;
  padding: 0 16px;
  display: grid;
  gap: 14px;
}
.wren {
  color: var(--lamp);
  margin-left: -8px;
}
.people {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 8px;
}
.person {
  width: 100%;
  min-height: 62px;
  padding: 8px 14px;
  display: grid;
  text-align: left;
  font-size: 18px;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.person span {
  color: var(--muted);
  font-size: 15px;
}
.person[aria-pressed='true'] {
  border-color: var(--lamp);
  box-shadow: inset 5px 0 0 var(--lamp);
}
.pin {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
}
.chooses,
.pad {
  grid-column: 1 / -1;
}
.first,
.elsewhere {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.first > :deep(.v-input) {
  width: 100%;
}
</style>
