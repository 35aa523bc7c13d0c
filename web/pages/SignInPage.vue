<script setup lang="ts">
import type { PersonView } from '@dusk-wren/contract';
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ApiProblem } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { useSession } from '../stores/session';

/** Who is at this screen: a name and a PIN, touchable with gloves. */
const session = useSession();
const router = useRouter();
const route = useRoute();
const people = ref<PersonView[]>([]);
const chosen = ref<PersonView>();
const pin = ref('');
const wrong = ref('');

onMounted(async () => {
  try {
    if (!session.known) await session.load();
    people.value = await session.people();
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  }
});

async function signIn(): Promise<void> {
  if (!chosen.value) return;
  try {
    await session.signIn(chosen.value.id, pin.value);
    const to = route.query['to'];
    await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/');
  } catch (error) {
    pin.value = '';
    wrong.value = error instanceof ApiProblem ? error.message : 'Something failed. Try again.';
  }
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
    <p class="muted">Pinder Street valve shop. Who is at this bench?</p>
    <ul class="people" aria-label="People">
      <li v-for="each in people" :key="each.id">
        <button
          type="button"
          class="person label"
          :aria-pressed="chosen?.id === each.id"
          @click="((chosen = each), (wrong = ''))"
        >
          <b>{{ each.name }}</b><span>{{ each.role }}</span>
        </button>
      </li>
    </ul>
    <form v-if="chosen" class="pin" @submit.prevent="signIn">
      <v-text-field
        :key="chosen.id"
        v-model="pin"
        :label="`PIN of ${chosen.name}`"
        type="password"
        inputmode="numeric"
        autocomplete="current-password"
        autofocus
      />
      <BenchButton lamp kind="submit" :disabled="pin.length < 4">Sign in</BenchButton>
    </form>
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
</style>
