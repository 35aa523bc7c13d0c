import type { AnyProblem, AnyProblemCode } from './http-problem';
import { describe, expect, it } from 'vitest';
import { STATUS } from './status';
import { wordProblem } from './wording';

/** One of every problem there is, and what a person reads. */
const SAMPLES: { [C in AnyProblemCode]: [Extract<AnyProblem, { code: C }>, RegExp] } = {
  'quantity.empty': [{ code: 'quantity.empty' }, /Nothing was entered/],
  'quantity.unreadable': [
    { code: 'quantity.unreadable', text: '1 2', understood: '1', leftover: '2' },
    /Read “1”, but not “2”/,
  ],
  'quantity.unit-missing': [
    { code: 'quantity.unit-missing', text: '3', number: 3, suggestions: ['in', 'mm'] },
    /in or mm/,
  ],
  'quantity.unit-unknown': [
    { code: 'quantity.unit-unknown', text: '3 im', number: 3, unit: 'im', suggestions: [] },
    /“im” is no unit known here\.$/,
  ],
  'quantity.wrong-kind': [
    { code: 'quantity.wrong-kind', text: '3 psi', unit: 'psi', wanted: 'length', found: ['stress'] },
    /is a stress; a length is wanted/,
  ],
  'quantity.not-finite': [{ code: 'quantity.not-finite', text: '1e999' }, /1e999/],
  'quantity.two-readings': [
    { code: 'quantity.two-readings', text: '1,125 in', either: '1125 in', or: '1.125 in' },
    /1125 in or 1.125 in/,
  ],
  'working.unknown': [
    { code: 'working.unknown', id: 'fishing', known: ['a', 'b'] },
    /no working “fishing”.*a, b/,
  ],
  'input.invalid': [
    { code: 'input.invalid', issues: [{ path: 'stem', problem: { code: 'quantity.empty' } }] },
    /^stem: Nothing was entered/,
  ],
  'input.out-of-range': [
    {
      code: 'input.out-of-range',
      field: 'bore',
      value: '1 in',
      allowed: 'more than 2 in',
      why: 'it is a box',
    },
    /bore: 1 in is not possible; more than 2 in, because it is a box/,
  ],
  'input.conflict': [{ code: 'input.conflict', fields: ['a'], why: 'One of the two.' }, /^One of the two\.$/],
  'input.too-few': [
    { code: 'input.too-few', field: 'readings', count: 3, least: 5, why: 'they are few' },
    /readings: 3 given, at least 5 needed: they are few/,
  ],
  'table.no-entry': [
    { code: 'table.no-entry', table: 'sizes', looked: '7', has: '6 and 8' },
    /There is no “7” in sizes: try 6 and 8/,
  ],
  'construction.unknown': [
    { code: 'construction.unknown', id: 'boat', known: ['globe'] },
    /no construction “boat”/,
  ],
  'features.contradict': [{ code: 'features.contradict', why: 'A and B.' }, /^A and B\.$/],
  'plan.cycle': [{ code: 'plan.cycle', fragments: ['x', 'y'] }, /circle: x, y/],
  'unit.does-not-fit': [{ code: 'unit.does-not-fit', unit: 'packed bonnet', valve: 'V-1' }, /V-1/],
  'unit.already-taken': [{ code: 'unit.already-taken', unit: 'packed bonnet', serial: 'S 1' }, /S 1/],
  'unit.not-on-shelf': [{ code: 'unit.not-on-shelf', unit: 'packed bonnet', serial: 'S 1' }, /not stand/],
  'plan.same-step': [{ code: 'plan.same-step', steps: ['x'] }, /twice: x/],
  'command.unknown': [{ code: 'command.unknown', kind: 'fish' }, /“fish”/],
  'command.invalid': [
    {
      code: 'command.invalid',
      kind: 'add-note',
      issues: [{ path: 'body.text', problem: { code: 'field', message: 'too long' } }],
    },
    /^text: too long/,
  ],
  'job.not-open': [{ code: 'job.not-open' }, /no such job yet/],
  'job.released': [{ code: 'job.released' }, /certificate is signed/],
  'step.unknown': [{ code: 'step.unknown', step: 'x' }, /not on the plan any more/],
  'step.already-done': [{ code: 'step.already-done', step: 'Lift' }, /“Lift” is done already/],
  'step.waits': [{ code: 'step.waits', step: 'Lift', waits: ['a', 'b'] }, /“Lift” waits for: a; b/],
  'step.wants': [{ code: 'step.wants', step: 'Lift', wants: 'a crane' }, /“Lift” wants a crane/],
  'instrument.trouble': [
    { code: 'instrument.trouble', trouble: { is: 'lost', at: '10.0.0.7:502', again: false } },
    /10\.0\.0\.7:502 does not answer/,
  ],
  'instrument.unknown': [{ code: 'instrument.unknown', id: 'x' }, /No such instrument/],
  'call.none': [{ code: 'call.none', part: 'stem' }, /no call on the stem yet/],
  'entry.unknown': [{ code: 'entry.unknown', seq: 7 }, /Entry 7/],
  'entry.fixed': [{ code: 'entry.fixed', seq: 7, why: 'it is old' }, /cannot be struck: it is old/],
  'hold.wrong-role': [{ code: 'hold.wrong-role', role: 'technician' }, /Only an inspector/],
  'reading.own': [{ code: 'reading.own', person: 'Ada' }, /Ada read it the first time/],
  'hold.own-work': [{ code: 'hold.own-work', person: 'Ada' }, /Ada did some of this work/],
  'hold.asks-open': [{ code: 'hold.asks-open', parts: ['gland'] }, /Still to be decided: gland/],
  'role.not-allowed': [
    { code: 'role.not-allowed', role: 'technician', wanted: ['lead', 'inspector'] },
    /^A technician may not do this; it takes a lead or an inspector\.$/,
  ],
  'lock.elsewhere': [{ code: 'lock.elsewhere', lock: '7', where: 'Supply' }, /Lock 7 hangs already: Supply/],
  'lock.not-yours': [{ code: 'lock.not-yours', lock: '7', owner: 'Ada' }, /Lock 7 is Ada’s/],
  'isolation.both-sides': [{ code: 'isolation.both-sides', person: 'Ada' }, /Ada has signed the other side/],
  'event.unknown-kind': [{ code: 'event.unknown-kind', kind: 'x', seq: 3 }, /Entry 3 is of a kind/],
  'event.unknown-format': [
    { code: 'event.unknown-format', kind: 'x', format: 9, known: 1 },
    /format 9; this version knows up to 1/,
  ],
  'event.broken': [{ code: 'event.broken', kind: 'x', seq: 3, issues: [] }, /Entry 3 \(x\) cannot be read/],
  'event.out-of-order': [
    { code: 'event.out-of-order', expected: 2, found: 3 },
    /entry 2 was expected, 3 came/,
  ],
  'request.invalid': [
    { code: 'request.invalid', issues: [{ path: 'limit', message: 'too large' }] },
    /^limit: too large$/,
  ],
  'request.too-large': [{ code: 'request.too-large', limit: '5 MB' }, /more than 5 MB; nothing was stored/],
  'request.not-json': [{ code: 'request.not-json' }, /not JSON/],
  'request.too-many': [{ code: 'request.too-many', retryAfterSeconds: 30 }, /Wait 30 s/],
  'photo.unreadable': [{ code: 'photo.unreadable', why: 'it is broken' }, /not kept: it is broken/],
  'not-found': [{ code: 'not-found', what: 'job' }, /no such job/],
  'sign-in.needed': [{ code: 'sign-in.needed' }, /still here/],
  'sign-in.wrong': [{ code: 'sign-in.wrong' }, /do not go together/],
  'origin.other': [
    { code: 'origin.other', origin: 'https://evil.test' },
    /a page of https:\/\/evil\.test, which is not this shop’s\. Nothing was changed/,
  ],
  'csrf.missing': [{ code: 'csrf.missing' }, /Reload/],
  'job.stale': [{ code: 'job.stale', version: 9 }, /stands at entry 9/],
  'command.other-answer': [{ code: 'command.other-answer' }, /something else/],
  'import.exists': [{ code: 'import.exists', tag: 'V-1' }, /V-1 is here already; nothing was changed/],
  'week.changed': [{ code: 'week.changed' }, /has changed .* Look again/],
  'week.no-better': [{ code: 'week.no-better' }, /no better than the plan that stands, which stays/],
  'token.wrong': [{ code: 'token.wrong' }, /opens nothing: .* A lead makes another/],
  'token.scope': [{ code: 'token.scope', wants: 'due' }, /not for that: it wants the scope “due”/],
  'order.settled': [
    { code: 'order.settled', number: 'WO-1', state: 'taken' },
    /WO-1 is taken already; nothing was changed/,
  ],
  'hook.host': [{ code: 'hook.host', host: 'erp.test' }, /erp\.test is not among the hosts/],
  'week.impossible': [
    { code: 'week.impossible', why: 'V-1, strip: taken.' },
    /cannot be planned so: V-1, strip: taken\. Nothing was changed/,
  ],
  'valve.scrapped': [{ code: 'valve.scrapped', tag: 'V-1' }, /V-1 is scrapped: no job/],
  'valve.job-open': [{ code: 'valve.job-open', tag: 'V-1' }, /V-1 has an open job already/],
  'server.failed': [{ code: 'server.failed', requestId: 'abc' }, /nothing was half stored.*abc/],
  'answer.unreadable': [{ code: 'answer.unreadable', status: 502 }, /\(502\) was not the shop’s server/],
  'connection.lost': [{ code: 'connection.lost' }, /What is stored is safe/],
  'entry.unfounded': [{ code: 'entry.unfounded', seq: 5 }, /^Entry 5 does not follow/],
  'isolation.own-hand': [
    { code: 'isolation.own-hand', person: 'Ada', what: 'lock' },
    /^Ada had a hand in the locks/,
  ],
  'isolation.not-done-by': [{ code: 'isolation.not-done-by', person: 'Ada' }, /^Ada did none of it/],
  'certificate.own-work': [{ code: 'certificate.own-work', person: 'Ada' }, /another signs the certificate/],
  'sheet.own': [{ code: 'sheet.own', person: 'Ada' }, /^Ada filed this sheet: a second person/],
  'person.unknown': [{ code: 'person.unknown', id: 'x' }, /Nobody of that name/],
  'photo.not-of-job': [{ code: 'photo.not-of-job', photo: 'x' }, /not sent for this job/],
  'drill.no-sense': [
    { code: 'drill.no-sense', drill: 'Set it', construction: 'gate-wedge' },
    /^“Set it” makes no sense/,
  ],
  'drill.cannot-be-told': [
    { code: 'drill.cannot-be-told', drill: 'Where is the fault?' },
    /nobody could tell that/,
  ],
  'drill.not-planted': [{ code: 'drill.not-planted', drill: 'Bolt it' }, /chance makes it/],
  'leak.counted-otherwise': [
    { code: 'leak.counted-otherwise', found: 'drops', wanted: 'mL' },
    /allowed here in mL and was counted in drops/,
  ],
  'reading.not-steady': [
    {
      code: 'reading.not-steady',
      what: 'pressure upstream',
      change: { dimension: 'pressure difference', value: 12, unit: 'psi' },
      over: { dimension: 'time', value: 5, unit: 's' },
    },
    /has not settled: 12 psi in the last 5 s/,
  ],
  'witness.own': [{ code: 'witness.own', person: 'Ada' }, /^Ada cannot watch their own work/],
  'person.other': [{ code: 'person.other', signedIn: 'Tam' }, /^Tam is signed in on this browser now/],
  'pin.needed': [{ code: 'pin.needed' }, /wants your PIN again/],
  'pin.wrong': [{ code: 'pin.wrong' }, /Nothing was signed/],
  'pin.too-short': [
    { code: 'pin.too-short', role: 'inspector', least: 6 },
    /PIN of an inspector has at least 6/,
  ],
  'pin.to-choose': [{ code: 'pin.to-choose', least: 6 }, /PIN of your own now, 6 digits/],
  'pin.code-over': [{ code: 'pin.code-over' }, /A lead gives you another/],
  'person.last-lead': [{ code: 'person.last-lead', name: 'Lea' }, /^Lea is the only lead/],
  'rules.changed': [
    { code: 'rules.changed', customer: 'Mill', version: 3 },
    /rules of Mill meanwhile .*version 3/,
  ],
  'sheet.changed': [
    { code: 'sheet.changed', model: 'H 7', revision: 'D' },
    /sheet of H 7 was changed meanwhile .*revision D/,
  ],
  'backup.failed': [{ code: 'backup.failed', why: 'the disk is full' }, /taken: the disk is full\.$/],
  'name.taken': [{ code: 'name.taken', name: 'Lea' }, /a Lea here already/],
  'first-lead.wrong-code': [{ code: 'first-lead.wrong-code' }, /code the server printed/],
  'first-lead.somebody-is-here': [{ code: 'first-lead.somebody-is-here' }, /people already/],
  'import.person': [
    { code: 'import.person', name: 'Noor, inspector', here: 'Jory, technician' },
    /by Noor, inspector; the same person is Jory, technician here/,
  ],
  'import.valve': [{ code: 'import.valve', tag: 'V-1' }, /on file here under V-1/],
  'import.moment': [{ code: 'import.moment', seq: 3, at: '9999' }, /^Entry 3 is of 9999/],
  'badge.taken': [{ code: 'badge.taken', name: 'Ada' }, /^That badge is Ada’s/],
  'second.needed': [{ code: 'second.needed' }, /code of your authenticator/],
  'second.wrong': [{ code: 'second.wrong' }, /used before/],
  'second.own-screen': [{ code: 'second.own-screen', name: 'Ivo' }, /Ivo signs in, here or elsewhere/],
  'second.to-set-up': [
    { code: 'second.to-set-up', secret: 'GEZDGNBV', address: 'otpauth://totp/x' },
    /scan this with one on your phone/,
  ],
  'badge.unknown': [{ code: 'badge.unknown' }, /^Nobody here has that badge/],
  'setup.changed': [
    { code: 'setup.changed', by: 'Lea', what: 'Ada added, as technician' },
    /^Lea has changed the setup meanwhile \(Ada added/,
  ],
  'store.changed': [{ code: 'store.changed', by: 'Lea', at: '2026-11-25' }, /^Lea has brought in another/],
  'database.unwritable': [
    { code: 'database.unwritable', why: 'full' },
    /^The shop’s disk is full: .* can be read/,
  ],
  'database.away': [
    { code: 'database.away' },
    /database does not answer at the moment.*nothing was half stored/,
  ],
};

describe.each(Object.entries(SAMPLES))('%s', (code, [problem, words]) => {
  it('is said in the words of the shop, as a sentence', () => {
    const said = wordProblem(problem);
    expect(said).toMatch(words);
    if (code !== 'request.invalid') expect(said).toMatch(/[.?!”]$|^[a-z]+: /);
    expect(said).not.toContain('undefined');
    expect(said).not.toContain('[object');
  });
  it('has the status of its kind', () => {
    const status = STATUS[problem.code];
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(600);
  });
});
