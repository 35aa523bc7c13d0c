<script setup lang="ts">
import { evidence } from '@dusk-wren/core/certificate';
import { computed } from 'vue';
import RingPairs from '../drawings/RingPairs.vue';
import ContactRing from '../parts/ContactRing.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';

/** What there is to be seen before a hold is released: rings, readings, calls, what was overruled and what was struck. */
const job = useJob();
const preferences = usePreferences();
const seen = computed(() =>
  job.state && job.planned ? evidence(job.state, job.entries, job.planned, preferences.units) : undefined,
);
</script>

<template>
  <div v-if="seen" class="evidence">
    <RingPairs :rings="seen.rings" />
    <section v-if="seen.tests.length > 0">
      <h3>Tests</h3>
      <ul>
        <li v-for="(test, i) in seen.tests" :key="i" class="label">
          <ContactRing :verdict="test.passed ? 'fit' : 'rework'" :size="18" />
          <span
            ><b>{{ test.title }}</b> {{ preferences.read(test.pressure, 'gauge') }} for
            {{ preferences.show(test.hold) }}: {{ test.leak }}, allowed {{ test.allowed
            }}<template v-if="test.simulated">, simulated</template></span
          >
        </li>
      </ul>
    </section>
    <section v-if="seen.figures.length > 0">
      <h3>Figures that must lie within</h3>
      <ul>
        <li v-for="each in seen.figures" :key="each.what" class="label">
          <ContactRing :verdict="each.meets ? 'fit' : 'rework'" :size="18" />
          <span
            >{{ each.what }}: {{ each.value
            }}<template v-if="each.limit"
              ><span class="muted">, wanted {{ each.limit }}</span></template
            ></span
          >
        </li>
      </ul>
    </section>
    <section>
      <h3>Calls that are not “fit”</h3>
      <p v-if="seen.calls.length === 0" class="muted">None.</p>
      <ul v-else>
        <li v-for="call in seen.calls" :key="call.part" class="label">
          <ContactRing :verdict="call.verdict" :size="18" />
          <span
            ><b>{{ call.part }}</b> {{ call.verdict }}{{ call.method ? `, ${call.method}` : '' }}:
            {{ call.reason }}<template v-if="call.overruled">; {{ call.overruled }}</template></span
          >
        </li>
      </ul>
    </section>
    <section v-if="seen.struck.length > 0">
      <h3>Struck</h3>
      <ul>
        <li v-for="each in seen.struck" :key="each" class="label">{{ each }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 12px;
  width: 100%;
}
li {
  display: flex;
  gap: 8px;
  align-items: start;
  padding: 3px 0;
}
li > :first-child:not(span) {
  flex: none;
  margin-top: 2px;
}
</style>
