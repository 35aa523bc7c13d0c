<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { activeKeys, keyName, keySheet, useKeys } from './keys';

const sheet = ref<HTMLDialogElement>();
useKeys([{ key: '?', label: 'Show the keys', run: () => (keySheet.open = !keySheet.open) }]);
const shown = computed(() => activeKeys.sets.flatMap((set) => set.filter(({ when }) => when?.() ?? true)));
watch(
  () => keySheet.open,
  (now) => (now ? sheet.value?.showModal() : sheet.value?.close()),
);
</script>

<template>
  <dialog ref="sheet" class="sheet row-flat" aria-label="Keys on this screen" @close="keySheet.open = false">
    <h2>Keys on this screen</h2>
    <dl>
      <template v-for="{ key, label } in shown" :key="key + label">
        <dt>
          <kbd>{{ keyName(key) }}</kbd>
        </dt>
        <dd>{{ label }}</dd>
      </template>
    </dl>
    <p class="muted">Esc closes this.</p>
  </dialog>
</template>

<style scoped>
.sheet {
  margin: auto;
  padding: 20px 24px;
  color: var(--ink);
  min-width: 320px;
}
.sheet::backdrop {
  background: rgb(0 0 0 / 55%);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 16px;
  margin: 14px 0;
}
kbd {
  font-family: var(--label);
  font-weight: 600;
  border: 1px solid currentColor;
  border-radius: 4px;
  padding: 0 7px;
}
</style>
