<script setup lang="ts">
import { STUD_MATERIALS } from '@dusk-wren/core/standards';
import {
  boltedJoint,
  choicesOf,
  withChoice,
  type FeatureChoice,
  type ValveDraft,
} from '@dusk-wren/core/valve';
import { computed } from 'vue';
import QuantityField from '../../parts/QuantityField.vue';

/** How a new valve is made, as far as it can be told from outside. */
const draft = defineModel<ValveDraft>({ required: true });
const bolted = computed(() => boltedJoint(draft.value.features) !== undefined);
const sayOption = (value: string | boolean) =>
  value === true ? 'yes' : value === false ? 'no' : value.replaceAll('-', ' ');
function choose(choice: FeatureChoice, option: string | boolean): void {
  const features = withChoice(draft.value.features, choice, option);
  if (features) draft.value = { ...draft.value, features };
}
</script>

<template>
  <section>
    <div class="fields">
      <v-select
        v-for="each in choicesOf(draft.features)"
        :key="`${each.axis}.${each.key}`"
        :model-value="each.value"
        :label="each.label"
        :items="each.options.map((value) => ({ value, title: sayOption(value) }))"
        @update:model-value="(option: string | boolean) => choose(each, option)"
      />
      <QuantityField
        v-model="draft.seatDiameter"
        label="Seat diameter"
        dimension="length"
        example="2 7/8 in"
      />
      <QuantityField v-model="draft.stem" label="Stem diameter" dimension="length" example="1 1/8 in" />
      <template v-if="bolted">
        <v-text-field v-model="draft.bolts" label="Joint studs" inputmode="numeric" />
        <v-text-field v-model="draft.thread" label="Stud thread" placeholder="such as 5/8-11" />
        <v-select v-model="draft.studMaterial" label="Stud material" :items="[...STUD_MATERIALS]" />
      </template>
      <QuantityField
        v-if="bolted"
        v-model="draft.makersTorque"
        label="Torque on the maker's sheet"
        dimension="torque"
        example="90 ft-lb"
        optional
      />
    </div>
  </section>
</template>
