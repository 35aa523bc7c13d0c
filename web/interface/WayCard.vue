<script setup lang="ts">
import { computed, ref } from 'vue';
import { inWords, nameOf, whoMay, type InterfaceDocument, type Way } from './document';
import ShapeTree from './ShapeTree.vue';

/** One thing that can be asked: how, with what, and what comes back. */
const props = defineProps<{ way: Way; schemas: InterfaceDocument['components']['schemas'] }>();
const isOpen = ref(false);
const body = computed(() => props.way.asked.requestBody?.content['application/json']?.schema);
const answers = computed(() =>
  Object.entries(props.way.asked.responses).flatMap(([status, { description, content }]) => {
    const [type, held] = Object.entries(content ?? {})[0] ?? [];
    const json = type === 'application/json' ? held?.schema : undefined;
    return status === 'default' ? [] : [{ status, type, description, json }];
  }),
);
</script>

<template>
  <details class="way-card" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary>
      <b class="method" :class="way.method">{{ way.method }}</b>
      <code>{{ way.path }}</code>
      <span>{{ way.asked.summary }}</span>
    </summary>
    <div v-if="isOpen" class="body">
      <p class="label">
        For {{ whoMay(way.asked) }}. In generated programs it is <code>{{ way.asked.operationId }}</code>.
      </p>
      <template v-if="way.asked.parameters.length > 0">
        <h4>Asked with</h4>
        <ul class="plain">
          <li v-for="each in way.asked.parameters" :key="each.name">
            <code>{{ each.name }}</code>
            <span class="muted">
              in the {{ each.in }}, {{ inWords(each.schema) }}{{ each.required ? '' : ', may be left out'
              }}{{ each.description ? `: ${each.description}` : '' }}</span
            >
          </li>
        </ul>
      </template>
      <template v-if="body">
        <h4>Sent: {{ nameOf(body) }}</h4>
        <ShapeTree :shape="body" :schemas="schemas" />
      </template>
      <template v-for="{ status, type, description, json } in answers" :key="status">
        <h4>{{ status }}: {{ description }}{{ type && !json ? `, ${type}` : '' }}</h4>
        <ShapeTree v-if="json" :shape="json" :schemas="schemas" />
      </template>
    </div>
  </details>
</template>

<style scoped>
.way-card {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
summary {
  display: grid;
  grid-template-columns: 74px minmax(160px, 1fr) minmax(180px, 1.4fr);
  gap: 4px 14px;
  align-items: center;
  min-height: 52px;
  padding: 6px 14px;
}
.method {
  text-transform: uppercase;
  letter-spacing: 0.06em;
}
.get {
  color: var(--muted);
}
code {
  font-size: 16px;
  overflow-wrap: anywhere;
}
.body {
  display: grid;
  gap: 8px;
  padding: 0 14px 14px;
}
h4 {
  margin: 6px 0 0;
}
.plain code {
  margin-right: 10px;
}
.plain {
  display: grid;
  gap: 4px;
  padding: 0;
  margin: 0;
  list-style: none;
}
@media (max-width: 700px) {
  summary {
    grid-template-columns: 1fr;
  }
}
</style>
