<script setup lang="ts">
import type { PersonWithCode } from '@dusk-wren/contract';
import { computed } from 'vue';
import { sayDay } from '../parts/dates';
import ShownOnce from './ShownOnce.vue';

/** Codes for the first sign-in, as they are read out or written down: shown this once. */
const props = defineProps<{ given: readonly PersonWithCode[] }>();
defineEmits<{ close: [] }>();
const inFours = (code: string) => code.replace(/(.{4})(?=.)/g, '$1 ');
const until = computed(() => sayDay((props.given[0]?.until ?? '').slice(0, 10)));
</script>

<template>
  <ShownOnce
    label="Code for the first sign-in"
    :passed="given.length > 1 ? 'I have passed them on' : 'I have passed it on'"
    @close="$emit('close')"
  >
    <p>
      <template v-if="given.length > 1"
        >Each of these {{ given.length }} signs in once with their code,</template
      >
      <template v-else
        ><b>{{ given[0]?.person.name }}</b> signs in once with this code,</template
      >
      and then chooses a PIN of their own. It is shown this once, and good until {{ until }}.
    </p>
    <dl v-if="given.length > 1" class="number">
      <div v-for="each in given" :key="each.person.id">
        <dt>{{ each.person.name }}</dt>
        <dd>{{ inFours(each.code) }}</dd>
      </div>
    </dl>
    <p v-else class="code number" role="status">{{ inFours(given[0]?.code ?? '') }}</p>
  </ShownOnce>
</template>

<style scoped>
.code {
  font-size: 44px;
  letter-spacing: 0.08em;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 8px 24px;
  width: 100%;
  margin: 0;
}
dl div {
  break-inside: avoid;
}
dd {
  margin: 0;
  font-size: 26px;
  letter-spacing: 0.08em;
}
</style>
