<script setup lang="ts">
import { HAPPENINGS, type Happening } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { sayMoment } from '../parts/dates';
import type { useSetupMachines } from './setup-machines';
import TickList from './TickList.vue';

/** Addresses that are told of what happens, and what they were told. */
const props = defineProps<{ machines: ReturnType<typeof useSetupMachines> }>();
const { hooks, calls, hosts, busy, addHook, turnHook, newSecret } = props.machines;
const address = ref('');
const kinds = ref<Happening[]>([]);
const choices = HAPPENINGS.map((value) => ({ value, words: value }));
const lacking = computed(() =>
  [
    ...(URL.canParse(address.value) ? [] : ['an address, as https://planning.example/told']),
    ...(kinds.value.length === 0 ? ['what it is told of'] : []),
  ].join(', '),
);
async function add(): Promise<void> {
  if (await addHook(address.value.trim(), kinds.value)) [address.value, kinds.value] = ['', []];
}
</script>

<template>
  <h2>Told of what happens</h2>
  <p v-if="hosts.length === 0" class="label">
    Nothing is told from here: whoever runs the server names the hosts that may be (<code>HOOK_HOSTS</code>).
    A program with a token for <b>events</b> reads on by itself.
  </p>
  <template v-else>
    <p class="label">
      A signed call to an address, tried again for a day and a half until it is taken. Hosts that may be
      called: {{ hosts.join(', ') }}.
    </p>
    <ul v-if="hooks.length > 0" class="hooks">
      <li v-for="hook in hooks" :key="hook.id" :class="hook.standing">
        <b>{{ hook.address }}</b>
        <span>{{ hook.kinds.join(', ') }}</span>
        <span class="label muted"
          >{{ hook.lastTold ? `told ${sayMoment(hook.lastTold)}` : 'told nothing yet'
          }}<template v-if="hook.waiting > 0">
            · <b class="late">{{ hook.waiting }} waiting</b></template
          ></span
        >
        <span class="acts">
          <BenchButton :disabled="busy" @press="newSecret(hook.id)">Another secret</BenchButton>
          <BenchButton :disabled="busy" @press="turnHook(hook.id, hook.standing === 'off')">{{
            hook.standing === 'on' ? 'Tell it nothing more' : 'Tell it again'
          }}</BenchButton>
        </span>
      </li>
    </ul>
    <form class="form" @submit.prevent="add">
      <v-text-field v-model="address" label="Address that is told" maxlength="300" autocomplete="off" />
      <TickList v-model="kinds" legend="What it is told of" :choices="choices" />
      <BenchButton kind="submit" lamp :disabled="lacking !== '' || busy" :lacking="lacking"
        >Tell it from now on</BenchButton
      >
    </form>
  </template>
  <details v-if="calls.length > 0" class="calls">
    <summary>What was told, the last {{ calls.length }}</summary>
    <div class="wide">
      <table>
        <thead>
          <tr>
            <th scope="col">No.</th>
            <th scope="col">when</th>
            <th scope="col">what</th>
            <th scope="col">to</th>
            <th scope="col">came of it</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in calls" :key="`${each.seq} ${each.address}`">
            <td class="number">{{ each.seq }}</td>
            <td>{{ sayMoment(each.at) }}</td>
            <td>{{ each.kind }}, {{ each.tag }}</td>
            <td>{{ each.address }}</td>
            <td>
              <b :class="{ late: each.state !== 'told' }">{{ each.state }}</b>
              <template v-if="each.said">: {{ each.said }}, {{ each.tries }} tries</template>
              <template v-if="each.nextAt">, again {{ sayMoment(each.nextAt) }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </details>
</template>

<style scoped>
.hooks {
  display: grid;
  gap: 10px;
  padding: 0;
  margin: 0;
  list-style: none;
}
.hooks li {
  display: grid;
  gap: 4px 16px;
  padding: 10px 16px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--fit);
  border-radius: var(--radius);
  background: var(--card);
  overflow-wrap: anywhere;
}
.hooks .off {
  border-left-color: var(--line);
  background: none;
}
.late {
  color: var(--renew);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.form {
  display: grid;
  gap: 10px;
}
.form > :last-child {
  justify-self: start;
}
summary {
  min-height: 48px;
  line-height: 48px;
}
.wide {
  position: relative;
  overflow-x: auto;
}
th,
td {
  padding: 6px 12px 6px 0;
  text-align: left;
  vertical-align: top;
}
</style>
