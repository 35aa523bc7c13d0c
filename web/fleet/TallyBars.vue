<script setup lang="ts">
import { computed } from 'vue';

/** Counted things as strokes of chalk behind their words; each opens what is behind it. */
const props = defineProps<{
  lines: readonly { key: string; words: string; amount: number; says: string; also?: string }[];
  title: string;
  picked: string | undefined;
}>();
defineEmits<{ pick: [key: string] }>();
const most = computed(() => Math.max(1e-9, ...props.lines.map(({ amount }) => amount)));
</script>

<template>
  <section v-if="lines.length > 0" :aria-label="title">
    <h2>{{ title }}</h2>
    <ul class="bars">
      <li v-for="{ key, words, amount, says, also } in lines" :key="key">
        <button type="button" :aria-pressed="picked === key" @click="$emit('pick', key)">
          <i aria-hidden="true" :style="{ width: `${(100 * amount) / most}%` }" />
          <span class="what">
            <b>{{ words }}</b>
            <span v-if="also" class="label muted">{{ also }}</span>
          </span>
          <span class="number">{{ says }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.bars {
  display: grid;
  gap: 4px;
}
button {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 12px 10px;
  overflow: hidden;
  font: inherit;
  color: var(--ink);
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
button[aria-pressed='true'] {
  background: var(--lit);
}
button > .what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
}
button > span {
  position: relative;
}
i {
  position: absolute;
  bottom: 0;
  left: 0;
  height: 5px;
  background: var(--blue);
}
</style>
