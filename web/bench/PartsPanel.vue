<script setup lang="ts">
import { partsOf, type PartRole } from '@dusk-wren/core/valve';
import { describeSource } from '@dusk-wren/core/standards';
import { wordReason } from '@dusk-wren/core/inspection';
import { describeEntry } from '@dusk-wren/core/job';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';
import OverruleForm from './OverruleForm.vue';
import SheetOnFile from './SheetOnFile.vue';
import ShelfOffer from './ShelfOffer.vue';
import StockFacts from './StockFacts.vue';

/** The parts list with its calls; the one picked shows what was found, why, and lets a person overrule it. */
const props = defineProps<{ picked?: PartRole | undefined }>();
defineEmits<{ pick: [part: PartRole] }>();
const job = useJob();
const preferences = usePreferences();
const overruling = ref(false);
const rows = computed(() => {
  const { planned } = job;
  return planned ? partsOf(planned.valve).map((part) => ({ part, call: planned.calls.get(part.role) })) : [];
});
const behind = computed(() => {
  const call = props.picked && job.planned?.calls.get(props.picked);
  return call ? job.entries.filter(({ seq }) => call.because.includes(seq)) : [];
});
</script>

<template>
  <div>
    <SheetOnFile />
    <ul class="parts">
      <li v-for="{ part, call } in rows" :key="part.role">
        <button
          type="button"
          class="part label"
          :class="call?.verdict"
          :aria-expanded="picked === part.role"
          @click="($emit('pick', part.role), (overruling = false))"
        >
          <span class="number">{{ part.number }}</span><b>{{ part.name }}</b
          ><ContactRing :verdict="call?.verdict ?? 'not yet'" /><span>{{
            call ? call.verdict : part.policy === 'keep' ? 'goes back as is' : 'not yet'
          }}</span>
        </button>
        <div v-if="picked === part.role" class="about">
          <StockFacts :part="part" />
          <template v-if="call">
            <p>
              {{ preferences.tell(wordReason(call.reason))
              }}<template v-if="call.method">: {{ call.method }}</template>
            </p>
            <p class="muted label">{{ describeSource(call.source) }}</p>
            <p v-if="call.overruled" class="label">
              Was “{{ call.overruled.was }}”, overruled by {{ call.overruled.by }}.
            </p>
            <p v-if="call.proposed" class="label problem">
              {{ call.proposed.by }} calls it “{{ call.proposed.verdict }}”. A safety part takes a lead and an
              inspector together: the same call by
              {{ call.proposed.wants === 'lead' ? 'a lead' : 'an inspector' }} is still wanted.
            </p>
            <p v-for="entry in behind" :key="entry.seq" class="muted label">
              entry {{ entry.seq }}, {{ entry.by.name }}: {{ describeEntry(entry, preferences.units) }}
            </p>
            <OverruleForm v-if="overruling" :call="call" @close="overruling = false" />
            <BenchButton v-else-if="job.summary?.state === 'open'" @press="overruling = true">{{
              call.verdict === 'ask' ? 'Decide' : 'Overrule'
            }}</BenchButton>
          </template>
          <p v-else class="muted">
            {{
              part.policy === 'keep'
                ? 'Used again unless somebody finds otherwise.'
                : 'Not looked at yet; the plan comes to it in Inspect.'
            }}
          </p>
        </div>
      </li>
    </ul>
    <ShelfOffer />
  </div>
</template>

<style scoped>
.parts {
  overflow: auto;
  align-self: start;
}
li {
  border-bottom: 1px solid var(--line);
}
.part {
  display: grid;
  grid-template-columns: 28px 1fr auto 70px;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  font-size: 16px;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  cursor: pointer;
}
.part b {
  font-weight: 600;
}
.part.fit :deep(.ring) {
  color: var(--fit);
}
.part.rework :deep(.ring) {
  color: var(--rework);
}
.part.renew :deep(.ring) {
  color: var(--renew);
}
.part.ask :deep(.ring) {
  color: var(--ask);
}
.part.condemn :deep(.ring) {
  color: var(--condemn);
}
.about {
  display: grid;
  gap: 6px;
  padding: 2px 0 12px 38px;
  justify-items: start;
}
</style>
