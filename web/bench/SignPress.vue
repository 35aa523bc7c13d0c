<script setup lang="ts">
import type { RawCommand } from '@dusk-wren/core/command';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';
import { useSession } from '../stores/session';

/**
 * A signature: a press of its own button, then one's own PIN. No key of the bench does it, and neither does whoever
 * happens to stand at somebody else's screen. Who may not sign reads why.
 */
const props = defineProps<{ command: RawCommand; lamp?: boolean }>();
const job = useJob();
const refusal = computed(() => job.refusal(props.command));
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
    open.value = !(await job.sign(props.command, pin.value));
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
  <div v-if="!open" class="closed">
    <BenchButton :lamp="lamp" :disabled="refusal !== ''" @press="ask"
      ><slot /> as {{ session.person?.name ?? 'nobody' }}</BenchButton
    >
    <span v-if="refusal" class="muted">{{ refusal }}</span>
  </div>
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
.closed {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
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
