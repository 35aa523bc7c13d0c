<script setup lang="ts">
import BenchButton from '../parts/BenchButton.vue';
import { sayDay, sayMoment } from '../parts/dates';
import HooksSetup from './HooksSetup.vue';
import { useSetupMachines } from './setup-machines';
import SecretSlip from './SecretSlip.vue';
import TokenForm from './TokenForm.vue';

/** Other programs: what each comes with and may do, and the addresses that are told of what happens. */
const machines = useSetupMachines();
const { tokens, told, wrong, busy } = machines;
const STANDS = {
  good: 'good until',
  over: 'over since',
  ended: 'ended; would have been good until',
} as const;
</script>

<template>
  <section class="machines" aria-label="Machines">
    <p class="label">
      Another program (works planning, purchasing, a works historian) comes with a token of its own and does
      what that token is for, nothing else.
    </p>
    <router-link class="way" to="/interface">What it may ask, and how: for other programs</router-link>
    <SecretSlip v-if="told" :told="told" @close="told = undefined" />
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <h2>Tokens</h2>
    <ul v-if="tokens.length > 0" class="tokens">
      <li v-for="token in tokens" :key="token.id" :class="token.standing">
        <b>{{ token.name }}</b>
        <span>{{ token.scopes.join(', ') }}</span>
        <span class="label muted"
          >{{ STANDS[token.standing] }} {{ sayDay(token.until.slice(0, 10)) }} · made by {{ token.by }} ·
          {{ token.usedAt ? `used ${sayMoment(token.usedAt)}` : 'never used' }}</span
        >
        <BenchButton v-if="token.standing === 'good'" :disabled="busy" @press="machines.endToken(token.id)"
          >End it</BenchButton
        >
      </li>
    </ul>
    <TokenForm :busy="busy" @make="machines.makeToken($event)" />
    <HooksSetup :machines="machines" />
  </section>
</template>

<style scoped>
.machines,
.tokens {
  display: grid;
  gap: 10px;
}
.tokens {
  padding: 0;
  margin: 0;
  list-style: none;
}
.tokens li {
  display: grid;
  grid-template-columns: minmax(140px, 1fr) minmax(160px, 1.6fr) minmax(200px, 2fr) auto;
  gap: 4px 16px;
  align-items: center;
  min-height: 58px;
  padding: 4px 16px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--fit);
  border-radius: var(--radius);
  background: var(--card);
}
.tokens .over,
.tokens .ended {
  border-left-color: var(--line);
  background: none;
}
@media (max-width: 800px) {
  .tokens li {
    grid-template-columns: 1fr;
  }
}
</style>
