import { always, draft, finding, type Context, type Draft, type Fragment } from '../draft';

/** Stage 10: back in line, tags off, paper signed. */
export const release: Fragment = {
  name: 'release',
  openings: 'last',
  compose: (c) => (c.condemned ? condemned(c) : released(c)),
};

function released(c: Context): Draft[] {
  const inLine = c.came === 'in line';
  return [
    draft({
      id: 'release.place',
      stage: 'release',
      title: inLine ? 'Tags off, area clean, valve handed back' : 'Cap the ends, tag the valve, to the shelf',
      why: inLine
        ? 'Isolation comes off in the mirror order, by the one who put it on.'
        : 'Clean and closed until it is fitted.',
      caution: 'Under the site’s permit only.',
      minutes: 15,
      because: always('every job'),
      after: ['tested'],
      provides: ['released'],
    }),
    sign(c, ['release.place', 'tested']),
  ];
}

function condemned(c: Context): Draft[] {
  const call = [...c.calls.values()].find(({ verdict }) => verdict === 'condemn');
  return [
    draft({
      id: 'release.condemn',
      stage: 'release',
      title: 'Tag the valve condemned and set it apart',
      why: `${call?.part ?? 'valve'}: ${call?.reason ?? 'condemned'}. A replacement must match type, rating and flanges.`,
      minutes: 10,
      because: finding('a part that cannot be renewed is beyond repair', call?.because.at(-1)),
      after: ['inspected'],
    }),
    sign(c, ['release.condemn']),
  ];
}

function sign(c: Context, after: string[]): Draft {
  return draft({
    id: 'release.sign',
    stage: 'release',
    title: c.condemned ? 'Sign the report' : 'Sign the certificate',
    why: 'As found, as left, and who did what, closed for good.',
    task: { kind: 'sign', months: c.site.nextDueMonths },
    minutes: 5,
    because: always('every job'),
    after,
  });
}
