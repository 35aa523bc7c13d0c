<script setup lang="ts">
import { BLOWDOWN, blowdownOf, onTheRig, SEAT_CALLS, setIt } from '@dusk-wren/core/drill';
import {
  formatNumber,
  formatPercent,
  preferredUnit,
  psig,
  valueIn,
  type Quantity,
} from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import PopScale from '../../charts/PopScale.vue';
import PressureChart from '../../charts/PressureChart.vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { usePreferences } from '../../stores/preferences';
import { useBench } from '../sitting';
import TurnBy from './TurnBy.vue';
import { usePump } from './use-pump';

/** A relief valve on the rig: pumped, vented, its screw and ring turned, until it is set. */
const { exercise, moves, over, play, ticket } = useBench(setIt);
const preferences = usePreferences();
const { show } = preferences;
const units = computed(() => preferences.units);
const at = computed(() => onTheRig(exercise, moves.value));
const pump = usePump(
  exercise,
  () => at.value,
  (reached) => play({ do: 'raise', to: reached }),
);
/** Nothing else is touched while it pumps. */
const busy = computed(() => pump.pumping.value);
const unit = computed(() => preferredUnit(exercise.set, units.value));
const points = computed(() =>
  pump.samples.value.map(([seconds, read]) => [seconds, valueIn(psig(read), unit.value)] as const),
);
const to = ref<Quantity<'gauge pressure'>>();
const seat = ref<(typeof SEAT_CALLS)[number]>();
const psi = (pressure: Quantity<'gauge pressure'>) => valueIn(pressure, 'psig');
/** From here on the cold set pressure is to be worked out. */
const COLD_TO_LEVEL = 1;
</script>

<template>
  <div class="rig">
    <dl class="plate label">
      <div>
        <dt>Set pressure</dt>
        <dd class="number">{{ show(exercise.set) }}</dd>
      </div>
      <div>
        <dt>Constant back pressure</dt>
        <dd class="number">{{ show(exercise.backPressure) }}</dd>
      </div>
      <div>
        <dt>Factor for temperature</dt>
        <dd class="number">{{ exercise.temperatureFactor }}</dd>
      </div>
      <div v-if="ticket.level <= COLD_TO_LEVEL">
        <dt>To pop at, cold</dt>
        <dd class="number">{{ show(exercise.coldSet) }}</dd>
      </div>
      <div>
        <dt>Blowdown asked for</dt>
        <dd class="number">{{ formatPercent(BLOWDOWN.least) }} to {{ formatPercent(BLOWDOWN.most) }}</dd>
      </div>
      <div>
        <dt>As it came</dt>
        <dd>
          {{ exercise.gagged ? 'on its spindle, under the cap: a gag' : 'cap off, nothing on its spindle' }}
        </dd>
      </div>
    </dl>
    <section class="pumping" aria-label="The rig">
      <p class="number gauge" aria-live="off">{{ show(pump.now.value) }}</p>
      <PressureChart
        v-if="pump.samples.value.length > 0"
        :points="points"
        :wanted="valueIn(exercise.set, unit)"
        :unit="unit"
        :span="pump.span.value"
      />
      <div class="row">
        <BenchButton lamp :disabled="over" @press="pump.press">{{
          busy ? 'Hold the pump' : 'Pump it up'
        }}</BenchButton>
        <BenchButton :disabled="over || busy" @press="play({ do: 'vent' })">Let the pressure off</BenchButton>
      </div>
      <form class="row" @submit.prevent="to && play({ do: 'raise', to })">
        <QuantityField
          v-model="to"
          label="or up to"
          class="to"
          dimension="gauge pressure"
          :example="show(exercise.set)"
        />
        <BenchButton kind="submit" :disabled="over || busy || !to" lacking="a pressure"
          >Pump to there</BenchButton
        >
      </form>
      <PopScale
        v-if="at.pops.length > 0"
        :set="psi(exercise.set)"
        :pops="at.pops.map(({ popped, reseated }) => ({ popped: psi(popped), reseated: psi(reseated) }))"
      />
      <ol class="pops label" aria-label="Pops">
        <li v-for="(pop, i) in at.pops" :key="i">
          <b class="number">{{ show(pop.popped) }}</b> shut at
          <span class="number">{{ show(pop.reseated) }}</span>, blowdown
          {{ formatNumber(blowdownOf(pop) * 100, 1) }} %
        </li>
      </ol>
    </section>
    <section class="turning" aria-label="What is turned">
      <div class="row">
        <BenchButton :disabled="over || busy" @press="play({ do: 'gag off' })">Gag out</BenchButton>
      </div>
      <TurnBy
        label="Turns of the screw"
        :least="1 / 16"
        :most="5"
        :usual="0.25"
        :ways="['Anticlockwise', 'Clockwise']"
        :disabled="over || busy"
        @turn="play({ do: 'turn', by: $event })"
      />
      <TurnBy
        label="Notches of the ring"
        :least="1"
        :most="40"
        :usual="4"
        :ways="['Ring up', 'Ring down']"
        :disabled="over || busy"
        @turn="play({ do: 'ring', by: $event })"
      />
      <div class="row">
        <BenchButton :disabled="over || busy" @press="play({ do: 'tightness' })"
          >Count the bubbles at nine tenths</BenchButton
        >
        <span v-if="at.bubbles !== undefined" class="number"
          >{{ at.bubbles }} a minute, {{ exercise.bubblesAllowed }} allowed</span
        >
      </div>
      <div class="row">
        <ChoiceRow
          label="Its seat"
          :options="
            SEAT_CALLS.map((value) => ({
              value,
              label: value === 'tight' ? 'Its seat is tight' : 'Its seat leaks',
            }))
          "
          :picked="seat"
          @pick="seat = $event"
        />
        <BenchButton
          lamp
          :disabled="over || busy || !seat"
          lacking="tight or not"
          @press="seat && play({ do: 'done', seat })"
          >It is set</BenchButton
        >
      </div>
    </section>
  </div>
</template>

<style scoped>
.rig {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 16px 28px;
}
.plate {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 6px 18px;
  padding: 10px 16px;
  color: var(--engraved);
  background: linear-gradient(var(--plate-high), var(--plate-low));
  border-radius: var(--radius);
}
.plate dt {
  color: var(--engraved-label);
}
.plate dd {
  margin: 0;
}
section {
  display: grid;
  gap: 12px;
  align-content: start;
}
.gauge {
  font-size: 44px;
  line-height: 1.05;
  color: var(--blue);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: start;
}
.to {
  flex: 0 1 250px;
}
@media (max-width: 860px) {
  .rig {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
