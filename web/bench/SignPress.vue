<script setup lang="ts">
import type { PersonView } from '@dusk-wren/contract';
import type { RawCommand } from '@dusk-wren/core/command';
import { useMediaQuery } from '@vueuse/core';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import KeyPad from '../parts/KeyPad.vue';
import { faultOf } from '../stores/fault';
import { useJob } from '../stores/job';
import { useSession } from '../stores/session';

/**
 * A signature: a press of its own button, then one's own PIN. No key of the bench does it, and neither does whoever
 * happens to stand at somebody else's screen: they give their own name and PIN, and nobody is signed out for it. Who may
 * not sign reads why.
 */
const props = defineProps<{
  command: RawCommand;
  /** Goes with it, under the same name. */
  more?: readonly RawCommand[];
  lamp?: boolean;
}>();
const emit = defineEmits<{ signed: [] }>();
const job = useJob();
const session = useSession();
const refusal = computed(() => job.refusal(props.command));
/** Nothing is asked, a name is, or the PIN of one. */
const asking = ref<'nothing' | 'name' | 'pin'>('nothing');
const others = ref<PersonView[]>([]);
const known = ref(false);
const mayInstead = computed(() => others.value.filter((each) => job.refusal(props.command, each) === ''));
/** Who signs, where it is not who is signed in. */
const other = ref<PersonView>();
const name = computed(() => other.value?.name ?? session.person?.name ?? 'nobody');
const pin = ref('');
const busy = ref(false);
const field = useTemplateRef<{ focus: () => void }>('field');
const names = useTemplateRef<HTMLElement>('names');
const byTouch = useMediaQuery('(pointer: coarse)');

async function askPin(of?: PersonView): Promise<void> {
  other.value = of;
  asking.value = 'pin';
  await nextTick();
  field.value?.focus();
}
async function askName(): Promise<void> {
  asking.value = 'name';
  try {
    others.value = (await session.people()).filter(({ id }) => id !== session.person?.id);
    known.value = true;
    // What had the focus is gone: the keys go on at the first name.
    await nextTick();
    names.value?.querySelector('button')?.focus();
  } catch (error) {
    job.said = faultOf(error);
    leave();
  }
}
async function go(): Promise<void> {
  if (pin.value.length < 4 || busy.value) return;
  busy.value = true;
  try {
    for (const command of [props.command, ...(props.more ?? [])])
      if (!(await job.sign(command, pin.value, other.value))) return;
    leave();
    emit('signed');
  } finally {
    pin.value = '';
    busy.value = false;
  }
}
function leave(): void {
  asking.value = 'nothing';
  pin.value = '';
}
</script>

<template>
  <div v-if="asking === 'nothing'" class="closed">
    <BenchButton :lamp="lamp" :disabled="refusal !== ''" @press="askPin()"
      ><slot /> as {{ session.person?.name ?? 'nobody' }}</BenchButton
    >
    <BenchButton @press="askName">Somebody else signs here</BenchButton>
    <span v-if="refusal" class="muted">{{ refusal }}</span>
  </div>
  <div v-else-if="asking === 'name'" ref="names" class="closed" @keydown.escape.stop="leave">
    <BenchButton v-for="each in mayInstead" :key="each.id" @press="askPin(each)"
      >{{ each.name }}, {{ each.role }}</BenchButton
    >
    <span v-if="known && mayInstead.length === 0" class="muted">Nobody else on file may sign this.</span>
    <BenchButton @press="leave">Leave it</BenchButton>
  </div>
  <form v-else class="sign-press" @submit.prevent="go" @keydown.escape.stop="leave">
    <v-text-field
      ref="field"
      v-model="pin"
      :label="`PIN of ${name}, to sign`"
      type="password"
      :inputmode="byTouch ? 'none' : 'numeric'"
      autocomplete="off"
      maxlength="64"
    />
    <KeyPad
      v-if="byTouch"
      label="Digits"
      @press="(digit) => (pin += digit)"
      @rub-out="pin = pin.slice(0, -1)"
    />
    <BenchButton lamp kind="submit" :disabled="pin.length < 4 || busy">Sign it</BenchButton>
    <BenchButton @press="leave">Leave it</BenchButton>
  </form>
</template>

<style scoped>
.closed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
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
