<script setup lang="ts">
import { STANDINGS } from '@dusk-wren/contract';
import { CONSTRUCTION_IDS, CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { useKeys } from '../keys/keys';
import BenchButton from '../parts/BenchButton.vue';
import { useRegister, WITHIN } from '../register/register';
import RegisterHeading from '../register/RegisterHeading.vue';
import ValveTag from '../register/ValveTag.vue';
import SetupFile from '../setup/SetupFile.vue';
import { useSession } from '../stores/session';

/** Every valve that the shop ever touched, found by whatever somebody knows of it. */
const router = useRouter();
const session = useSession();
const register = useRegister();
const { typed, sought, customer, construction, standing, due, customers } = register;
const { valves, data, error, refetch, isNarrowed, cursors, later, earlier } = register;
const search = ref<{ focus: () => void }>();
/** Enter opens the first that was found. */
function openFirst(): void {
  const first = valves.value[0];
  if (typed.value.trim() !== '' && typed.value === sought.value && first)
    void router.push(`/valves/${first.id}`);
}
useKeys([{ key: '/', label: 'Find a valve', run: () => search.value?.focus() }]);
</script>

<template>
  <div class="page valves">
    <header>
      <RegisterHeading title="Valves" />
      <v-text-field
        ref="search"
        v-model="typed"
        class="find"
        label="Find: tag, serial, place, medium, model, kind"
        autocomplete="off"
        @keydown.enter="openFirst"
        @keydown.escape="typed = ''"
      />
      <BenchButton lamp @press="router.push('/jobs/new')">Receive a valve</BenchButton>
    </header>
    <SetupFile
      v-if="session.person?.role === 'lead'"
      kind="valves"
      columns="tag, customer, kind; serial, place, size, class, medium, hazards (with | between), model, stands"
      @taken="refetch()"
    />
    <div class="narrow">
      <v-select v-model="customer" label="Customer" :items="customers" clearable />
      <v-select
        v-model="construction"
        label="Kind"
        :items="CONSTRUCTION_IDS.map((id) => ({ value: id, title: CONSTRUCTIONS[id].name }))"
        clearable
      />
      <v-select v-model="standing" label="Where it stands" :items="[...STANDINGS]" clearable />
      <v-select v-model="due" label="Due" :items="WITHIN" clearable />
    </div>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <ul v-if="valves.length > 0" class="tags" aria-label="Valves">
      <li v-for="valve in valves" :key="valve.id"><ValveTag :valve="valve" /></li>
    </ul>
    <p v-else-if="data" class="row-flat empty">
      {{
        isNarrowed
          ? 'No valve on file is all of that. Each word may be the beginning of one: “pan vap”, “fv22”.'
          : 'No valve was here yet. Receive one to begin.'
      }}
    </p>
    <div v-if="data?.next || cursors.length > 0" class="more">
      <BenchButton v-if="cursors.length > 0" @press="earlier">Earlier tags</BenchButton>
      <BenchButton v-if="data?.next" @press="later">Later tags</BenchButton>
    </div>
  </div>
</template>

<style scoped>
.valves {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
header {
  display: grid;
  grid-template-columns: auto minmax(220px, 1fr) auto;
  gap: 6px 18px;
  align-items: center;
}
.narrow {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
}
.tags {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(430px, 100%), 1fr));
  gap: 8px;
  padding: 0;
  margin: 0;
  list-style: none;
}
.more {
  display: flex;
  gap: 10px;
}
.empty {
  padding: 18px;
}
@media (max-width: 700px) {
  header {
    grid-template-columns: 1fr auto;
  }
  .find {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
