import { wordReason } from '../../inspection';
import { phrase } from '../../quantity';
import { always, draft, feature, finding, rule, type Context, type Draft, type Fragment } from '../draft';
import { ifThere, stepName, type Relation } from '../relations';

const PLACE = stepName('release.place');
const SHELF = stepName('release.shelf');
const CONDEMN = stepName('release.condemn');
const QUOTE = stepName('release.quote');

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
    sign(c, 'Sign the report', [QUOTE]),
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
      title: 'Tag the valve condemned and set it apart',
      why: phrase`${call?.part ?? 'valve'}: ${call ? wordReason(call.reason) : 'condemned'}. A replacement is of the same type, the same or a higher pressure rating for the service, the same flange size, facing and face-to-face.`,
      minutes: 10,
      because: finding('a part that cannot be renewed is beyond repair', call?.because.at(-1)),
      after: ['inspected'],
    }),
    sign(c, 'Sign the report', [CONDEMN]),
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
