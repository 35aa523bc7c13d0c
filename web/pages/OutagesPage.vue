<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import BenchButton from '../parts/BenchButton.vue';
import { sayDay } from '../parts/dates';
import OutageForm from '../plan/outage/OutageForm.vue';
import { useOutages } from '../plan/outage/outages';
import WeekHeading from '../plan/WeekHeading.vue';
import { useSession } from '../stores/session';

/** Shutdowns that valves are to be done in. */
const router = useRouter();
const session = useSession();
const isLead = computed(() => session.person?.role === 'lead');
const { outages, error, wrong, remove } = useOutages();
const isNew = ref(false);
const asked = ref<string>();
const counted = (count: number) => (count === 1 ? '1 valve' : `${count} valves`);
</script>

<template>
  <div class="page outages">
    <WeekHeading title="Outages" />
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-if="outages && outages.outages.length === 0 && !isNew" class="row-flat empty">
      No shutdown is planned. A lead brings in the list of its valves: what fits, what it takes out of the
      store and what had better be done before is worked out from it.
    </p>
    <ol v-else-if="outages" class="list">
      <li v-for="each in outages.outages" :key="each.id" class="row-flat">
        <router-link class="way name" :to="`/week/outages/${each.id}`">{{ each.name }}</router-link>
        <span class="number">{{ sayDay(each.from) }} to {{ sayDay(each.to) }}</span>
        <span class="label muted">{{ counted(each.valves) }}, brought in by {{ each.by }}</span>
        <template v-if="isLead">
          <BenchButton v-if="asked !== each.id" @press="asked = each.id">Take it off</BenchButton>
          <BenchButton v-else @press="remove(each.id)">Yes, off the list; its jobs stay</BenchButton>
        </template>
      </li>
    </ol>
    <template v-if="isLead">
      <BenchButton v-if="!isNew" class="new" lamp @press="isNew = true">A new outage</BenchButton>
      <OutageForm v-else @added="router.push(`/week/outages/${$event.id}`)" />
    </template>
  </div>
</template>

<style scoped>
.outages {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
.new {
  justify-self: start;
}
.list {
  display: grid;
  gap: 6px;
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1.2fr) auto;
  gap: 4px 18px;
  align-items: center;
  min-height: 60px;
  padding: 4px 14px;
}
.name {
  font-size: 19px;
}
.empty {
  padding: 20px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    padding: 8px 14px;
  }
}
</style>
