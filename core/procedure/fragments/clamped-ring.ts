import { feature, type Fragment } from '../draft';
import { rebuild, sequence, strip } from '../sequence';

const RING = feature('seat ring clamped in the body');

/** A loose seat ring on a gasket, held by what stands on it. A caged plug brings its ring with its cage. */
export const clampedRing: Fragment = {
  name: 'clamped seat ring',
  openings: 'every',
  when: ({ closure, seat }) => closure.kind === 'swivel-disc' && seat.kind === 'clamped-ring',
  compose: (c) => {
    if (c.condemned && c.opening.number > 1) return [];
    return [
      ...sequence(c, strip(RING, ['bonnet off'], 'trim out'), [
        {
          id: 'strip.seat-ring',
          title: 'Seat ring and its gasket out',
          why: 'The gasket goes to scrap; clean both faces.',
          off: ['seat ring', 'seat gasket'],
          minutes: 5,
        },
      ]),
      ...(c.condemned
        ? []
        : sequence(c, rebuild(RING, ['rebuild.clean'], 'trim in'), [
            {
              id: 'rebuild.seat-ring',
              title: 'New seat gasket, then seat ring',
              why: 'Clamped when the bonnet goes down.',
              on: ['seat gasket', 'seat ring'],
              minutes: 4,
            },
          ])),
    ];
  },
};
