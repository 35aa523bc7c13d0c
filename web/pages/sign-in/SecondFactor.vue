<script setup lang="ts">
import BenchButton from '../../parts/BenchButton.vue';
import KeyPad from '../../parts/KeyPad.vue';
import QrCode from '../../parts/QrCode.vue';
import type { SecondAsked } from '../../stores/second-asked';

/** The code of an authenticator, and the first time the secret that it is set up with. */
defineProps<{ asked: SecondAsked; name: string; byTouch: boolean }>();
defineEmits<{ give: []; leave: [] }>();
const code = defineModel<string>({ required: true });
const inFours = (secret: string) => secret.replace(/(.{4})(?=.)/g, '$1 ');
</script>

<template>
  <form class="second" @submit.prevent="$emit('give')">
    <p role="status">{{ asked.said }}</p>
    <div v-if="asked.toSetUp" class="set-up">
      <QrCode :text="asked.toSetUp.address" />
      <p>
        Or type it: <span class="number">{{ inFours(asked.toSetUp.secret) }}</span>
      </p>
    </div>
    <v-text-field
      v-model="code"
      :label="`Code of the authenticator of ${name}`"
      :inputmode="byTouch ? 'none' : 'numeric'"
      autocomplete="one-time-code"
      maxlength="6"
      autofocus
    />
    <BenchButton lamp kind="submit" :disabled="!/^\d{6}$/.test(code)" lacking="six digits"
      >Sign in</BenchButton
    >
    <button type="button" class="link-button other" @click="$emit('leave')">I am not {{ name }}</button>
    <KeyPad
      class="pad"
      label="Digits"
      @press="(digit) => (code += digit)"
      @rub-out="code = code.slice(0, -1)"
    />
  </form>
</template>

<style scoped>
.second {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
}
form > p,
.set-up,
.pad {
  grid-column: 1 / -1;
}
.other {
  justify-self: start;
}
.set-up {
  display: grid;
  grid-template-columns: minmax(150px, 220px) minmax(0, 1fr);
  gap: 16px;
  align-items: center;
}
.number {
  display: block;
  font-size: 20px;
  overflow-wrap: anywhere;
}
</style>
