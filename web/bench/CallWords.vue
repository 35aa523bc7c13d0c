<script setup lang="ts">
import { wordReason, type Call } from '@dusk-wren/core/inspection';
import { describeSource } from '@dusk-wren/core/standards';
import ContactRing from '../parts/ContactRing.vue';
import { usePreferences } from '../stores/preferences';

/** A call in words: ring, verdict, method, reason, whose rule. */
defineProps<{ call: Call }>();
const { tell } = usePreferences();
const WORDS = { fit: 'Fit', rework: 'Rework', renew: 'Renew', ask: 'Ask', condemn: 'Condemn' } as const;
</script>

<template>
  <div class="call" :class="call.verdict">
    <p class="verdict label">
      <ContactRing :verdict="call.verdict" :size="24" /> {{ WORDS[call.verdict] }} the {{ call.part
      }}<template v-if="call.method">: {{ call.method }}</template>
    </p>
    <p class="reason">{{ tell(wordReason(call.reason)) }}</p>
    <p class="muted label">{{ describeSource(call.source) }}</p>
  </div>
</template>

<style scoped>
.verdict {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 20px;
  font-weight: 600;
}
.reason {
  color: var(--ink);
}
</style>
