<script setup lang="ts">
import type { ClassView } from '@dusk-wren/contract/drills';
import { DRILLS } from '@dusk-wren/core/drill';
import { formatPercent } from '@dusk-wren/core/quantity';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { sayMoment } from '../../parts/dates';

/** What was sent, and what became of it. */
defineProps<{ tasks: ClassView['tasks'] }>();
defineEmits<{ back: [id: string] }>();
const asked = ref<string>();
</script>

<template>
  <p v-if="tasks.length === 0" class="muted">Nothing is sent.</p>
  <ul v-else class="happened">
    <li v-for="task in tasks" :key="task.id" class="row-flat">
      <b>{{ DRILLS[task.ticket.drill].title }}</b>
      <span class="label muted"
        >{{ CONSTRUCTIONS[task.ticket.construction].name }}, level {{ task.ticket.level }},
        {{ sayMoment(task.at) }}</span
      >
      <span v-if="task.note">{{ task.note }}</span>
      <span v-for="person in task.people" :key="person.id" class="label"
        >{{ person.name }}:
        <b class="number">{{ person.score === null ? 'not yet' : formatPercent(person.score) }}</b></span
      >
      <BenchButton v-if="asked !== task.id" @press="asked = task.id">Take it back</BenchButton>
      <BenchButton v-else @press="$emit('back', task.id)">Yes; what was done of it stays</BenchButton>
    </li>
  </ul>
</template>
