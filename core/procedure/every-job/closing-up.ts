import { closureProcedure } from '../closures';
import { always, draft, feature, rule, type Context, type Draft, type Fragment } from '../draft';
import { stepName } from '../relations';
import { contactsOf } from './seat-work/contacts';

const HOLD = stepName('hold.contact');

/** Hold: nothing is closed up before the contact and the calls are seen by somebody else; then everything is cleaned. */
export const closingUp: Fragment = {
  name: 'closing up',
  openings: 'every',
  compose: (c) => [hold(c), clean(c)],
};

function hold(c: Context): Draft {
  const blued = contactsOf(c).length > 0;
  return draft({
    name: HOLD,
    ofTheJob: true,
    stage: 'repair',
    title: blued ? 'Hold: contact and calls' : 'Hold: the call on every part',
    why: blued
      ? 'Last look at the seat before it is closed up.'
      : 'Last look at every part before it is closed up.',
    task: {
      kind: 'hold',
      witness: blued ? 'the blue line and the call on every part' : 'the call on every part',
    },
    minutes: 10,
    because: rule('hold point before rebuild'),
    after: ['inspected', 'repaired', 'looked at again', 'stripped'],
    provides: [],
  });
}

function clean(c: Context): Draft {
  const contacts = contactsOf(c);
  const seating = contacts.flatMap(({ seat, closure }) => [seat, closure]);
  return draft({
    name: stepName('rebuild.clean'),
    ofTheJob: true,
    stage: 'rebuild',
    title:
      contacts.length > 0
        ? `${shimmed(c) ? 'Shims out, compound' : 'Compound'} and blue off, all dry`
        : 'Every part clean and dry, ready to go back',
    why: 'What is left inside goes through the seat on the first stroke.',
    parts: [...new Set([...seating, 'body' as const])],
    consumables: ['solvent', 'lint-free cloth'],
    minutes: 10,
    because:
      contacts.length > 0
        ? feature('a metal seat that is blued')
        : always('every valve that is closed again'),
    after: [HOLD],
    provides: ['rebuilt', 'clean to close'],
  });
}

/** A disc locked to its stem for spotting is shimmed. */
const shimmed = ({ features, site }: Context): boolean =>
  closureProcedure(features).spottedOnStem === true && site.schools.spotting === 'locked to the stem';
