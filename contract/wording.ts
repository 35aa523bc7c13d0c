import type { InputIssue, Problem } from '@dusk-wren/core/problem';
import { handle, type Figure } from '@dusk-wren/core/problem';
import { anyQuantity, capital, format, type UnitSystem } from '@dusk-wren/core/quantity';
import type { AnyProblem, AnyProblemCode } from './http-problem';
import { sayTrouble } from './instrument-trouble';

type Show = (figure: Figure) => string;
type Words = { [C in AnyProblemCode]: (problem: Extract<AnyProblem, { code: C }>, show: Show) => string };

const list = (words: readonly string[]): string =>
  words.length <= 1 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} or ${words.at(-1) ?? ''}`;

const withArticle = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`;

const perhaps = (suggestions: readonly string[]): string =>
  suggestions.length > 0 ? ` Perhaps ${list(suggestions)}?` : '';

/** Every problem in the words of the shop: what was wrong, where, and what to do about it. */
export const WORDING: Words = {
  'quantity.empty': () => 'Nothing was entered.',
  'quantity.unreadable': ({ text, understood, leftover }) =>
    understood === ''
      ? `“${text}” does not begin with a number.`
      : `Read “${understood}”, but not “${leftover}”.`,
  'quantity.unit-missing': ({ number, suggestions }) =>
    `Read ${number}, but in what? Type a unit, such as ${list(suggestions)}.`,
  'quantity.unit-unknown': ({ number, unit, suggestions }) =>
    `Read ${number}, but “${unit}” is no unit known here.${perhaps(suggestions)}`,
  'quantity.wrong-kind': ({ text, wanted, found }) =>
    `“${text}” is ${found.length > 0 ? `a ${list(found)}` : 'something else'}; a ${wanted} is wanted here.`,
  'quantity.not-finite': ({ text }) => `“${text}” is not a number that can be reckoned with.`,
  'quantity.two-readings': ({ text, either, or }) =>
    `“${text}” may be ${either} or ${or}: type it with a point for the decimals and no comma.`,
  'working.unknown': ({ id, known }) => `There is no working “${id}”. There are: ${known.join(', ')}.`,
  'input.invalid': ({ issues }) => issues.map(wordIssue).join(' '),
  'input.out-of-range': ({ field, value, allowed, why }) =>
    `${field}: ${value} is not possible; ${allowed}, because ${why}.`,
  'input.conflict': ({ why }) => why,
  'input.too-few': ({ field, count, least, why }) =>
    `${field}: ${count} given, at least ${least} needed: ${why}.`,
  'table.no-entry': ({ table, looked, has }) => `There is no “${looked}” in ${table}: try ${has}.`,
  'construction.unknown': ({ id, known }) =>
    `There is no construction “${id}”. There are: ${known.join(', ')}.`,
  'features.contradict': ({ why }) => why,
  'plan.cycle': ({ fragments }) => `These steps wait for each other in a circle: ${fragments.join(', ')}.`,
  'unit.does-not-fit': ({ unit, valve }) => `${valve} has no ${unit} that is swapped whole.`,
  'unit.already-taken': ({ unit, serial }) =>
    `This job has its ${unit} already: ${serial}. Strike that entry first.`,
  'unit.not-on-shelf': ({ unit, serial }) =>
    `${unit} ${serial} does not stand on the shelf any more: somebody took it, or it fits another valve. Nothing was changed.`,
  'plan.same-step': ({ steps }) => `These steps stand on the plan twice: ${steps.join(', ')}.`,
  'command.unknown': ({ kind }) => `Nothing here can do “${kind}”.`,
  'command.invalid': ({ issues }) => issues.map(wordIssue).join(' '),
  'job.not-open': () => 'There is no such job yet.',
  'job.released': () => 'The certificate is signed: nothing is added to this job any more.',
  'step.unknown': () => 'That step is not on the plan any more.',
  'step.already-done': ({ step, by }) =>
    by === undefined
      ? `“${step}” is done already.`
      : `${by} was quicker: “${step}” is done, nothing is left to do.`,
  'step.waits': ({ step, waits }) => `“${step}” waits for: ${waits.join('; ')}.`,
  'step.wants': ({ step, wants }) => `“${step}” wants ${wants}.`,
  'instrument.unknown': () => 'No such instrument is on file.',
  'call.none': ({ part }) => `There is no call on the ${part} yet to overrule.`,
  'entry.unknown': ({ seq }) => `Entry ${seq} does not stand in this log.`,
  'entry.fixed': ({ seq, why }) => `Entry ${seq} cannot be struck: ${why}.`,
  'entry.unfounded': ({ seq }) =>
    `Entry ${seq} does not follow from anything that could have been done at that point.`,
  'hold.wrong-role': ({ role }) => `Only an inspector releases a hold; you are signed in as ${role}.`,
  'reading.own': ({ person }) =>
    `${person} read it the first time: it is read again by somebody else, who signs in for it.`,
  'hold.own-work': ({ person }) => `${person} did some of this work: another inspector must release it.`,
  'hold.asks-open': ({ parts }) => `Still to be decided: ${parts.join(', ')}. The hold stays until then.`,
  'role.not-allowed': ({ role, wanted }) =>
    `${capital(withArticle(role))} may not do this; it takes ${list(wanted.map(withArticle))}.`,
  'lock.elsewhere': ({ lock, where }) => `Lock ${lock} hangs already: ${where}. One lock, one place.`,
  'lock.not-yours': ({ lock, owner }) =>
    `Lock ${lock} is ${owner}’s: it comes off by the same hand, or by a lead who says why.`,
  'isolation.both-sides': ({ person }) =>
    `${person} has signed the other side: a second person must check it, whatever the role.`,
  'isolation.own-hand': ({ person, what }) =>
    `${person} ${what === 'lock' ? 'had a hand in the locks' : 'read a zero'}: whoever checks the isolation did neither.`,
  'isolation.not-done-by': ({ person }) =>
    `${person} did none of it: “done” is signed by one of those who did.`,
  'certificate.own-work': ({ person }) =>
    `${person} did some of this work: another signs the certificate, unless the site’s rules allow it.`,
  'sheet.own': ({ person }) =>
    `${person} filed this sheet: a second person reads it against the maker’s paper.`,
  'reading.not-steady': ({ what, change, over }, show) =>
    change
      ? `${what} has not settled: ${show(change)} in the last ${show(over)}. Let it stand, then keep it.`
      : `${what} was not watched for ${show(over)}. Let it stand, then keep it.`,
  'person.unknown': () => 'Nobody of that name works here.',
  'photo.not-of-job': () => 'That photograph was not sent for this job: nothing was pinned.',
  'leak.counted-otherwise': ({ found, wanted }) =>
    `The leak is allowed here in ${wanted} and was counted in ${found}: count ${wanted}.`,
  'drill.no-sense': ({ drill, construction }) =>
    `“${drill}” makes no sense on a valve of the kind ${construction}.`,
  'drill.cannot-be-told': ({ drill }) =>
    `“${drill}”: nobody could tell that from what there is to look at and to read. Plant something that shows.`,
  'drill.not-planted': ({ drill }) => `Nothing can be put into “${drill}” by hand: chance makes it.`,
  'event.unknown-kind': ({ kind, seq }) => `Entry ${seq} is of a kind this version does not know: ${kind}.`,
  'event.unknown-format': ({ kind, format, known }) =>
    `An entry “${kind}” has format ${format}; this version knows up to ${known}.`,
  'event.broken': ({ kind, seq, issues }) =>
    `Entry ${seq} (${kind}) cannot be read. ${issues.map(wordIssue).join(' ')}`,
  'event.out-of-order': ({ expected, found }) =>
    `The log has a gap: entry ${expected} was expected, ${found} came.`,
  'request.invalid': ({ issues }) =>
    issues.map(({ path, message }) => (path === '' ? message : `${path}: ${message}`)).join('; '),
  'request.too-large': ({ limit }) => `That is more than ${limit}; nothing was stored.`,
  'request.not-json': () => 'That was not JSON; nothing was stored.',
  'request.too-many': ({ retryAfterSeconds }) =>
    `Too many at once. Wait ${retryAfterSeconds} s and try again.`,
  'photo.unreadable': ({ why }) => `This photograph was not kept: ${why}.`,
  'not-found': ({ what }) => `There is no such ${what}.`,
  'sign-in.needed': () => 'Sign in first. What you entered is still here.',
  'sign-in.wrong': () => 'That name and PIN do not go together.',
  'origin.other': ({ origin }) =>
    `That came from a page of ${origin}, which is not this shop’s. Nothing was changed. If it is, whoever runs the server sets PUBLIC_URL to it.`,
  'csrf.missing': () => 'This page has lost its sign-in. Reload it; what was stored is safe.',
  'instrument.trouble': ({ trouble }) => sayTrouble(trouble),
  'job.stale': ({ version }) => `Somebody else was faster: the job stands at entry ${version}.`,
  'command.other-answer': () => 'That command id was used for something else.',
  'witness.own': ({ person }) => `${person} cannot watch their own work: somebody else does.`,
  'person.other': ({ signedIn }) =>
    `${signedIn} is signed in on this browser now. What you entered stays here for you: sign in again and it goes out under your name.`,
  'pin.needed': () => 'This is a signature: it wants your PIN again. It was not stored.',
  'pin.wrong': () => 'That is not the PIN of that name. Nothing was signed.',
  'pin.too-short': ({ role, least }) => `The PIN of ${withArticle(role)} has at least ${least} digits.`,
  'pin.to-choose': ({ least }) =>
    `That is the code for the first time. Choose a PIN of your own now, ${least} digits or more.`,
  'pin.code-over': () => 'That code is too old to be used. A lead gives you another.',
  'person.last-lead': ({ name }) => `${name} is the only lead: make another one first. Nothing was changed.`,
  'rules.changed': ({ customer, version }) =>
    `Somebody else has changed the rules of ${customer} meanwhile (they are version ${version} now): look at theirs, then change what is still to change.`,
  'sheet.changed': ({ model, revision }) =>
    `The shop’s sheet of ${model} was changed meanwhile (it is revision ${revision} now): look at that one, then change what is still to change.`,
  'backup.failed': ({ why }) => `No back-up was taken: ${why}.`,
  'name.taken': ({ name }) => `There is a ${name} here already: write the name so that both are known apart.`,
  'badge.taken': ({ name }) => `That badge is ${name}’s: take it from them first. Nothing was changed.`,
  'badge.unknown': () => 'Nobody here has that badge. Find your name; a lead gives you the badge on Setup.',
  'second.needed': () => 'The PIN is right. This shop asks for the code of your authenticator too.',
  'second.wrong': () =>
    'That code is not right, or was used before. Wait for the next one; a lead gives another code where the phone is lost.',
  'second.own-screen': ({ name }) =>
    `This shop asks ${name} for the code of an authenticator too: a PIN alone signs nothing at another’s screen. ${name} signs in, here or elsewhere, and signs then.`,
  'second.to-set-up': () =>
    'The PIN is right. This shop asks for the code of an authenticator too: scan this with one on your phone, then type the code that it shows.',
  'first-lead.wrong-code': () =>
    'That is not the code the server printed when it started. Read it again in its log.',
  'first-lead.somebody-is-here': () => 'This shop has people already: a lead adds the others.',
  'import.person': ({ name, here }) =>
    `The file has entries by ${name}; the same person is ${here} here. Nothing was brought in.`,
  'import.valve': ({ tag }) =>
    `Another valve is on file here under ${tag} or its number. Nothing was brought in.`,
  'import.moment': ({ seq, at }) => `Entry ${seq} is of ${at}, which cannot be. Nothing was brought in.`,
  'store.changed': ({ by, at }) =>
    `${by} has brought in another file meanwhile, on ${at}. Look at the preview again; nothing was written.`,
  'setup.changed': ({ by, what }) =>
    `${by} has changed the setup meanwhile (${what}). Look at the preview again; nothing was written.`,
  'database.away': () =>
    'The shop’s database does not answer at the moment. What is stored is safe, and nothing was half stored.',
  'database.unwritable': ({ why }) =>
    `${why === 'full' ? 'The shop’s disk is full' : 'The shop’s database is set to be read only'}: what is stored is safe and can be read, and nothing more can be stored. Tell whoever runs the server.`,
  'import.exists': ({ tag }) => `The job of ${tag} is here already; nothing was changed.`,
  'valve.job-open': ({ tag }) => `${tag} has an open job already.`,
  'week.changed': () =>
    'The week has changed while a better plan was looked for: that plan is of the week before. Look again.',
  'week.no-better': () => 'It is no better than the plan that stands, which stays.',
  'token.wrong': () =>
    'This token opens nothing: it is unknown, over or ended. A lead makes another on Setup → Machines.',
  'token.scope': ({ wants }) =>
    wants === ''
      ? 'No token is for this: it is for people who are signed in.'
      : `This token is not for that: it wants the scope “${wants}”.`,
  'order.settled': ({ number, state }) => `Order ${number} is ${state} already; nothing was changed.`,
  'hook.host': ({ host }) =>
    `${host} is not among the hosts that this server may call. Whoever runs it names them (HOOK_HOSTS). Nothing was kept.`,
  'week.impossible': ({ why }) => `It cannot be planned so: ${why} Nothing was changed.`,
  'valve.scrapped': ({ tag }) =>
    `${tag} is scrapped: no job is opened on it. If it is back, say so on its page first.`,
  'server.failed': ({ requestId }) =>
    `Something failed on the server; nothing was half stored. Say this number: ${requestId}.`,
  'answer.unreadable': ({ status }) =>
    `What answered (${status}) was not the shop’s server. What you entered is kept on this device.`,
  'connection.lost': () =>
    'No connection to the server. What is stored is safe; what is typed on this page stays.',
};

/** The problem in words, with what it measures in the reader's units. */
export function wordProblem(problem: AnyProblem, system: UnitSystem = 'US'): string {
  const show: Show = (figure) => {
    const read = anyQuantity.safeParse(figure);
    return read.success ? format(read.data, system) : `${figure.value} ${figure.unit}`;
  };
  return handle(WORDING[problem.code], problem, show).trim();
}

function wordIssue({ path, problem }: InputIssue): string {
  const words = problem.code === 'field' ? plainly(problem.message) : wordProblem(problem satisfies Problem);
  return path === '' ? words : `${path.replace(/^body\./, '')}: ${words}`;
}

/** The schema library's sentence as ours. */
function plainly(message: string): string {
  return `${message.replace('Invalid input: expected', 'expected').replace('received undefined', 'nothing given')}.`.replace(
    /\.\.$/,
    '.',
  );
}
