<script setup lang="ts">
import { likeView } from '@dusk-wren/contract';
import type { ValveId } from '@dusk-wren/core/job';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { call } from '../../api/client';
import BenchButton from '../../parts/BenchButton.vue';

/** Valves on file that this one may be, said while its tag and serial are typed. */
const props = defineProps<{ tag: string; serial: string }>();
defineEmits<{ take: [id: ValveId, tag: string] }>();
const LIKE = {
  'same valve': 'is on file already.',
  'same serial, other tag': 'same serial, other tag. Has it moved, or is the plate read wrong?',
  'same tag, other serial': 'same tag, other serial. Was the valve replaced?',
  'near tag': 'one letter away. Is it a slip of the pen?',
} as const;
const named = refDebounced(
  computed(() => ({ tag: props.tag.trim(), serial: props.serial.trim() })),
  300,
);
const { data: alike } = useQuery({
  key: () => ['valves-like', named.value.tag, named.value.serial],
  query: () =>
    call(
      `/valves/like?${new URLSearchParams({ tag: named.value.tag, ...(named.value.serial ? { serial: named.value.serial } : {}) }).toString()}`,
      likeView,
    ),
  enabled: () => named.value.tag.length >= 3 || named.value.serial.length >= 3,
});
const like = computed(() => (props.tag || props.serial ? (alike.value?.like ?? []) : []));
</script>

<template>
  <ul v-if="like.length > 0" class="label" role="alert">
    <li v-for="each in like" :key="each.id" class="problem">
      <span
        >{{ each.tag }}<template v-if="each.serial">, serial {{ each.serial }}</template
        >: {{ LIKE[each.likeness] }}</span
      >
      <BenchButton @press="$emit('take', each.id, each.tag)">Take {{ each.tag }} from file</BenchButton>
    </li>
  </ul>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
</style>
