import { wordReason } from '../../inspection';
import { phrase } from '../../quantity';
import { always, draft, feature, finding, rule, type Context, type Draft, type Fragment } from '../draft';
import { ifThere, stepName, type Relation } from '../relations';
import { isolatedOn } from './isolation/isolated';
import { PERMIT } from './isolation/steps';

const PLACE = stepName('release.place');
const SHELF = stepName('release.shelf');
const CONDEMN = stepName('release.condemn');
const QUOTE = stepName('release.quote');
const LOCKED = stepName('release.locked');

/** Stage 10: back in line, tags off, paper signed. */
export const release: Fragment = {
  name: 'release',
  openings: 'afterwards',
  of: ['sound'],
  compose: released,
};

/** A valve beyond repair: set apart, and the report signed. */
export const condemn: Fragment = {
  name: 'condemn',
  openings: 'afterwards',
  of: ['condemned'],
  compose: condemned,
};

/** Apart on its tray, with a price on it: what happens next is somebody’s decision. */
export const quote: Fragment = {
  name: 'quote',
  openings: 'afterwards',
  of: ['quoted'],
  compose: (c) => [
    draft({
      name: QUOTE,
      ofTheJob: true,
      stage: 'release',
      title: 'Quote handed over; every part trayed, covered and tagged until it is answered',
      why: 'Taken up, the job is widened to what was ordered and goes on from here; refused, the report is signed.',
      task: { kind: 'do', writes: 'the number of the quote, and who has it' },
      minutes: 15,
      because: rule('scope: receive and quote'),
      after: ['inspected'],
    }),
    ...stillIsolated(c, [QUOTE]),
    sign(c, 'Sign the report', [QUOTE, ifThere(LOCKED)]),
  ],
};

function released(c: Context): Draft[] {
  const inLine = c.place !== 'bare';
  return [
    draft({
      name: PLACE,
      ofTheJob: true,
      stage: 'release',
      title: inLine
        ? 'Area clean, permit back, valve handed over'
        : 'Cap the ends, tag the valve, to the shelf',
      why: inLine
        ? 'The isolation is off and signed; the operator takes the valve back.'
        : 'Clean and closed until it is fitted.',
      caution: 'Under the site’s permit only.',
      minutes: 15,
      because: always('every job'),
      after: ['tested', 'back in line', 'restored'],
    }),
    ...forTheShelf(c),
    sign(c, 'Sign the certificate', [PLACE, ifThere(SHELF), 'tested']),
  ];
}

/** What the next overhaul would be glad of. */
function forTheShelf(c: Context): Draft[] {
  const spare = c.has('bonnet chamber')
    ? 'a packed bonnet chamber'
    : c.has('bypass insert')
      ? 'a complete bypass insert of this order key'
      : c.has('cylinder')
        ? 'a rebuilt actuator'
        : undefined;
  if (!spare) return [];
  return [
    draft({
      name: SHELF,
      stage: 'release',
      title: `Put up ${spare} for the shelf`,
      why: 'The next one is then swapped in an hour, and this one rebuilt when there is time.',
      minutes: 10,
      optional: 'only where the shop keeps one',
      because: feature('has a unit that is swapped whole'),
      after: [PLACE],
    }),
  ];
}

function condemned(c: Context): Draft[] {
  const call = [...c.calls.values()].find(({ verdict }) => verdict === 'condemn');
  return [
    draft({
      name: CONDEMN,
      stage: 'release',
      title:
        c.place === 'in line'
          ? 'Tag the valve condemned; its line stays shut until it is replaced'
          : 'Tag the valve condemned and set it apart',
      why: phrase`${call?.part ?? 'valve'}: ${call ? wordReason(call.reason) : 'condemned'}. A replacement is of the same type, the same or a higher pressure rating for the service, the same flange size, facing and face-to-face.`,
      minutes: 10,
      because: finding('a part that cannot be renewed is beyond repair', call?.because.at(-1)),
      after: ['inspected'],
    }),
    ...stillIsolated(c, [CONDEMN]),
    sign(c, 'Sign the report', [CONDEMN, ifThere(LOCKED)]),
  ];
}

/** An opened line is not given back: whoever goes home hands over the locks that stay. */
function stillIsolated(c: Context, after: readonly Relation[]): Draft[] {
  if (c.place === 'bare' || isolatedOn(c) === 'nothing') return [];
  return [
    draft({
      name: LOCKED,
      ofTheJob: true,
      stage: 'release',
      title: 'The isolation stays: hand over its locks and its sheet',
      why: 'The line is open here: every lock, tag, vent and blind stays as it is until a valve is back in it.',
      caution: PERMIT,
      task: { kind: 'do', writes: 'which locks stay on, and who holds them from now' },
      minutes: 10,
      because: always('the line is left open'),
      after,
    }),
  ];
}

function sign(c: Context, title: string, after: readonly Relation[]): Draft {
  return draft({
    name: stepName('release.sign'),
    ofTheJob: true,
    stage: 'release',
    title,
    why: 'As found, as left, and who did what, closed for good.',
    task: { kind: 'sign', months: c.site.nextDueMonths },
    minutes: 5,
    because: always('every job'),
    after,
  });
}
