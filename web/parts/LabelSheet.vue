<script setup lang="ts">
import QrCode from './QrCode.vue';

/** Labels to print: a large mark, a name, a line below, and a code that a scanner reads. */
defineProps<{
  labels: readonly {
    readonly key: string;
    readonly code: string;
    readonly mark: string;
    readonly name: string;
    readonly below: string;
  }[];
}>();
</script>

<template>
  <ol class="sheet">
    <li v-for="each in labels" :key="each.key" class="tag label">
      <QrCode :text="each.code" />
      <span
        ><b class="mark number">{{ each.mark }}</b
        ><b>{{ each.name }}</b
        ><small>{{ each.below }}</small></span
      >
    </li>
  </ol>
</template>

<style scoped>
.sheet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 6px;
}
.tag {
  display: grid;
  grid-template-columns: 74px 1fr;
  gap: 10px;
  align-items: center;
  padding: 6px;
  color: #1d1a26;
  background: #fff;
  border: 1px solid var(--line);
  border-radius: 4px;
  break-inside: avoid;
}
.tag span {
  display: grid;
}
.mark {
  font-size: 26px;
  line-height: 1;
}
small {
  font-size: 14px;
  color: #453f52;
}
</style>
