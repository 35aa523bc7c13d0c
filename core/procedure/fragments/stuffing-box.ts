import { must } from '../../problem';
import type { Length } from '../../quantity';
import { packedBox, type PartRole } from '../../valve';
import { packingRings } from '../../workings';
import { CAUTIONS } from '../cautions';
import { draft, feature, rule, type Context, type Draft, type Fragment, type Task } from '../draft';
import { inspect, rebuild, sequence, strip } from '../sequence';
import { glandTightness } from './bolting';

const BOX = feature('packed stuffing box');

/**
 * A gland on packing rings: off with the stem, old rings out, box measured, new rings after the joint is tight, never
 * before. On a later opening only where the stem has left its packing.
 */
export const stuffingBox: Fragment = {
  name: 'stuffing box',
  openings: 'every',
  when: ({ packing, closure }) =>
    'chamber' in packing && !['captive-disc', 'eccentric-plug', 'taper-plug'].includes(closure.kind),
  compose: (c) => {
    const stays = c.opening.number > 1 && c.features.moved.kind === 'handwheel';
    if (stays) return c.condemned ? [] : [...nutsBack(c), ...settled(c)];
    return [...out(c), ...measuredBox(c), ...(c.condemned ? [] : [...packed(c), ...settled(c)])];
  },
};

const box = (c: Context): readonly PartRole[] =>
  c.has('lantern ring') ? ['packing', 'lantern ring'] : ['packing'];

function out(c: Context): Draft[] {
  return sequence(c, strip(BOX, ['stem out', 'strip.gland-nuts']), [
    {
      id: 'strip.gland',
      title:
        c.features.stem.motion === 'rotary'
          ? 'Gland and flange off the shaft'
          : 'Gland and flange off with the stem',
      why: 'They come off over it.',
      off: ['gland', 'gland flange'],
      minutes: 2,
    },
    {
      id: 'strip.packing',
      ...oldPackingOut(c),
      off: box(c),
      minutes: 10,
    },
  ]);
}

/** Wood or steel: by the chamber, or by the site's school. */
export function oldPackingOut(c: Context) {
  const steel =
    c.site.schools.packingRemoval === 'hook' ||
    (c.site.schools.packingRemoval === 'by chamber' && packedBox(c.features)?.chamber === 'plain');
  return {
    title: c.has('lantern ring') ? 'Old packing and lantern ring out' : 'Push the old packing out',
    why: c.has('lantern ring')
      ? 'Count the rings below the lantern ring: the same number goes back there.'
      : 'Count the rings as they come: the count is as found.',
    caution: steel
      ? 'A hook, or a screw pulled into a rigid ring: never against the stem or the wall.'
      : CAUTIONS.wood,
    tools: [steel ? 'packing hook' : 'wooden dowel'],
    consumables: ['packing solvent'],
  };
}

export function measuredBox(c: Context): Draft[] {
  if (c.opening.number > 1) return [];
  const at = (what: string, example: string) => ({
    what,
    dimension: 'length' as const,
    example,
    instrument: 'caliper' as const,
  });
  return sequence(c, inspect(BOX), [
    {
      id: 'inspect.box',
      title: 'Measure stem and stuffing box',
      why: 'The packing is cut to these, not to the sheet.',
      tools: ['caliper', 'inside micrometer'],
      parts: c.has('shaft') ? ['shaft'] : c.has('bonnet') ? ['stem', 'bonnet'] : ['stem'],
      minutes: 10,
      task: {
        kind: 'measure',
        asks: [
          at('stem diameter', '1 in'),
          at('box bore', '1 1/2 in'),
          at('box depth', '2 in'),
          at('gland entry', '1/4 in'),
        ],
      },
    },
  ]);
}

function packed(c: Context): Draft[] {
  const lantern = c.has('lantern ring');
  const glandOn = c.features.moved.kind === 'handwheel' ? [] : (['gland', 'gland flange'] as const);
  return sequence(c, rebuild(BOX, ['closed', 'plug in', 'inspect.box', 'rebuild.clean'], 'packed'), [
    {
      id: 'rebuild.pack',
      title: lantern
        ? 'Pack the box, the right number of rings below the lantern ring'
        : 'Pack the stuffing box',
      why: lantern
        ? 'The lantern ring stands at the lubricator port: one ring too few below it and no grease gets in.'
        : 'After the bonnet is torqued, never before: it moves as it is pulled down.',
      caution:
        'Never before the joint is torqued. Gloves: skin oil harms die-formed rings. One ring at a time, pressed home.',
      on: box(c),
      consumables: [`${c.features.packing.style} packing`],
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
      id: c.id('setup.gland'),
      stage: 'set up',
      title: 'Gland: touch, one turn, stroke three times, touch again',
      why: `Packing settles with the first strokes; a gland left slack weeps on test. ${glandTightness(c)}`,
      caution: CAUTIONS.gland,
      parts: ['gland', 'gland flange', 'gland nuts'],
      minutes: c.minutes(10),
      because: rule('final gland tightness'),
      after: [c.id('rebuilt')],
      provides: [c.id('set up')],
    }),
  ];
}

/** Rings from what was measured on this valve; its sheet's figures stand in until then. */
export function packing(c: Context): Task {
  const sheet = packedBox(c.features);
  if (!sheet) return { kind: 'do' };
  const found = {
    stem: measured(c, 'stem diameter') ?? c.features.stem.diameter,
    bore: measured(c, 'box bore') ?? sheet.bore,
    depth: measured(c, 'box depth') ?? sheet.depth,
    glandEntry: measured(c, 'gland entry') ?? sheet.glandEntry,
  };
  if (!found.stem || !found.bore || !found.depth || !found.glandEntry) return { kind: 'do' };
  const input = {
    stem: found.stem,
    bore: found.bore,
    depth: found.depth,
    glandEntry: found.glandEntry,
    style: sheet.style,
  };
  const worked = packingRings.work(input);
  if (!worked.ok) return { kind: 'do' };
  const { rings, section, length } = must(worked).result;
  return {
    kind: 'packing',
    rings,
    section,
    length,
    stem: input.stem,
    bore: input.bore,
    stagger: rings >= 4 ? c.site.jointStagger : 180,
    shown: worked.value,
  };
}

function measured({ state }: Context, what: string): Length | undefined {
  const value = state.records.measured.findLast(({ body }) => body.what === what)?.body.value;
  return value?.dimension === 'length' ? { ...value, dimension: 'length' } : undefined;
}
