import { phrase } from '../../quantity';
import { boltedJoint, moverOf, packedBox, type PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { draft, rule, type Context, type Draft, type Fragment } from '../draft';
import { closureProcedure } from '../closures';
import { jointProcedure } from '../joints';
import { stepName } from '../relations';
import { rebuild, sequence, strip } from '../sequence';
import { glandGap, glandTightness } from '../blocks/bolting';
import { BOX, measuredBox, oldPackingOut, packing, ringsFor } from '../blocks/packing';

/**
 * A gland on packing rings: off with the stem, old rings out, box measured, new rings after the joint is tight, never
 * before. On a later opening only where the stem has left its packing.
 */
export const stuffingBox: Fragment = {
  name: 'stuffing box',
  room: 'packing',
  openings: 'every',
  when: (features) =>
    packedBox(features) !== undefined &&
    !closureProcedure(features).packsItself &&
    !jointProcedure(features).packsItself,
  compose: (c) => {
    const stays = c.opening.number > 1 && wound(c);
    return stays
      ? [...nutsBack(c), ...settled(c)]
      : [...out(c), ...measuredBox(c), ...packed(c), ...settled(c)];
  },
};

/** A handwheel winds the stem through its bushing: opened again, it stays in its packing. */
const wound = ({ features }: Context): boolean => moverOf(features).stem === 'winds';

/** Formed graphite takes up what a bare hand leaves on it. */
const GLOVES: Readonly<Record<string, string>> = {
  'die-formed': 'Gloves: skin oil harms die-formed rings. ',
};

/** Repacked with the stem in it: nothing else is apart. */
const inPlace = ({ scope }: Context): boolean => scope === 'repack';

const box = (c: Context): readonly PartRole[] =>
  c.has('lantern ring') ? ['packing', 'lantern ring'] : ['packing'];

function out(c: Context): Draft[] {
  return sequence(
    c,
    strip(
      BOX,
      closureProcedure(c.features).packingFirst ? ['gland loose'] : ['stem out', 'gland loose'],
      'packing out',
    ),
    [
      {
        id: 'strip.gland',
        ...(inPlace(c)
          ? {
              title: 'Gland and flange up along the stem, wired clear of the box',
              why: 'The stem stays where it is: they cannot come off over it.',
            }
          : {
              title:
                c.features.stem.motion === 'rotary'
                  ? 'Gland and flange off the shaft'
                  : 'Gland and flange off with the stem',
              why: 'They come off over it.',
            }),
        off: ['gland', 'gland flange'],
        minutes: 2,
      },
      {
        id: 'strip.packing',
        ...oldPackingOut(c),
        off: box(c),
        minutes: 10,
      },
    ],
  );
}

function packed(c: Context): Draft[] {
  const lantern = c.has('lantern ring');
  const glandOn = wound(c) && !inPlace(c) ? [] : (['gland', 'gland flange'] as const);
  return sequence(c, rebuild(BOX, ['closed', 'plug in', 'box measured'], 'packed'), [
    {
      id: 'rebuild.pack',
      title: lantern
        ? 'Pack the box, the right number of rings below the lantern ring'
        : 'Pack the stuffing box',
      why: lantern
        ? 'The lantern ring stands at the lubricator port: one ring too few below it and no grease gets in.'
        : inPlace(c)
          ? 'Rings that are cut go round the stem where it stands; whole rings do not.'
          : boltedJoint(c.features)
            ? 'After the joint is torqued, never before: it moves as it is pulled down.'
            : 'Ring by ring: a stack pressed together is tight at the top only.',
      caution: `${inPlace(c) || !boltedJoint(c.features) ? '' : 'Never before the joint is torqued. '}${GLOVES[packedBox(c.features)?.style ?? ''] ?? ''}One ring at a time, pressed home.`,
      on: box(c),
      consumables: ringsFor(c),
      task: packing(c),
      minutes: 20,
    },
    {
      id: 'rebuild.gland',
      title: 'Gland down, nuts finger tight and even',
      why: 'Square to the stem, the same gap both sides.',
      caution: CAUTIONS.gland,
      on: [...glandOn, 'gland nuts'],
      parts: ['gland', 'gland flange'],
      minutes: 5,
    },
  ]);
}

/** The stem never left its packing: only the nuts that were taken off go back. */
function nutsBack(c: Context): Draft[] {
  return sequence(c, rebuild(BOX, ['closed'], 'packed'), [
    {
      id: 'rebuild.gland',
      title: 'Gland nuts back, finger tight and even',
      why: 'The packing is used again: the stem has not left it.',
      caution: CAUTIONS.gland,
      on: ['gland nuts'],
      minutes: 4,
    },
  ]);
}

/** Final gland tightness, after the first strokes have settled the rings. */
function settled(c: Context): Draft[] {
  return [
    draft({
      name: stepName('setup.gland'),
      stage: 'set up',
      ...(moverOf(c.features).byAir ? { benchAir: true } : {}),
      title: 'Gland: touch, one turn, stroke three times, touch again',
      why: phrase`Packing settles with the first strokes; a gland left slack weeps on test. ${glandTightness(c)} The same gap both sides, or it lies on the stem.`,
      caution: CAUTIONS.gland,
      parts: ['gland', 'gland flange', 'gland nuts'],
      tools: ['caliper'],
      task: glandGap,
      minutes: c.minutes(10),
      because: rule('final gland tightness'),
      after: ['rebuilt'],
      provides: ['set up', 'gland set'],
    }),
  ];
}
