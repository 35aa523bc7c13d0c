<script setup lang="ts">
import { TOKEN_ASKS_A_MINUTE } from '@dusk-wren/contract/machines';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../api/client';
import { documentView, waysOf } from '../interface/document';
import WayCard from '../interface/WayCard.vue';

/** What other programs may ask of this server, for whoever writes one. */
const { data, error } = useQuery({
  key: ['interface'],
  query: () => call('/openapi.json', documentView),
});
const word = ref('');
const groups = computed(() => (data.value ? waysOf(data.value, word.value) : []));
const EXAMPLE = `curl -X PUT -H "Authorization: Bearer dw_…" -H "Content-Type: application/json" \\
  -d '{"tag":"PV-10","reported":"weeps at the gland","due":"2027-01-15"}' \\
  ${location.origin}/api/work-orders/WO-1041`;
</script>

<template>
  <div class="page interface">
    <h1>For other programs</h1>
    <p>
      What is here stays as it is as long as the first figure of its version does; what serves these pages
      alone is not here. The whole of it is
      <a class="way" href="/api/openapi.json">openapi.json</a>, OpenAPI 3.1, out of which a client can be
      generated.
    </p>
    <p class="label">
      A program comes with a token that a lead has made for it (<router-link
        class="way"
        to="/setup?view=machines"
        >Setup → Machines</router-link
      >), and may ask {{ TOKEN_ASKS_A_MINUTE }} times a minute. Figures that are sent may be texts with their
      unit, as somebody types them.
    </p>
    <pre class="row-flat example" tabindex="0">{{ EXAMPLE }}</pre>
    <p v-if="error" class="problem" role="alert">The document cannot be read now. Try again later.</p>
    <template v-if="data">
      <v-text-field
        v-model="word"
        class="find"
        label="Find: order, certificate, due …"
        maxlength="40"
        clearable
      />
      <section v-for="{ group, ways } in groups" :key="group" :aria-label="group">
        <h2>{{ group }}</h2>
        <WayCard
          v-for="way in ways"
          :key="way.asked.operationId"
          :way="way"
          :schemas="data.components.schemas"
        />
      </section>
      <p v-if="groups.length === 0" class="muted">Nothing here has that in its name.</p>
      <p class="label muted">Version {{ data.info.version }}.</p>
    </template>
  </div>
</template>

<style scoped>
.interface,
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.example {
  padding: 12px 16px;
  margin: 0;
  overflow-x: auto;
}
.find {
  max-width: 520px;
}
</style>
