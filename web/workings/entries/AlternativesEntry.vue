<script setup lang="ts">
import { computed, ref } from 'vue';
import { wayTyped, type Alternatives, type Typed } from '../given';
import WorkingEntry from '../WorkingEntry.vue';

/** One of several ways to say the same: it is chosen which, and only its own fields are there to be filled. */
const props = defineProps<{
  choice: Alternatives;
  typed: Typed;
  problems: Readonly<Record<string, string>>;
}>();
const emit = defineEmits<{ type: [name: string, text: string] }>();
const picked = ref<string>();
const way = computed(() => wayTyped(props.choice, props.typed) ?? picked.value ?? props.choice.ways[0]?.as);
const fields = computed(() => props.choice.ways.find(({ as }) => as === way.value)?.fields ?? []);
function pick(as: string): void {
  if (as === way.value) return;
  picked.value = as;
  // What was typed another way would contradict it.
  for (const { name } of fields.value) emit('type', name, '');
}
</script>

<template>
  <fieldset class="alternatives">
    <legend class="label muted">{{ choice.of }}</legend>
    <div class="ways" role="radiogroup" :aria-label="choice.of">
      <button
        v-for="each in choice.ways"
        :key="each.as"
        type="button"
        role="radio"
        class="label"
        :aria-checked="each.as === way"
        @click="pick(each.as)"
      >
        {{ each.as }}
      </button>
    </div>
    <WorkingEntry
      v-for="field in fields"
      :key="field.name"
      :field="field"
      wanted
      :problem="problems[field.name]"
      :model-value="typed[field.name] ?? ''"
      @update:model-value="emit('type', field.name, $event ?? '')"
    />
  </fieldset>
</template>

<style scoped>
.alternatives {
  border: 0;
  padding: 0;
  min-width: 0;
  display: grid;
  gap: 8px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
button {
  min-height: var(--touch);
  padding: 0 12px;
  font-size: 16px;
  color: var(--ink);
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
button[aria-checked='true'] {
  border-color: var(--blue);
  box-shadow: inset 0 -4px 0 var(--blue);
}
</style>
