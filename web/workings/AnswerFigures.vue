<script setup lang="ts">
import type { Verdict } from '@dusk-wren/core/inspection';
import { formatFigure } from '@dusk-wren/core/quantity';
import {
  isList,
  isQuantity,
  isRow,
  isWorkingVerdict,
  type RegisteredWorking,
  type ResultValue,
  type WorkingVerdict,
} from '@dusk-wren/core/workings';
import { computed } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import { usePreferences } from '../stores/preferences';

/** The answer of a working: figures large, a verdict with its ring, lists and small tables below. */
const props = defineProps<{
  working: RegisteredWorking;
  result: Readonly<Record<string, ResultValue | undefined>>;
}>();
const preferences = usePreferences();

const all = computed(() =>
  Object.entries(props.result).flatMap(([name, value]) =>
    value === undefined ? [] : [{ name, value, label: props.working.results[name] ?? name }],
  ),
);
const figures = computed(() =>
  all.value.filter(({ value, name }) => name !== 'verdict' && !isRow(value) && !isList(value)),
);
const verdict = computed(() => {
  const { verdict: found } = props.result;
  return isWorkingVerdict(found) ? found : undefined;
});
const lists = computed(() =>
  all.value.flatMap(({ name, label, value }) =>
    isList(value) && !value.some(isRow) ? [{ name, label, items: value.map(shown) }] : [],
  ),
);
const tables = computed(() =>
  all.value.flatMap(({ name, label, value }) => {
    const rows = isRow(value) ? [value] : isList(value) ? value.filter(isRow) : [];
    return rows.length === 0 ? [] : [{ name, label, columns: Object.keys(rows[0] ?? {}), rows }];
  }),
);
const RINGS: Readonly<Record<WorkingVerdict, Verdict>> = {
  fit: 'fit',
  acceptable: 'fit',
  shuts: 'fit',
  ask: 'ask',
  'no limit given': 'ask',
  stop: 'condemn',
  renew: 'renew',
  'regrind or renew': 'renew',
  'not fit': 'renew',
  'does not shut': 'renew',
  'does not open': 'renew',
  broken: 'rework',
  wide: 'rework',
  'no contact': 'rework',
  'twists the shaft': 'condemn',
  choked: 'ask',
  'not choked': 'fit',
  meets: 'rework',
  'not in sight': 'fit',
  'over limit': 'renew',
  'too few points': 'ask',
  'early deaths': 'ask',
  wear: 'rework',
  'cannot be told from chance': 'ask',
};
const ring = computed(() => verdict.value && RINGS[verdict.value]);

const isLong = (value: ResultValue | undefined) => value !== undefined && isList(value);

function shown(value: ResultValue | undefined): string {
  if (value === undefined) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return formatFigure(value);
  if (typeof value !== 'object') return value;
  if (isQuantity(value)) return preferences.show(value);
  return isList(value) ? value.map(shown).join(' · ') : Object.values(value).map(shown).join(', ');
}
</script>

<template>
  <div class="figures">
    <p v-if="verdict && ring" class="verdict label" :class="ring">
      <ContactRing :verdict="ring" /> {{ verdict }}
    </p>
    <dl>
      <div v-for="figure in figures" :key="figure.name">
        <dt class="label muted">{{ figure.label }}</dt>
        <dd class="number">{{ shown(figure.value) }}</dd>
      </div>
    </dl>
    <section v-for="list in lists" :key="list.name">
      <h3 class="muted">{{ list.label }}</h3>
      <ul class="plain">
        <li v-for="item in list.items" :key="item">{{ item }}</li>
        <li v-if="list.items.length === 0" class="muted">none</li>
      </ul>
    </section>
    <section v-for="table in tables" :key="table.name">
      <h3 class="muted">{{ table.label }}</h3>
      <div class="scroll" tabindex="0" role="region" :aria-label="table.label">
        <table>
          <thead>
            <tr>
              <th v-for="column in table.columns" :key="column">{{ column }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in table.rows" :key="i">
              <td
                v-for="column in table.columns"
                :key="column"
                class="number"
                :class="{ long: isLong(row[column]) }"
              >
                {{ shown(row[column]) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  </div>
</template>

<style scoped>
.figures {
  display: grid;
  gap: 12px;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 18px;
}
dt {
  font-size: 15px;
  line-height: 1.2;
}
dd {
  font-size: 25px;
  color: var(--blue);
}
.verdict {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 22px;
  font-weight: 700;
}
.plain li {
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
.number {
  white-space: nowrap;
}
.number.long,
dd.number {
  white-space: normal;
}
.scroll {
  overflow-x: auto;
}
</style>
