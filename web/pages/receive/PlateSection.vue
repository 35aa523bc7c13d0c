<script setup lang="ts">
import { useCustomers } from '../../stores/customers';
import type { ValveId } from '@dusk-wren/core/job';
import {
  GROUP_NAMES,
  IRON_BODIES,
  MATERIAL_GROUPS,
  NOMINAL_SIZES,
  PRESSURE_CLASSES,
} from '@dusk-wren/core/standards';
import {
  closureOf,
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  ENDS,
  ofConstruction,
  plateDoubt,
  readPlate,
  withoutPlate,
  withPlate,
  type ConstructionId,
  type PlateRead,
  type ValveDraft,
} from '@dusk-wren/core/valve';
import { computed, ref } from 'vue';
import QuantityField from '../../parts/QuantityField.vue';
import BenchButton from '../../parts/BenchButton.vue';
import LikeWarning from './LikeWarning.vue';

/** Who a new valve is: its plate read as it is typed, pasted or scanned, or filled in field by field. */
const draft = defineModel<ValveDraft>({ required: true });
defineEmits<{ take: [id: ValveId, tag: string] }>();
const customers = useCustomers();
const ratedBy = computed(() => closureOf(draft.value.features).ratedBy);
const line = ref('');
const plateRead = ref<PlateRead>();
function readLine(text: string): void {
  const before = plateRead.value;
  plateRead.value = text.trim() ? readPlate(text) : undefined;
  if (plateRead.value) draft.value = withPlate(draft.value, plateRead.value, before);
  else if (before) draft.value = withoutPlate(draft.value, before);
}
const doubt = computed(() => plateDoubt(draft.value));
</script>

<template>
  <section>
    <h2>What its plate says</h2>
    <v-text-field
      autofocus
      v-model="line"
      label="Type, paste or scan the plate"
      placeholder="such as FV-12; S/N K 20 118; 3 in; class 300; WCB; trim 316; set 150 psig"
      autocomplete="off"
      maxlength="400"
      @update:model-value="readLine"
    />
    <p v-if="plateRead" class="label plate-read" aria-live="polite">
      <span v-for="item in plateRead.items" :key="item.text"
        ><i>{{ item.label }}</i> {{ item.text }}</span
      >
      <span v-if="plateRead.left.length > 0" class="problem"
        >not understood: {{ plateRead.left.join('; ') }}</span
      >
    </p>
    <p v-else class="label muted">{{ CONSTRUCTIONS[draft.construction].identify }}</p>
    <p v-if="doubt" class="doubt label" role="alert">
      {{ doubt.words }}
      <BenchButton @press="draft = ofConstruction(draft, doubt.likely)"
        >It is: {{ CONSTRUCTIONS[doubt.likely].name }}</BenchButton
      >
    </p>
    <LikeWarning :tag="draft.tag" :serial="draft.serial" @take="(id, tag) => $emit('take', id, tag)" />
    <div class="fields">
      <v-select
        class="wide"
        :model-value="draft.construction"
        label="Construction"
        :items="
          CONSTRUCTION_IDS.map((value) => ({
            value,
            title: `${CONSTRUCTIONS[value].name}: ${CONSTRUCTIONS[value].about}`,
          }))
        "
        @update:model-value="(id: ConstructionId) => (draft = ofConstruction(draft, id))"
      />
      <v-text-field v-model="draft.tag" label="Tag" autocomplete="off" maxlength="40" />
      <v-text-field v-model="draft.serial" label="Serial" autocomplete="off" maxlength="60" />
      <v-select
        :model-value="draft.customer || null"
        label="Customer"
        :items="customers"
        @update:model-value="(name: string | null) => (draft.customer = name ?? '')"
      />
      <v-text-field v-model="draft.location" label="Where it sits" autocomplete="off" maxlength="120" />
      <v-select
        v-model="draft.nps"
        label="Size"
        :items="NOMINAL_SIZES.map(([nps, dn]) => ({ title: `NPS ${nps} · DN ${dn}`, value: nps }))"
        clearable
      />
      <QuantityField
        v-if="ratedBy === 'working pressure'"
        v-model="draft.ratedPressure"
        label="Rated working pressure"
        dimension="gauge pressure"
        example="5000 psig"
      />
      <v-select v-else v-model="draft.pressureClass" label="Class" :items="[...PRESSURE_CLASSES]" clearable />
      <v-select
        v-model="draft.group"
        label="Body"
        :items="[
          ...MATERIAL_GROUPS.map((group) => ({ title: `${group} · ${GROUP_NAMES[group]}`, value: group })),
          ...IRON_BODIES.map((iron) => ({ title: iron, value: iron })),
        ]"
        clearable
      />
      <v-select v-model="draft.ends" label="Ends" :items="[...ENDS]" clearable />
    </div>
  </section>
</template>

<style scoped>
.plate-read {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.plate-read i {
  font-style: normal;
  color: var(--muted);
}
.doubt {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  color: var(--rework);
  font-weight: 600;
}
.wide {
  grid-column: 1 / -1;
}
</style>
