<script setup lang="ts">
import { ref } from 'vue';
import { inWords, partsOf, type InterfaceDocument, type Shape } from './document';

/** A schema, part by part: each is drawn once it is opened, for some go on for long. */
const props = defineProps<{ shape: Shape; schemas: InterfaceDocument['components']['schemas'] }>();
const parts = partsOf(props.shape, props.schemas);
const opened = ref(new Set<string>());
</script>

<template>
  <ul class="shape">
    <li v-for="{ name, shape: part, isLeftOut } in parts" :key="name">
      <details
        v-if="partsOf(part, schemas).length > 0"
        @toggle="($event.target as HTMLDetailsElement).open && opened.add(name)"
      >
        <summary>
          <code>{{ name }}</code>
          <span class="muted">{{ inWords(part) }}{{ isLeftOut ? ', may be left out' : '' }}</span>
        </summary>
        <ShapeTree v-if="opened.has(name)" :shape="part" :schemas="schemas" />
      </details>
      <span v-else class="leaf"
        ><code>{{ name }}</code>
        <span class="muted">{{ inWords(part) }}{{ isLeftOut ? ', may be left out' : '' }}</span></span
      >
    </li>
  </ul>
</template>

<style scoped>
.shape {
  padding-left: 18px;
  margin: 0;
  border-left: 2px solid var(--line);
  list-style: none;
}
summary {
  min-height: 48px;
  padding: 10px 0;
}
.leaf {
  display: block;
  padding: 6px 0;
}
code {
  margin-right: 10px;
  font-size: 16px;
  font-weight: 600;
}
li {
  overflow-wrap: anywhere;
}
</style>
