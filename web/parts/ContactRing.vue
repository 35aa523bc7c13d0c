<script setup lang="ts">
import { computed } from 'vue';

/** The verdict as the blued ring on a seat: closed, gapped, dashed, barred, crossed; thin while not yet known. Always beside its word. */
const props = defineProps<{
  verdict: 'fit' | 'rework' | 'renew' | 'ask' | 'condemn' | 'not yet';
  size?: number;
}>();

const R = 7.5;
const ROUND = 2 * Math.PI * R;
const dash = computed(() => {
  if (props.verdict === 'rework') return `${ROUND * 0.78} ${ROUND * 0.22}`;
  return props.verdict === 'renew' ? `${ROUND / 16} ${ROUND / 16}` : 'none';
});
const turn = computed(() => (props.verdict === 'rework' ? 'rotate(-50 10 10)' : undefined));
</script>

<template>
  <svg
    class="ring"
    :class="verdict.replace(' ', '-')"
    :width="size ?? 20"
    :height="size ?? 20"
    viewBox="0 0 20 20"
    aria-hidden="true"
  >
    <circle
      cx="10"
      cy="10"
      :r="R"
      fill="none"
      stroke="currentColor"
      :stroke-width="verdict === 'not yet' ? 1.2 : 3"
      :stroke-dasharray="dash"
      :transform="turn"
    />
    <path v-if="verdict === 'ask'" d="M3.5 10h13" stroke="currentColor" stroke-width="2.6" />
    <path
      v-if="verdict === 'condemn'"
      d="M6.4 6.4l7.2 7.2m0-7.2l-7.2 7.2"
      stroke="currentColor"
      stroke-width="2.4"
    />
  </svg>
</template>

<style scoped>
.ring {
  flex: none;
  vertical-align: -4px;
}
.not-yet {
  color: var(--muted);
}
</style>
