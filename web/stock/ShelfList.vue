<script setup lang="ts">
import { openJobView } from '@dusk-wren/contract';
import { unitsView, type ShelfUnit } from '@dusk-wren/contract/stock';
import { jobView } from '@dusk-wren/contract';
import { SHELF_UNITS, wordKey } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { ApiProblem, call } from '../api/client';
import { sayDay } from '../parts/dates';
import BenchButton from '../parts/BenchButton.vue';
import '../parts/table.css';

/** Units swapped whole: those ready, those taken, and old ones that wait to be rebuilt as their own job. */
const router = useRouter();
const { data, error } = useQuery({
  key: () => ['units'],
  query: () => call('/store/units', unitsView),
  refetchOnMount: 'always',
});
const problem = ref('');
const busy = ref(false);

/** The old unit's own job, on the valve it came out of. */
async function openItsJob(unit: ShelfUnit): Promise<void> {
  if (!unit.job || busy.value) return;
  busy.value = true;
  problem.value = '';
  try {
    const { valveId } = await call(`/jobs/${unit.job.id}`, jobView);
    const { id } = await call('/jobs', openJobView, {
      method: 'POST',
      body: {
        commandId: crypto.randomUUID(),
        valve: { id: valveId },
        place: 'bare',
        reported: `${SHELF_UNITS[unit.kind].name} swapped out, to be rebuilt`,
        only: unit.kind,
      },
    });
    await router.push(`/jobs/${id}`);
  } catch (failure) {
    problem.value = failure instanceof ApiProblem ? failure.message : String(failure);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  <p v-if="data && data.units.length === 0" class="muted">
    The shelf is empty. Packed bonnets, complete inserts and rebuilt actuators stand here by the valve they
    fit.
  </p>
  <table v-else-if="data" class="store-table folds label">
    <thead>
      <tr>
        <th scope="col">Unit</th>
        <th scope="col">Serial</th>
        <th scope="col">Fits</th>
        <th scope="col">Stands</th>
        <th scope="col"><span class="visually-hidden">To do</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="unit in data.units" :key="unit.id">
        <td>
          <b>{{ SHELF_UNITS[unit.kind].name }}</b>
        </td>
        <td class="number">{{ unit.serial }}</td>
        <td>{{ wordKey(unit.key) }}</td>
        <td>
          {{ unit.state
          }}<template v-if="unit.builtOn && unit.state === 'on the shelf'"
            >, ready since {{ sayDay(unit.builtOn) }}</template
          ><template v-if="unit.job"
            >, <router-link :to="`/jobs/${unit.job.id}`">{{ unit.job.tag }}</router-link></template
          >
        </td>
        <td>
          <BenchButton v-if="unit.state === 'to rebuild'" :disabled="busy" @press="openItsJob(unit)"
            >Open its job</BenchButton
          >
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else class="muted">Looking at the shelf…</p>
</template>
