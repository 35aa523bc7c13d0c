<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue';
import { useSession } from '../stores/session';
import BenchButton from './BenchButton.vue';

/**
 * A signature: a press of its own button, then one's own PIN. No key of the bench does it, and neither does whoever
 * happens to stand at somebody else's screen.
 */
const props = defineProps<{
  /** Signs with the PIN; answers whether it was taken. */
  sign: (pin: string) => Promise<boolean>;
  lamp?: boolean;
  disabled?: boolean;
}>();
const session = useSession();
const open = ref(false);
const pin = ref('');
const busy = ref(false);
const field = useTemplateRef<{ focus: () => void }>('field');

async function ask(): Promise<void> {
  open.value = true;
  await nextTick();
  field.value?.focus();
}
async function go(): Promise<void> {
  if (pin.value === '' || busy.value) return;
  busy.value = true;
  try {
    open.value = !(await props.sign(pin.value));
  } finally {
    pin.value = '';
    busy.value = false;
  }
}
function leave(): void {
  open.value = false;
  pin.value = '';
}
</script>

<template>
  <BenchButton v-if="!open" :lamp="lamp" :disabled="disabled" @press="ask"><slot /></BenchButton>
  <form v-else class="sign-press" @submit.prevent="go" @keydown.escape.stop="leave">
    <v-text-field
      ref="field"
      v-model="pin"
      :label="`PIN of ${session.person?.name ?? 'nobody'}, to sign`"
      type="password"
      inputmode="numeric"
      autocomplete="off"
      maxlength="64"
    />
    <BenchButton lamp kind="submit" :disabled="pin.length < 4 || busy">Sign it</BenchButton>
    <BenchButton @press="leave">Leave it</BenchButton>
  </form>
</template>

<style scoped>
.sign-press {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
.sign-press > :deep(.v-input) {
  flex: 1 1 260px;
  min-width: 220px;
}
</style>
