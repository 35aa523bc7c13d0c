<script setup lang="ts" generic="D extends Dimension">
import { wordProblem } from '@dusk-wren/contract/wording';
import {
  farFromUsual,
  format,
  formatNumber,
  parseQuantity,
  typedUnits,
  type Dimension,
  type Quantity,
} from '@dusk-wren/core/quantity';
import { useMediaQuery } from '@vueuse/core';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { useDraft } from '../stores/drafts';
import { useKeptHere } from '../stores/kept-here';
import { usePreferences } from '../stores/preferences';
import BenchButton from './BenchButton.vue';
import ChoiceRow from './ChoiceRow.vue';
import KeyPad from './KeyPad.vue';

/**
 * A quantity typed as it is spoken, or a number in the unit that stands beside it. What was typed stays; what was not
 * understood, or is hardly meant, is said below.
 */
const props = defineProps<{
  label: string;
  dimension: D;
  example?: string | undefined;
  modelValue?: Quantity<D> | undefined;
  optional?: boolean;
  autofocus?: boolean;
  /** About what is read here: ten times as much is asked about before it counts. */
  usual?: Quantity | undefined;
  /** Why what is typed would be refused. */
  refused?: string | undefined;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: Quantity<D> | undefined]; enter: [] }>();

const preferences = usePreferences();
const draft = useDraft(props.label);
/** What was half typed when somebody went away is there again, and counts. */
const isDrafted = draft.value !== '';
const text = ref(
  isDrafted ? draft.value : props.modelValue ? format(props.modelValue, preferences.units) : '',
);

const units = computed(() => typedUnits(props.dimension, preferences.units, props.example));
/** Whoever takes another unit than the usual one finds it again at the next field of the kind. */
const lastUnit = useKeptHere().text(() => `unit/${props.dimension}/${units.value[0] ?? ''}`);
const unit = ref(lastUnit.value || units.value[0]);
// A number that is typed keeps the unit it was typed in, whatever system the page turns to.
watch([units, lastUnit], () => {
  if (text.value.trim() === '') unit.value = lastUnit.value || units.value[0];
});
const NUMBER = /^[-+\d\s.,/]+$/;
const whole = computed(() =>
  NUMBER.test(text.value) && unit.value !== undefined ? `${text.value.trim()} ${unit.value}` : text.value,
);
watch(whole, (now) => (draft.value = now.trim()));

const parsed = computed(() => parseQuantity(whole.value, props.dimension));
const shownUnit = computed(() => (parsed.value.ok && parsed.value.value.unit) || unit.value);
const problem = computed(() => {
  if (text.value.trim() === '') return '';
  if (!parsed.value.ok) return wordProblem(parsed.value.problem);
  return props.refused ?? '';
});

/** What was said to be meant, however far from usual. */
const meant = ref('');
const times = computed(() =>
  parsed.value.ok && props.usual && meant.value !== whole.value
    ? farFromUsual(parsed.value.value, props.usual)
    : undefined,
);
const timesWords = computed(() => {
  const by = times.value;
  if (by === undefined) return '';
  return by >= 1 ? `${formatNumber(by, 0)} times` : `A ${formatNumber(1 / by, 0)}th of`;
});
const value = computed(() => (parsed.value.ok && times.value === undefined ? parsed.value.value : undefined));
let told: Quantity | undefined;
function tell(): void {
  told = value.value;
  emit('update:modelValue', value.value);
}
watch(value, tell, { immediate: isDrafted });
const isTold = (q: Quantity) => q.value === told?.value && q.unit === told.unit && q.entered === told.entered;
watch(
  () => props.modelValue,
  (now) => {
    if (now?.entered !== undefined && !isTold(now)) text.value = now.entered;
    if (now === undefined && value.value !== undefined) text.value = '';
  },
);

const field = useTemplateRef<{ focus: () => void }>('field');
const root = useTemplateRef<HTMLElement>('root');
/** Gloves and fingers get keys of ours; a keyboard is at hand elsewhere, and the unit opens them. */
const byTouch = useMediaQuery('(pointer: coarse)');
const open = ref(false);
async function show(): Promise<void> {
  open.value = true;
  await nextTick();
  root.value?.scrollIntoView({ block: 'nearest' });
}
function turn(): void {
  if (open.value) open.value = false;
  else void show();
  field.value?.focus();
}
function leave(event: FocusEvent): void {
  if (!(event.relatedTarget instanceof Node && root.value?.contains(event.relatedTarget))) open.value = false;
}
function escape(event: KeyboardEvent): void {
  if (!open.value) return;
  event.stopPropagation();
  open.value = false;
}

const FRACTIONS = ['1/2', '1/4', '1/8'] as const;
const isOnRule = computed(() => props.dimension === 'length' && ['in', 'ft'].includes(shownUnit.value ?? ''));
const side = computed(() => (isOnRule.value ? FRACTIONS : (['/', ' ', '-'] as const)));
const below = computed(() => (isOnRule.value ? ['.', '/', '-', ' '] : ['.']));
function press(key: string): void {
  const apart = FRACTIONS.some((each) => each === key) && /\d$/.test(text.value) ? ' ' : '';
  text.value += `${apart}${key}`;
}
const rubOut = () => (text.value = text.value.slice(0, -1));
function takeUnit(next: string): void {
  const number = /^[-+\d\s.,/]*/.exec(text.value)?.[0] ?? '';
  text.value = number.trimEnd();
  unit.value = next;
  lastUnit.value = next === units.value[0] ? '' : next;
}
async function keepMeant(): Promise<void> {
  meant.value = whole.value;
  await nextTick();
  field.value?.focus();
}
</script>

<template>
  <div ref="root" class="quantity-field" @focusout="leave" @keydown.escape="escape">
    <v-text-field
      ref="field"
      v-model="text"
      :label="optional ? `${label} (may be left out)` : label"
      :placeholder="example ? `such as ${example}` : ''"
      :error-messages="problem"
      :autofocus="autofocus"
      :inputmode="byTouch ? 'none' : undefined"
      autocomplete="off"
      @focus="byTouch && show()"
      @keydown.enter="$emit('enter')"
    >
      <template v-if="shownUnit" #append-inner>
        <button
          type="button"
          class="unit label"
          :aria-expanded="open"
          :aria-label="`${shownUnit}: keys and units`"
          @mousedown.prevent
          @click.stop="turn"
        >
          {{ shownUnit }}
        </button>
      </template>
    </v-text-field>
    <div v-if="open" class="pad">
      <ChoiceRow
        v-if="units.length > 1"
        label="Unit"
        :options="units.map((each) => ({ value: each, label: each }))"
        :picked="shownUnit"
        @mousedown.prevent
        @pick="takeUnit"
      />
      <KeyPad :side="side" :below="below" :label="`Keys for ${label}`" @press="press" @rub-out="rubOut" />
    </div>
    <div v-if="times !== undefined" class="doubt label" role="alert">
      <span
        >{{ timesWords }} what is usual here{{ usual ? ` (${format(usual, preferences.units)})` : '' }}.</span
      >
      <BenchButton @press="keepMeant">It is {{ whole }}</BenchButton>
    </div>
  </div>
</template>

<style scoped>
.quantity-field {
  min-width: 0;
  display: grid;
  gap: 8px;
  align-content: start;
  scroll-margin-bottom: 120px;
}
.unit {
  min-width: 48px;
  min-height: var(--touch);
  margin-right: -12px;
  padding: 0 10px;
  font-size: 16px;
  color: var(--blue);
  background: none;
  border: 0;
  border-left: 1px solid var(--line);
  cursor: pointer;
}
.pad {
  display: grid;
  gap: 8px;
}
.doubt {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  color: var(--rework);
}
</style>
