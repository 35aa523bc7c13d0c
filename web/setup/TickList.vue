<script setup lang="ts" generic="T extends string">
/** Some of a few, each ticked by itself. */
defineProps<{ legend: string; choices: readonly { readonly value: T; readonly words: string }[] }>();
const picked = defineModel<T[]>({ required: true });
function turn(value: T, on: boolean): void {
  picked.value = on ? [...picked.value, value] : picked.value.filter((each) => each !== value);
}
</script>

<template>
  <fieldset>
    <legend class="label">{{ legend }}</legend>
    <label v-for="{ value, words } in choices" :key="value">
      <input
        type="checkbox"
        :checked="picked.includes(value)"
        @change="turn(value, ($event.target as HTMLInputElement).checked)"
      />
      <span>{{ words }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 0 18px;
  padding: 4px 14px;
  margin: 0;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
label {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 48px;
}
input {
  flex: none;
  width: 22px;
  height: 22px;
}
</style>
