<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue';
import BenchButton from './BenchButton.vue';

/** A sheet over the page: the whole screen at a desk, up from the bottom on a phone. Escape or its button puts it away. */
defineProps<{ name: string }>();
const dialog = useTemplateRef<HTMLDialogElement>('dialog');
const open = ref(false);
async function show(): Promise<void> {
  open.value = true;
  await nextTick();
  dialog.value?.showModal();
}
const close = () => dialog.value?.close();
defineExpose({ show, close });
</script>

<template>
  <Teleport v-if="open" to="body">
    <dialog ref="dialog" class="full-sheet" :aria-label="name" @close="open = false">
      <header>
        <h2>{{ name }}</h2>
        <slot name="act" />
        <BenchButton @press="close">Put it away</BenchButton>
      </header>
      <div class="within"><slot :close="close" /></div>
    </dialog>
  </Teleport>
</template>

<style scoped>
.full-sheet {
  width: 100vw;
  height: 100vh;
  max-width: none;
  max-height: none;
  margin: 0;
  padding: 12px 16px;
  box-sizing: border-box;
  color: var(--ink);
  background: var(--ground);
  border: 0;
}
.full-sheet[open] {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 8px;
}
.full-sheet::backdrop {
  background: rgb(0 0 0 / 55%);
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
h2 {
  margin-right: auto;
}
.within {
  min-height: 0;
  overflow: auto;
  display: grid;
}
@media (max-width: 860px) {
  .full-sheet {
    height: 92vh;
    margin-top: 8vh;
    padding: 10px 12px;
    border-top: 3px solid var(--lamp);
    border-radius: 12px 12px 0 0;
  }
}
</style>
