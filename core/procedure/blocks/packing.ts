import { must } from '../../problem';
import type { Length } from '../../quantity';
import { packedBox } from '../../valve';
import { packingRings } from '../../workings';
import { CAUTIONS } from '../cautions';
import type { ConsumableName } from '../consumables';
import { feature, type Context, type Draft } from '../draft';
import type { Task } from '../../task';
import { inspect, sequence } from '../sequence';
import { lengthAsk } from './asks';

/** The rings that go in. */
export function ringsFor({ features }: Context): ConsumableName[] {
  const box = packedBox(features);
  return box ? [`${box.style} packing`] : [];
}

export const BOX = feature('packed stuffing box');

/** Wood or steel: by the chamber, or by the site's school. */
export function oldPackingOut(
  c: Context,
): Pick<Draft, 'title' | 'why' | 'tools' | 'consumables'> & { readonly caution: string } {
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
  return sequence(c, inspect(BOX, 'box measured'), [
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
          lengthAsk('stem diameter', '1 in'),
          lengthAsk('box bore', '1 1/2 in'),
          lengthAsk('box depth', '2 in'),
          lengthAsk('gland entry', '1/4 in'),
        ],
      },
    },
  ]);
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
