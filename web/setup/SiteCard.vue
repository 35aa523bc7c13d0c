<script setup lang="ts">
import type { SetupSite, SiteEffects } from '@dusk-wren/contract';
import {
  QUESTIONS,
  RULE_FIELDS,
  rulesChanged,
  SCHOOLS,
  siteRulesSchema,
  wordRuleChange,
  type SiteRules,
} from '@dusk-wren/core/inspection';
import { computed, ref, watch } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import OtherwiseList from './OtherwiseList.vue';
import RuleInput from './RuleInput.vue';
import type { AskedRules } from './setup-sites';

/** A customer, the rules of its site, and what a change of them would do to its open jobs. */
const props = defineProps<{
  site: SetupSite;
  effects: (asked: AskedRules) => Promise<SiteEffects | undefined>;
}>();
const emit = defineEmits<{ rules: [asked: AskedRules] }>();
const isOpen = ref(false);
const rules = ref<SiteRules>(props.site.rules);
/** Fields in which something stands that cannot be read. */
const unread = ref(new Set<string>());
const found = ref<SiteEffects>();
/** Fields are made anew where they begin from other rules: what was typed in them goes. */
const begun = ref(0);
watch(
  () => props.site,
  (site) => begin(site.rules),
);
function begin(from: SiteRules): void {
  [rules.value, found.value] = [from, undefined];
  unread.value.clear();
  begun.value++;
}
const changed = computed(() => rulesChanged(props.site.rules, rules.value));
const isNamed = computed(() => rules.value.name !== props.site.rules.name);
const asked = computed<AskedRules | undefined>(() => {
  const read = siteRulesSchema.safeParse(rules.value);
  const isSomething = changed.value.length > 0 || isNamed.value;
  if (!read.success || unread.value.size > 0 || !isSomething) return undefined;
  return { customer: props.site.customer, version: props.site.version, rules: read.data };
});
function take(key: string, change: Partial<SiteRules>): void {
  unread.value.delete(key);
  rules.value = { ...rules.value, ...change };
  found.value = undefined;
}
async function look(): Promise<void> {
  if (asked.value) found.value = await props.effects(asked.value);
}
</script>

<template>
  <details class="site" @toggle="isOpen = !isOpen">
    <summary>
      <b>{{ site.customer }}</b>
      <span class="label muted">rules {{ site.version }}, {{ site.openJobs }} open jobs</span>
    </summary>
    <form v-if="isOpen" :key="begun" class="body" @submit.prevent="asked && emit('rules', asked)">
      <v-text-field
        :model-value="rules.name"
        label="Whose rules, as papers name them"
        maxlength="80"
        @update:model-value="take('name', { name: $event })"
      />
      <fieldset v-for="{ about, fields } in RULE_FIELDS" :key="about">
        <legend class="label">{{ about }}</legend>
        <RuleInput
          v-for="field in fields"
          :key="field.key"
          :field="field"
          :rules="rules"
          @change="take(field.key, $event)"
          @unread="unread.add(field.key)"
        />
      </fieldset>
      <fieldset>
        <legend class="label">Where practitioners disagree</legend>
        <v-select
          v-for="question in QUESTIONS"
          :key="question"
          :model-value="rules.schools[question]"
          :label="SCHOOLS[question].question"
          :items="Object.keys(SCHOOLS[question].choices)"
          @update:model-value="take(question, { schools: { ...rules.schools, [question]: $event } })"
        />
      </fieldset>
      <p v-if="changed.length > 0" class="label">
        To be changed: {{ changed.map(wordRuleChange).join(' · ') }}
      </p>
      <p v-if="unread.size > 0" class="problem">One field cannot be read: the rules stay as they are.</p>
      <div class="acts">
        <BenchButton :disabled="!asked" lacking="a change" @press="look">What it would change</BenchButton>
        <BenchButton kind="submit" :lamp="asked !== undefined" :disabled="!asked" lacking="a change"
          >These rules from now on</BenchButton
        >
        <BenchButton v-if="asked" @press="begin(site.rules)">Leave them</BenchButton>
      </div>
      <OtherwiseList v-if="found" :jobs="found.jobs">
        <p>
          <b
            >{{ found.jobs.length }} of {{ found.looked }} open jobs would stand otherwise. Each keeps the
            rules that it was opened under.</b
          >
        </p>
      </OtherwiseList>
    </form>
  </details>
</template>

<style scoped>
.site {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
summary {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
  min-height: var(--touch);
  padding: 6px 14px;
  cursor: pointer;
}
.body,
fieldset {
  display: grid;
  gap: 12px;
}
.body {
  padding: 4px 14px 16px;
}
fieldset {
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  align-items: start;
  padding: 8px 0 0;
  margin: 0;
  border: 0;
  border-top: 1px solid var(--line);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
