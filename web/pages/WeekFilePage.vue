<script setup lang="ts">
import { proxy } from 'comlink';
import { computed, ref, shallowRef } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import FileDrop from '../parts/FileDrop.vue';
import FileRails from '../plan/FileRails.vue';
import { usePlanner } from '../plan/week';
import WeekHeading from '../plan/WeekHeading.vue';
import { useTrying } from '../stores/trying';
import type { PlannedFile } from '../workers/week.worker';

/** A week out of a file, planned and proved here: the same form and the same answer as on the command line. */
const planner = usePlanner();
const { wrong, busy, trying } = useTrying();
const name = ref('');
const sofar = ref('');
const planned = shallowRef<PlannedFile>();

async function take(file: File): Promise<void> {
  [name.value, planned.value, sofar.value] = [file.name, undefined, ''];
  const heard = proxy(({ objective, bound }: { objective: number; bound: number }) => {
    sofar.value = `so far ${objective}, and none below ${bound}`;
  });
  const text = await file.text();
  planned.value = await trying<PlannedFile>(async () => planner.file(text, heard));
}
const answer = computed(() => (planned.value?.plan ? JSON.stringify(planned.value.plan, undefined, 2) : ''));
function save(): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([answer.value], { type: 'application/json' }));
  link.download = name.value.replace(/(\.json)?$/, '-plan.json');
  link.click();
  URL.revokeObjectURL(link.href);
}
const percent = (share: number) => `${Math.round(share * 1000) / 10} %`;
</script>

<template>
  <div class="page week-file">
    <WeekHeading title="A week out of a file" />
    <p class="muted">
      Places, people, jobs and their operations as JSON, times in minutes from now. It is planned in this
      browser and kept nowhere; <i>seconds</i> in the file says how long the solver may look.
    </p>
    <FileDrop
      label="A week as JSON"
      accept=".json,application/json"
      sample="/samples/week.json"
      sample-name="week.json"
      @file="take"
      @failed="wrong = $event"
    />
    <p v-if="busy" role="status">Planning {{ name }}… {{ sofar }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-if="planned?.why" class="problem" role="alert">{{ planned.why }}</p>
    <template v-if="planned?.plan">
      <dl class="figures label">
        <div>
          <dt>ends at</dt>
          <dd class="number">{{ planned.plan.end }}</dd>
        </div>
        <div>
          <dt>objective</dt>
          <dd class="number">{{ planned.plan.objective }}</dd>
        </div>
        <div>
          <dt>none below</dt>
          <dd class="number">{{ planned.plan.bound }}</dd>
        </div>
        <div>
          <dt>gap</dt>
          <dd class="number">{{ percent(planned.plan.gap) }}</dd>
        </div>
      </dl>
      <BenchButton class="save" @press="save">The plan as JSON</BenchButton>
      <FileRails :week="planned.week" :plan="planned.plan.operations" />
    </template>
  </div>
</template>

<style scoped>
.week-file {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 30px;
  align-items: center;
}
.save {
  justify-self: start;
}
dd {
  font-size: 26px;
}
dt {
  color: var(--muted);
}
</style>
