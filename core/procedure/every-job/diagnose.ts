import { symptomsOf } from '../../diagnosis';
import { closureOf, packedBox } from '../../valve';
import { CAUTIONS } from '../cautions';
import { always, draft, feature, rule, type Context, type Draft, type Fragment } from '../draft';
import { stepName } from '../relations';
import { sequence, type Sketch } from '../sequence';

/**
 * What is tried before anything is opened, cheapest first: the rungs of the gland ladder, and whether a control valve
 * is truly seated. Each is wanted only when the valve shows the trouble.
 */
export const diagnose: Fragment = {
  name: 'diagnose',
  openings: 'first',
  compose: (c) => (c.place === 'bare' ? [] : [...place(c), ...glandLadder(c), ...seated(c)]),
};

/** The fault finder: nothing is repaired before the fault is placed. */
function place({ features }: Context): Draft[] {
  const symptoms = symptomsOf(features);
  if (symptoms.length === 0) return [];
  return [
    draft({
      name: stepName('diagnose.place'),
      stage: 'diagnose',
      title: 'Find where the fault lies',
      why: 'Halve the chain each time, gauges before spanners; nothing is adjusted until the fault is placed.',
      caution: 'It still holds pressure and air: it is looked at and read, not opened.',
      task: { kind: 'place', symptoms },
      optional: 'only where something is wrong with it: a routine overhaul has no fault to find',
      minutes: 15,
      because: always('the valve can still be tried'),
      after: ['received'],
      provides: ['diagnosed', 'traced'],
    }),
  ];
}

const GLAND_LEAKS = 'only if the gland leaks';

function glandLadder(c: Context): Draft[] {
  const { lantern } = c.features;
  if (!packedBox(c.features) || c.site.schools.leakingGland === 'repack' || !c.has('gland nuts')) return [];
  const lubricated = lantern.kind === 'lantern-ring' && lantern.lubricator;
  return sequence(
    c,
    {
      stage: 'diagnose',
      because: rule('school: lubricate, tighten, add, then repack'),
      after: ['received'],
      provides: ['diagnosed', 'traced'],
    },
    [
      lubricated && {
        id: 'diagnose.gland.lubricate',
        title: 'Lubricate the packing',
        why: 'Isolating valve shut, screw out, stick in, screw in five or six turns; isolating valve open; turn to force it in, not too hard or the stem sticks; stroke if the process allows; leave it full.',
        caution: 'The isolating valve is shut before the screw comes out: behind it is line pressure.',
        consumables: ['packing lubricant stick for the service'],
        parts: ['lubricator', 'isolating valve'],
        optional: GLAND_LEAKS,
        minutes: 10,
      },
      {
        id: 'diagnose.gland.tighten',
        title: 'Tighten the gland evenly',
        why: closureOf(c.features).repackedInPlace
          ? 'First try: both nuts evenly, each just enough to stop the weep. Only then is it repacked.'
          : 'Both nuts evenly, hand-tight plus one turn. Too tight is hysteresis, friction and a sticking stem.',
        caution: `A crooked flange ruins the stem. ${CAUTIONS.gland}`,
        parts: ['gland nuts', 'gland'],
        optional: GLAND_LEAKS,
        minutes: 5,
      },
    ],
  );
}

/** The rung that opens the box: only once the isolation is signed. */
export const ringsOnTop: Fragment = {
  name: 'rings on top',
  openings: 'first',
  of: ['sound'],
  room: 'packing',
  compose: (c) => {
    const { lantern } = c.features;
    const lubricated = lantern.kind === 'lantern-ring' && lantern.lubricator;
    if (c.place === 'bare' || c.scope !== 'overhaul' || c.site.schools.leakingGland === 'repack') return [];
    if (!lubricated || !packedBox(c.features) || !c.has('gland nuts')) return [];
    return sequence(
      c,
      {
        stage: 'strip',
        because: rule('school: lubricate, tighten, add, then repack'),
        after: ['isolated', 'received', 'diagnosed'],
        provides: [],
      },
      [
        {
          id: 'strip.gland-add',
          title: 'Add rings on top, as a temporary repair',
          why: 'Flange and gland wired up; pick out what you can, or pump old packing out with grease through the lubricator port. The lantern ring stays. 45° cut rope, angles overlapping, joints 180° apart; tamp with the gland; fill the box and no more. Look at the stem: scored, grooved or bellied is renewed.',
          caution: 'Nothing below the lantern ring is reached so: note the reason and a recall date.',
          task: { kind: 'do', writes: 'the reason, and the date to recall it for a full repack' },
          consumables: ['45° cut packing rope', 'packing lubricant stick for the service'],
          parts: ['packing', 'stem'],
          optional: 'only if it still leaks and the line cannot be spared',
          minutes: 30,
        },
      ],
    );
  },
};

const PASSES = 'only if it passes when shut';

function seated(c: Context): Draft[] {
  const { moved } = c.features;
  if (!('coupling' in moved) || moved.coupling !== 'screwed' || closureOf(c.features).repackedInPlace)
    return [];
  const sketches: readonly Sketch[] = [
    {
      id: 'diagnose.seated',
      title: 'Is it truly seated? Run the plug down by its lock nuts',
      why: 'Block and bypass. Loosen the lock nuts, run them down and lock them against each other; turn the stem by them. Full closing signal, then turn until the plug is felt to seat; strong friction means that it already is. Still passing: open up.',
      caution: `${CAUTIONS.grip} ${CAUTIONS.plugSeated}`,
      tools: ['two spanners'],
      parts: ['stem lock nuts', 'stem'],
      optional: PASSES,
      minutes: 15,
    },
  ];
  return sequence(
    c,
    {
      stage: 'diagnose',
      because: feature('plug coupled by a screwed stem'),
      after: ['received'],
      provides: ['diagnosed', 'traced'],
    },
    sketches,
  );
}
