import { describe, expect, it } from 'vitest';
import { RULE_FIELDS, rulesChanged, siteRulesSchema, USUAL_RULES, USUAL_SCHOOLS } from '../inspection';
import { must } from '../problem';
import { thou } from '../quantity';
import { BenchJob } from '../testing/bench';
import { underOtherRules } from './other-rules';

describe('a job under other rules', () => {
  it('stands as it is where nothing of them touches it', () => {
    const job = new BenchJob();
    const other = must(underOtherRules(job.log, { ...USUAL_RULES, lapJointFaceTo: thou(3) }));
    expect(other).toEqual({ calls: [], more: [], fewer: [], undone: [], other: [] });
    const sooner = must(underOtherRules(job.log, { ...USUAL_RULES, nextDueMonths: 24 }));
    expect(sooner.other).toEqual(['Sign the certificate']);
  });
  it('has another call on a seat cut 0.008 in where the site refaces less deep, and the steps of that call', () => {
    const job = new BenchJob();
    job.workTo('inspect.seat').send({
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'wire drawn', depth: '0.008 in' } },
    });
    const rules = { ...USUAL_RULES, grindInTo: thou(2), refaceTo: thou(5) };
    const other = must(underOtherRules(job.log, rules));
    expect(other.calls).toEqual([{ part: 'seat', is: 'reface and lap', would: 'lathe and lap' }]);
  });
  it('has another way at its next step, and keeps what was done', () => {
    const job = new BenchJob();
    const rules = { ...USUAL_RULES, schools: { ...USUAL_SCHOOLS, bluing: 'straight down' as const } };
    const other = must(underOtherRules(job.log, rules));
    expect([...other.other, ...other.more].join()).toMatch(/blue/i);
  });
});

describe('the rules that are asked', () => {
  it('are all that there are, each once', () => {
    const asked = RULE_FIELDS.flatMap(({ fields }) => fields.map(({ key }) => key));
    const there = Object.keys(siteRulesSchema.shape).filter((key) => key !== 'name' && key !== 'schools');
    expect([...asked].sort()).toEqual(there.sort());
  });
  it('differ by what was changed', () => {
    const rules = {
      ...USUAL_RULES,
      grindInTo: thou(4),
      schools: { ...USUAL_SCHOOLS, bluing: 'straight down' as const },
    };
    expect(rulesChanged(USUAL_RULES, rules)).toMatchObject([
      { field: { key: 'grindInTo' } },
      { question: 'bluing' },
    ]);
  });
});
