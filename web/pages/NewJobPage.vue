<script setup lang="ts">
import { likeView, openJobView, valveListView, type OpenJobRequest } from '@dusk-wren/contract';
import {
  GROUP_NAMES,
  MATERIAL_GROUPS,
  NOMINAL_SIZES,
  PRESSURE_CLASSES,
  STUD_MATERIALS,
} from '@dusk-wren/core/standards';
import {
  asksOf,
  boltedJoint,
  choicesOf,
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  HAZARD_IDS,
  HAZARDS,
  readPlate,
  withChoice,
  type ConstructionId,
  type FeatureChoice,
  type PlateRead,
} from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { z } from 'zod';
import { ApiProblem, call } from '../api/client';
import SectionDrawing from '../drawings/SectionDrawing.vue';
import BenchButton from '../parts/BenchButton.vue';
import NamePlate from '../parts/NamePlate.vue';
import QuantityField from '../parts/QuantityField.vue';
import { blankDraft, ofConstruction, valveFrom, withPlate } from './new-valve';

/** Receiving a valve: one on file, or a new one whose plate fills in as it is typed. What is not known becomes an ask. */
const router = useRouter();
const sought = ref('');
const found = refDebounced(sought, 200);
const { data: onFile } = useQuery({
  key: () => ['valves', found.value],
  query: () =>
    call(
      `/valves?limit=8${found.value.trim() ? `&q=${encodeURIComponent(found.value.trim())}` : ''}`,
      valveListView,
    ),
});
const { data: shop } = useQuery({
  key: () => ['customers'],
  query: () => call('/customers', z.object({ customers: z.array(z.string()) })),
});

const draft = ref(blankDraft());
const line = ref('');
const plateRead = ref<PlateRead>();
function readLine(text: string): void {
  plateRead.value = text.trim() ? readPlate(text) : undefined;
  if (plateRead.value) draft.value = withPlate(draft.value, plateRead.value);
}
const LIKE = {
  'same valve': 'is on file already: take it from above.',
  'same serial, other tag': 'same serial, other tag. Has it moved, or is the plate read wrong?',
  'same tag, other serial': 'same tag, other serial. Was the valve replaced?',
  'near tag': 'one letter away. Is it a slip of the pen?',
} as const;
const named = refDebounced(
  computed(() => ({ tag: draft.value.tag.trim(), serial: draft.value.serial.trim() })),
  300,
);
const { data: alike } = useQuery({
  key: () => ['valves-like', named.value.tag, named.value.serial],
  query: () =>
    call(
      `/valves/like?${new URLSearchParams({ tag: named.value.tag, ...(named.value.serial ? { serial: named.value.serial } : {}) }).toString()}`,
      likeView,
    ),
  enabled: () => named.value.tag.length >= 3 || named.value.serial.length >= 3,
});
const like = computed(() => (draft.value.tag || draft.value.serial ? (alike.value?.like ?? []) : []));
const chosen = ref<string>();
const picked = computed(() => onFile.value?.valves.find(({ id }) => id === chosen.value));
const valve = computed(() => picked.value?.valve ?? valveFrom(draft.value));
const asks = computed(() => asksOf(valve.value));
const came = ref<'in line' | 'bare'>('bare');
const reported = ref('');
const due = ref('');
const problem = ref('');
const busy = ref(false);
const commandId = crypto.randomUUID();

const complete = computed(
  () => valve.value.tag !== '' && valve.value.customer !== '' && valve.value.location !== '',
);
const noCalls = new Map();
const bolted = computed(() => boltedJoint(draft.value.features) !== undefined);
const sayOption = (value: string | boolean) =>
  value === true ? 'yes' : value === false ? 'no' : value.replaceAll('-', ' ');
function choose(choice: FeatureChoice, option: string | boolean): void {
  const features = withChoice(draft.value.features, choice, option);
  if (features) draft.value = { ...draft.value, features };
}
async function open(): Promise<void> {
  if (!complete.value || busy.value) return;
  busy.value = true;
  problem.value = '';
  const body = {
    commandId,
    valve: picked.value ? { id: picked.value.id } : { new: valve.value },
    came: came.value,
    reported: reported.value,
    ...(due.value ? { due: due.value } : {}),
  };
  try {
    const { id } = await call('/jobs', openJobView, {
      method: 'POST',
      body: body satisfies Record<keyof Pick<OpenJobRequest, 'valve'>, unknown>,
    });
    await router.push(`/jobs/${id}`);
  } catch (error) {
    problem.value = error instanceof ApiProblem ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="page new">
    <NamePlate :valve="valve" />
    <h1>Receive a valve</h1>
    <div class="halves">
      <form class="row-flat form" @submit.prevent="open">
        <section>
          <h2>On file?</h2>
          <v-text-field
            v-model="sought"
            label="Tag or serial begins with"
            autocomplete="off"
            @update:model-value="chosen = undefined"
          />
          <ul class="file">
            <li v-for="each in onFile?.valves" :key="each.id">
              <button
                type="button"
                class="label"
                :aria-pressed="chosen === each.id"
                @click="chosen = chosen === each.id ? undefined : each.id"
              >
                <b>{{ each.valve.tag }}</b> {{ each.valve.customer }}, {{ each.valve.location }}
              </button>
            </li>
          </ul>
        </section>
        <template v-if="!picked">
          <section>
            <h2>Or new, from its plate</h2>
            <v-text-field
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
            <p class="label muted">{{ CONSTRUCTIONS[draft.construction].identify }}</p>
            <ul v-if="like.length > 0" class="label" role="alert">
              <li v-for="each in like" :key="each.id" class="problem">
                {{ each.tag }}<template v-if="each.serial">, serial {{ each.serial }}</template
                >: {{ LIKE[each.likeness] }}
              </li>
            </ul>
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
                :items="shop?.customers ?? []"
                @update:model-value="(name: string | null) => (draft.customer = name ?? '')"
              />
              <v-text-field
                v-model="draft.location"
                label="Where it sits"
                autocomplete="off"
                maxlength="120"
              />
              <v-select
                v-model="draft.nps"
                label="Size"
                :items="NOMINAL_SIZES.map(([nps, dn]) => ({ title: `NPS ${nps} · DN ${dn}`, value: nps }))"
                clearable
              />
              <v-select
                v-model="draft.pressureClass"
                label="Class"
                :items="[...PRESSURE_CLASSES]"
                clearable
              />
              <v-select
                v-model="draft.group"
                label="Body"
                :items="
                  MATERIAL_GROUPS.map((group) => ({
                    title: `${group} · ${GROUP_NAMES[group]}`,
                    value: group,
                  }))
                "
                clearable
              />
            </div>
          </section>
          <section>
            <h2>Medium</h2>
            <div class="fields">
              <v-text-field
                v-model="draft.medium"
                label="What ran through it"
                autocomplete="off"
                maxlength="60"
              />
              <QuantityField
                v-model="draft.mediumPressure"
                label="At pressure"
                dimension="gauge pressure"
                example="16 bar g"
              />
              <QuantityField
                v-model="draft.mediumTemperature"
                label="At temperature"
                dimension="temperature"
                example="130 °C"
              />
              <QuantityField
                v-model="draft.h2s"
                label="Hydrogen sulphide in it"
                dimension="ratio"
                example="500 ppm"
                optional
              />
            </div>
            <div class="hazards" role="group" aria-label="Hazards">
              <label v-for="hazard in HAZARD_IDS" :key="hazard" class="label"
                ><input v-model="draft.hazards" type="checkbox" :value="hazard" />
                {{ HAZARDS[hazard].label }}</label
              >
            </div>
          </section>
          <section>
            <h2>How it is made</h2>
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
              <QuantityField
                v-model="draft.stem"
                label="Stem diameter"
                dimension="length"
                example="1 1/8 in"
              />
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
        <section>
          <h2>This job</h2>
          <div class="fields">
            <v-select
              v-model="came"
              label="It comes"
              :items="[
                { title: 'bare, to the bench', value: 'bare' },
                { title: 'in its line', value: 'in line' },
              ]"
            />
            <v-text-field v-model="due" type="date" label="Wanted by" />
          </div>
          <v-textarea v-model="reported" label="What was reported" maxlength="400" />
        </section>
        <p v-if="asks.length > 0" class="ask label">
          Will be asked on the bench: {{ asks.map(({ question }) => question).join(' ') }}
        </p>
        <p v-if="problem" class="problem" role="alert">{{ problem }} What you typed is kept here.</p>
        <BenchButton lamp kind="submit" :disabled="!complete || busy">Open the job</BenchButton>
      </form>
      <div class="row-flat drawing"><SectionDrawing :valve="valve" :calls="noCalls" :in-hand="[]" /></div>
    </div>
  </div>
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
.new {
  display: grid;
  gap: 10px;
}
.new > :first-child {
  position: sticky;
  top: 8px;
  z-index: 3;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(300px, 1fr);
  gap: 12px;
  align-items: start;
}
.form {
  padding: 16px;
  display: grid;
  gap: 18px;
  justify-items: start;
}
.form section {
  width: 100%;
  display: grid;
  gap: 8px;
}
.drawing {
  padding: 10px;
  height: 560px;
  position: sticky;
  top: 120px;
}
.file {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 4px 12px;
}
.file button {
  width: 100%;
  min-height: 40px;
  padding: 2px 10px;
  text-align: left;
  font-size: 15px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.file button[aria-pressed='true'] {
  border-color: var(--lamp);
  box-shadow: inset 5px 0 0 var(--lamp);
}
.wide {
  grid-column: 1 / -1;
}
.hazards {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}
.hazards label,
.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
input[type='checkbox'] {
  width: 20px;
  height: 20px;
  accent-color: var(--blue);
}
@media (max-width: 1000px) {
  .halves {
    grid-template-columns: 1fr;
  }
  .drawing {
    position: static;
  }
}
</style>
