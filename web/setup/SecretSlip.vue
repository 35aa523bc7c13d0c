<script setup lang="ts">
import type { ToldOnce } from './setup-machines';
import ShownOnce from './ShownOnce.vue';

/** A secret as it is copied. */
defineProps<{ told: ToldOnce }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <ShownOnce label="A secret, shown once" passed="I have put it there" @close="$emit('close')">
    <p>
      <b>{{ told.of }}</b> is shown this once. Put it where that program keeps its secrets, in no letter and
      no list; whoever has it may do what it is for.
    </p>
    <output class="secret number">{{ told.secret }}</output>
  </ShownOnce>
</template>

<style scoped>
.secret {
  font-size: 20px;
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
