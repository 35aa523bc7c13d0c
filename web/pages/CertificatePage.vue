<script setup lang="ts">
import { paperCodeView } from '@dusk-wren/contract';
import { certificate } from '@dusk-wren/core/certificate';
import { formatNumber, valueIn, type Torque } from '@dusk-wren/core/quantity';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { sayDay, sayTime } from '../parts/dates';
import StrokeSheetPlot from '../charts/StrokeSheetPlot.vue';
import KeptCurvePlot from '../charts/KeptCurvePlot.vue';
import RunoutPlot from '../charts/RunoutPlot.vue';
import RingPairs from '../drawings/RingPairs.vue';
import AtAGlance from '../certificate/AtAGlance.vue';
import ContactRing from '../parts/ContactRing.vue';
import NamePlate from '../parts/NamePlate.vue';
import { useOpenJob } from '../stores/open-job';
import { usePreferences } from '../stores/preferences';

/** What the paper will say, as the job stands. */
const props = defineProps<{ id: string }>();
const job = useOpenJob(() => props.id);
const preferences = usePreferences();
const { show, parts } = preferences;
/** A torque as a number, in the unit of the target. */
const inUnit = (torque: Torque, target: Torque) =>
  formatNumber(valueIn(torque, parts(target).unit === 'N·m' ? 'N·m' : 'lbf·ft'), 1);
const paper = computed(() => job.state && certificate(job.state, job.entries, preferences.units));
/** Once it is signed. */
const { data: printed } = useQuery({
  key: () => ['paper-code', props.id, paper.value?.signed?.at ?? ''],
  query: () => call(`/jobs/${props.id}/paper-code`, paperCodeView),
  enabled: () => paper.value?.signed !== undefined,
});
const code = computed(() => (paper.value?.signed ? printed.value?.code : undefined));
const RING = (verdict: string) =>
  (['fit', 'rework', 'renew', 'ask', 'condemn'] as const).find((each) => each === verdict) ?? 'not yet';
</script>

<template>
  <p v-if="job.failed" class="page problem" role="alert">
    {{ job.failed }} <router-link to="/">Back to the floor</router-link>
  </p>
  <div v-else-if="paper && job.planned" class="page certificate">
    <NamePlate :valve="job.planned.valve" />
    <header>
      <div>
        <h1>{{ paper.title }}</h1>
        <p v-if="paper.signed" class="label fit">
          <ContactRing verdict="fit" /> Signed by {{ paper.signed.by.name }}, {{ sayDay(paper.signed.at) }}
          {{ sayTime(paper.signed.at) }}. Next due {{ sayDay(paper.signed.nextDue) }}.
        </p>
        <p v-else class="label ask"><ContactRing verdict="ask" /> Draft: not signed yet.</p>
        <p v-if="code" class="label">
          <router-link :to="`/papers/${code}`">Code {{ code }}</router-link>
          <span class="muted"> by it a printed paper is held against this record.</span>
        </p>
        <p v-if="paper.simulated" class="label muted">Some readings come from simulated instruments.</p>
      </div>
      <nav class="label no-print">
        <router-link :to="`/jobs/${id}`" class="way">Back to the bench</router-link>
        <a
          class="pdf"
          :href="`/api/jobs/${id}/certificate.pdf?units=${preferences.units}`"
          target="_blank"
          rel="noopener"
          >Open the PDF</a
        >
      </nav>
    </header>
    <dl class="about label">
      <div v-for="line in paper.about" :key="line.label">
        <dt>{{ line.label }}</dt>
        <dd>{{ line.value }}</dd>
      </div>
    </dl>
    <AtAGlance :glance="paper.glance" />
    <section v-if="paper.pairs.length > 0">
      <h2>Before and after</h2>
      <table class="pairs">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">As found</th>
            <th scope="col">As left</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pair in paper.pairs" :key="pair.what">
            <td>{{ pair.what }}</td>
            <td class="number">{{ pair.found }}</td>
            <td class="number">{{ pair.left }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <div v-if="paper.rings.length > 0 || paper.runout" class="found">
      <RingPairs :rings="paper.rings" />
      <section v-if="paper.runout">
        <h3>{{ paper.runout.part }}, runout</h3>
        <RunoutPlot
          :readings="paper.runout.readings.map((reading) => valueIn(reading, 'thou'))"
          :limit="valueIn(paper.runout.limit, 'thou')"
          :bow="valueIn(paper.runout.bow, 'thou')"
          :bow-degrees="paper.runout.bowAngle && valueIn(paper.runout.bowAngle, '°')"
        />
      </section>
    </div>
    <section v-if="paper.strokes.length > 0">
      <h2>Stroke test</h2>
      <div class="found">
        <section v-for="sheet in paper.strokes" :key="sheet.step">
          <h3>{{ sheet.step }}</h3>
          <StrokeSheetPlot :sheet="sheet" />
        </section>
      </div>
    </section>
    <section v-if="paper.curves.length > 0">
      <h2>Curves</h2>
      <div class="found">
        <section v-for="kept in paper.curves" :key="kept.step">
          <h3>{{ kept.step }}</h3>
          <KeptCurvePlot :kept="kept" />
        </section>
      </div>
    </section>
    <div class="found">
      <section>
        <h2>As found</h2>
        <ul>
          <li v-for="(line, i) in paper.asFound" :key="i">{{ line }}</li>
        </ul>
        <p v-if="paper.asFound.length === 0" class="muted">Nothing is found yet.</p>
      </section>
      <section v-if="paper.measured.length > 0">
        <h2>Measured</h2>
        <ul>
          <li v-for="line in paper.measured" :key="line">{{ line }}</li>
        </ul>
      </section>
      <section v-if="paper.asLeft.length > 0">
        <h2>As left</h2>
        <ul>
          <li v-for="(line, i) in paper.asLeft" :key="i">{{ line }}</li>
        </ul>
      </section>
    </div>
    <section>
      <h2>Calls</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="Calls">
        <table>
          <thead>
            <tr>
              <th>Part</th>
              <th>Call</th>
              <th>Reason</th>
              <th>Whose rule</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="called in paper.calls" :key="called.part">
              <td>{{ called.part }}</td>
              <td :class="called.verdict" class="label nowrap">
                <ContactRing :verdict="RING(called.verdict)" /> {{ called.verdict
                }}<template v-if="called.method">: {{ called.method }}</template>
              </td>
              <td>
                {{ called.reason }}<template v-if="called.overruled">; {{ called.overruled }}</template>
              </td>
              <td class="muted">{{ called.source }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <section v-for="table in paper.torques" :key="table.title + table.rows.length">
      <h2>{{ table.title }}: {{ show(table.target) }}</h2>
      <p class="muted">In {{ parts(table.target).unit }}; every figure lies within the band of its pass.</p>
      <div class="scroll" tabindex="0" role="region" :aria-label="table.title">
        <table class="numbers">
          <thead>
            <tr>
              <th>Bolt</th>
              <th v-for="(percent, i) in table.percents" :key="i">
                {{ i === table.percents.length - 1 ? 'circular' : `${percent} %` }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in table.rows" :key="row.bolt">
              <td class="number">{{ row.bolt }}</td>
              <td v-for="(torque, i) in row.passes" :key="i" class="number">
                {{ torque ? inUnit(torque, table.target) : '·' }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="muted">{{ [table.source, ...table.putRight].join('. ') }}</p>
    </section>
    <section v-if="paper.packing">
      <h2>Packing</h2>
      <p>
        {{ paper.packing.rings }} rings, section {{ show(paper.packing.section) }}, cut
        {{ show(paper.packing.length) }}; joints at {{ paper.packing.joints }}.
      </p>
    </section>
    <section v-if="paper.tests.length > 0">
      <h2>Tests</h2>
      <div class="scroll" tabindex="0" role="region" aria-label="Tests">
        <table>
          <thead>
            <tr>
              <th>Test</th>
              <th>At</th>
              <th>Held</th>
              <th>Leak</th>
              <th>Allowed</th>
              <th>Result</th>
              <th>Source</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(test, i) in paper.tests" :key="i">
              <td>{{ test.title }}</td>
              <td class="number">{{ show(test.pressure) }}</td>
              <td class="number">{{ show(test.hold) }}</td>
              <td class="number">
                {{ test.leak }}
                <span v-if="test.share" class="share" aria-hidden="true"
                  ><i
                    :class="test.passed ? 'within' : 'over'"
                    :style="{ width: `${Math.min(100, valueIn(test.share, '%'))}%` }"
                /></span>
              </td>
              <td class="number">{{ test.allowed }}</td>
              <td :class="test.passed ? 'fit' : 'rework'" class="label nowrap">
                <ContactRing :verdict="test.passed ? 'fit' : 'rework'" /> {{ test.passed ? 'passed' : 'over'
                }}{{ test.simulated ? ', simulated' : '' }}
              </td>
              <td class="muted">
                {{ test.source }}{{ test.file === undefined ? '' : `; read out of “${test.file}”` }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <section v-if="paper.workings.length > 0">
      <h2>Workings kept with the job</h2>
      <ul>
        <li v-for="(kept, i) in paper.workings" :key="i">
          <b>{{ kept.title }}</b> {{ kept.answer }} <span class="muted">{{ kept.source }}</span>
        </li>
      </ul>
    </section>
    <div class="found">
      <section>
        <h2>Instruments</h2>
        <ul>
          <li v-for="each in paper.instruments" :key="each.id">
            {{ each.name }}, {{ each.kind }}{{ each.simulated ? ', simulated' : '' }}: calibration due
            {{ sayDay(each.calibrationDue) }}{{ each.inCalibration ? '' : ', overdue: did not count' }}
          </li>
        </ul>
      </section>
      <section>
        <h2>People and holds</h2>
        <ul>
          <li v-for="each in paper.people" :key="each.name">
            {{ each.name }}, {{ each.role }}: {{ each.did }}
          </li>
          <li v-for="hold in paper.holds" :key="hold.title">
            {{ hold.title }}: {{ hold.by ? `released by ${hold.by}` : 'not released' }}
          </li>
        </ul>
      </section>
    </div>
    <section v-if="paper.corrections.length > 0">
      <h2>Corrections to the log</h2>
      <ul>
        <li v-for="line in paper.corrections" :key="line">{{ line }}</li>
      </ul>
    </section>
  </div>
  <p v-else class="page muted">Opening the job…</p>
</template>

<style scoped>
.about {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
}
.about div {
  display: flex;
  gap: 8px;
}
.about dt {
  color: var(--muted);
}
.about dd {
  margin: 0;
}
.certificate {
  display: grid;
  gap: 16px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 12px;
}
nav {
  display: flex;
  gap: 18px;
  align-items: center;
}
.pdf {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 18px;
  font-weight: 600;
  font-size: 17px;
  text-decoration: none;
  color: var(--on-lamp);
  background: var(--lamp);
  border-radius: var(--radius);
}
.found {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px 28px;
}
li {
  padding: 2px 0;
}
.scroll {
  overflow-x: auto;
}
.pairs {
  width: auto;
  min-width: min(520px, 100%);
}
/* How much of what is allowed. */
.share {
  display: block;
  width: 90px;
  height: 8px;
  margin-top: 3px;
  border: 1px solid var(--muted);
}
.share i {
  display: block;
  height: 100%;
}
.within {
  background: var(--fit);
}
.over {
  background: var(--condemn);
}
.numbers {
  width: auto;
}
.nowrap {
  white-space: nowrap;
}
</style>
