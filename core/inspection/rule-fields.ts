import { API_598_EDITIONS } from '../standards';
import { QUESTIONS, SCHOOLS, type Question } from './schools';
import { CERTIFICATE_BY, SAFETY_PARTS_BY, SEALED_BY, type SiteRules } from './site-rules';

type KeysOf<T> = { [K in keyof SiteRules]: SiteRules[K] extends T ? K : never }[keyof SiteRules];

/** What a site decides, as it is asked: one line each. */
export type RuleField = { readonly words: string } & (
  | { readonly kind: 'length'; readonly key: LengthRule }
  | { readonly kind: 'number'; readonly key: NumberRule; readonly of: string }
  | { readonly kind: 'numbers'; readonly key: 'ladderMonths'; readonly of: string }
  | { readonly kind: 'yes or no'; readonly key: KeysOf<boolean> }
  | { readonly kind: 'choice'; readonly key: ChoiceRule; readonly choices: readonly (string | number)[] }
);
export type LengthRule = KeysOf<SiteRules['grindInTo']>;
type ChoiceRule =
  'passes' | 'api598Edition' | 'jointStagger' | 'certificateBy' | 'safetyPartsBy' | 'sealedBy';
type NumberRule = Exclude<KeysOf<number>, ChoiceRule>;

const length = (key: LengthRule, words: string): RuleField => ({ kind: 'length', key, words });
const number = (key: NumberRule, words: string, of: string): RuleField => ({
  kind: 'number',
  key,
  words,
  of,
});
const choice = (key: ChoiceRule, words: string, choices: readonly (string | number)[]): RuleField => ({
  kind: 'choice',
  key,
  words,
  choices,
});

/** The rules of a site by what they are about, in the order that they are asked in. */
export const RULE_FIELDS: readonly { readonly about: string; readonly fields: readonly RuleField[] }[] = [
  {
    about: 'Stem',
    fields: [
      length('stemTirToOneInch', 'Runout (TIR), stem to 1 in'),
      length('stemTirAboveOneInch', 'Runout (TIR), thicker stem'),
      length('stemOutOfRound', 'Out of round, on the diameter'),
      { kind: 'yes or no', key: 'straighteningAllowed', words: 'A stem may be straightened' },
    ],
  },
  {
    about: 'Seats and faces',
    fields: [
      length('grindInTo', 'Damage ground in, up to'),
      length('refaceTo', 'Refaced, up to; deeper to the lathe'),
      length('latheTo', 'Stock unknown: machined, up to'),
      length('lapJointFaceTo', 'Joint face lapped, up to'),
      length('turnJointFaceTo', 'Joint face turned, up to'),
      length('widestBlueLine', 'Line of blue no wider than'),
      number('bluingRoundsBeforeReface', 'Rounds of bluing before it is refaced', ''),
    ],
  },
  {
    about: 'Bolting and packing',
    fields: [
      choice('passes', 'Tightened in', ['quarters', 'thirds']),
      number('nutFactor', 'Nut factor where no sheet gives one', ''),
      number('yieldPercent', 'Stud stressed to', '% of yield'),
      number('lowTorquePercent', 'A click counts down to', '% under its setting'),
      choice('jointStagger', 'Ring joints staggered by, degrees', [90, 120, 180]),
    ],
  },
  {
    about: 'Tests and papers',
    fields: [choice('api598Edition', 'Leakage by API 598, edition', API_598_EDITIONS)],
  },
  {
    about: 'When it is due',
    fields: [
      number('nextDueMonths', 'Next overhaul after', 'months'),
      {
        kind: 'numbers',
        key: 'ladderMonths',
        words: 'Rungs of its ladder',
        of: 'months',
      },
      number('longestMonths', 'No valve longer than', 'months'),
      number('reliefMonths', 'No relief valve longer than, by law', 'months'),
    ],
  },
  {
    about: 'Who may',
    fields: [
      choice('certificateBy', 'Sign a certificate', CERTIFICATE_BY),
      choice('safetyPartsBy', 'Overrule the call on a safety part', SAFETY_PARTS_BY),
      choice('sealedBy', 'Seal a relief valve', SEALED_BY),
    ],
  },
];

/** One thing that differs between two sets of rules: of a rule or of a school. */
export type RuleChange =
  | { readonly kind: 'rule'; readonly field: RuleField }
  | { readonly kind: 'school'; readonly question: Question };

/** What of the rules differs. */
export function rulesChanged(was: SiteRules, is: SiteRules): RuleChange[] {
  const differs = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b);
  return [
    ...RULE_FIELDS.flatMap(({ fields }) => fields)
      .filter(({ key }) => differs(was[key], is[key]))
      .map((field) => ({ kind: 'rule' as const, field })),
    ...QUESTIONS.filter((question) => was.schools[question] !== is.schools[question]).map((question) => ({
      kind: 'school' as const,
      question,
    })),
  ];
}

export const wordRuleChange = (change: RuleChange): string =>
  change.kind === 'rule' ? change.field.words : SCHOOLS[change.question].question;
