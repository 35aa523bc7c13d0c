<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import SectionDrawing from '../drawings/SectionDrawing.vue';
import BenchButton from '../parts/BenchButton.vue';
import { isoDay, sayDay, sayMoment } from '../parts/dates';
import NamePlate from '../parts/NamePlate.vue';
import CarriedFacts from '../register/CarriedFacts.vue';
import { sorted, wearCalls } from '../register/course-picture';
import DueSign from '../register/DueSign.vue';
import MeasureCourse from '../register/MeasureCourse.vue';
import LifeLine from '../register/LifeLine.vue';
import MoveForm from '../register/MoveForm.vue';
import PhotoStrip from '../register/PhotoStrip.vue';
import { useValvePage, type ValveMove } from '../register/valve-page';

/** A valve on its plate: where it stands, what was done on it, and the next job opened from here. */
const props = defineProps<{ id: string }>();
const router = useRouter();
const { page, error, wrong, move } = useValvePage(() => props.id);
const moving = ref(false);
const open = computed(() => page.value?.jobs.find(({ job }) => job.summary.state === 'open')?.job.id);
async function keep(asked: ValveMove): Promise<void> {
  if (await move(asked)) moving.value = false;
}
const print = () => window.print();
const sheet = useTemplateRef<HTMLElement>('sheet');
/** Paper has nothing to unfold. */
useEventListener('beforeprint', () => {
  for (const fold of sheet.value?.querySelectorAll<HTMLDetailsElement>(':scope > details, .halves details') ??
    [])
    fold.open = true;
});
const receive = () => void router.push({ path: '/jobs/new', query: { valve: props.id } });
const used = computed(() => wearCalls(page.value?.carried.courses ?? [], isoDay(new Date())));
/** What goes towards its limit, the soonest first, and what stands. */
const measures = computed(() => sorted(page.value?.carried.courses ?? []));
</script>

<template>
  <div ref="sheet" class="page valve">
    <p v-if="error" class="problem" role="alert">
      {{ error.message }} <router-link class="way" to="/valves">Back to the register</router-link>
    </p>
    <template v-else-if="page">
      <NamePlate :valve="page.valve" />
      <h1 class="visually-hidden">Valve {{ page.valve.tag }}</h1>
      <div class="acts">
        <BenchButton v-if="open" lamp @press="router.push(`/jobs/${open}`)">To its bench</BenchButton>
        <BenchButton
          v-else
          lamp
          :disabled="page.standing === 'scrapped'"
          lacking="it is scrapped"
          @press="receive"
          >Open a job</BenchButton
        >
        <BenchButton v-if="!moving" @press="moving = true">It stands elsewhere</BenchButton>
        <BenchButton class="print" @press="print">Print</BenchButton>
        <p class="label">
          <b>{{
            page.standing === 'in place' ? 'In place' : page.standing === 'spare' ? 'A spare' : 'Scrapped'
          }}</b>
        </p>
      </div>
      <DueSign :due="page.due" />
      <p v-for="left in page.carried.temporary" :key="left.what" class="row-flat left">
        <b>Left for now, put right by {{ sayDay(left.recall) }}:</b> {{ left.what }}
        <router-link class="way label" :to="`/jobs/${left.job}`">left on {{ sayDay(left.at) }}</router-link>
      </p>
      <MoveForm v-if="moving" :page="page" @move="keep" @leave="moving = false" />
      <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
      <div class="halves">
        <div class="told">
          <LifeLine :jobs="page.jobs" />
          <CarriedFacts :carried="page.carried" />
          <p v-if="page.jobs.length === 0" class="row-flat empty">It was never on a bench here.</p>
          <PhotoStrip v-if="page.photos.length > 0" :photos="page.photos" />
          <section v-if="page.twins.length > 0" aria-label="Its twins">
            <h2>Its twins</h2>
            <p class="twins label">
              <router-link v-for="twin in page.twins" :key="twin.id" class="way" :to="`/valves/${twin.id}`"
                >{{ twin.tag }}, {{ twin.location
                }}{{ twin.standing === 'spare' ? ' (spare)' : '' }}</router-link
              >
            </p>
          </section>
          <section v-if="page.changes.length > 0" aria-label="Where it was">
            <h2>Where it was</h2>
            <ol class="happened label">
              <li v-for="change in page.changes" :key="change.id">
                {{ change.what }} <span class="muted">{{ change.by }}, {{ sayMoment(change.at) }}</span>
              </li>
            </ol>
          </section>
        </div>
        <div class="worn">
          <div class="row-flat drawing">
            <SectionDrawing :valve="page.valve" :calls="used" :in-hand="[]" />
          </div>
          <section
            v-if="measures.going.length + measures.standing.length > 0"
            class="measures"
            aria-label="What is getting used up"
          >
            <h2>What is getting used up</h2>
            <p v-if="measures.going.length === 0" class="muted">Nothing that goes towards its limit.</p>
            <MeasureCourse v-for="course in measures.going" :key="course.what" :course="course" />
            <details v-if="measures.standing.length > 0">
              <summary class="label">
                {{ measures.standing.length }} more that
                {{ measures.standing.length === 1 ? 'stands' : 'stand' }} or
                {{ measures.standing.length === 1 ? 'was' : 'were' }} read too seldom
              </summary>
              <div class="measures">
                <MeasureCourse v-for="course in measures.standing" :key="course.what" :course="course" />
              </div>
            </details>
          </section>
        </div>
      </div>
    </template>
    <p v-else class="muted">Looking it up…</p>
  </div>
</template>

<style scoped>
.valve,
.told {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
.worn,
.measures {
  display: grid;
  gap: 8px;
}
.measures summary {
  min-height: var(--touch);
  padding-top: 12px;
}
.twins {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.left {
  padding: 10px 14px;
  border-left: 5px solid var(--ask);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: center;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(280px, 1fr);
  gap: 14px;
  align-items: start;
}
.drawing {
  padding: 10px;
}
.empty {
  padding: 18px;
}
@media print {
  .acts button {
    display: none;
  }
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    justify-self: start;
    width: 55%;
    break-inside: avoid;
  }
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
