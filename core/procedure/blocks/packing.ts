import { BOX as BOX_FIGURES, STEM } from '../../inspection';
import { must } from '../../problem';
import { si, type Length } from '../../quantity';
import { measuredLast } from '../../job';
import { closureOf, packedBox } from '../../valve';
import { packingRings } from '../../workings';
import { CAUTIONS } from '../cautions';
import type { ConsumableName } from '../consumables';
import { feature, type Context, type Draft } from '../draft';
import type { PackingTask, Task } from '../../task';
import { inspect, sequence } from '../sequence';
import { lengthAsk } from './asks';
import { countAsk, taken } from './taken';

/** The rings that go in. */
export function ringsFor({ features }: Context): ConsumableName[] {
  const box = packedBox(features);
  return box ? [`${box.style} packing`] : [];
}

export const BOX = feature('packed stuffing box');

/** Wood or steel: by the chamber, or by the site's school. */
export function oldPackingOut(
  c: Context,
): Pick<Draft, 'title' | 'why' | 'tools' | 'consumables' | 'task'> & { readonly caution: string } {
  const steel =
    c.site.schools.packingRemoval === 'hook' ||
    (c.site.schools.packingRemoval === 'by chamber' && packedBox(c.features)?.chamber === 'plain');
  return {
    title: c.has('lantern ring') ? 'Old packing and lantern ring out' : 'Push the old packing out',
    why: c.has('lantern ring')
      ? 'Count them as they come, above the lantern ring and below it: as found, and what the new set is held against.'
      : 'Count the rings as they come: as found, and what the new set is held against.',
    task: taken(
      ...(c.has('lantern ring')
        ? [
            countAsk('rings above the lantern ring', '4 pieces'),
            countAsk('rings below the lantern ring', '3 pieces'),
          ]
        : [countAsk('packing rings', '6 pieces')]),
    ),
    caution: steel
      ? 'A hook, or a screw pulled into a rigid ring: never against the stem or the wall.'
      : CAUTIONS.wood,
    tools: [steel ? 'packing hook' : 'wooden dowel'],
    consumables: ['packing solvent'],
  };
}

/** What else stands in the box, and takes its part of the depth. */
const LANTERN = lengthAsk('lantern ring height', '3/8 in');
const PORT = lengthAsk('depth to the lantern port', '1 in');
const ADAPTERS = lengthAsk('both adapters together', '1/2 in');

export function measuredBox(c: Context): Draft[] {
  return sequence(c, inspect(BOX, 'box measured'), [
    {
      id: 'inspect.box',
      title: 'Measure stem and stuffing box',
      why: 'The packing is cut to these, not to the sheet.',
      tools: ['caliper', 'inside micrometer'],
      parts: c.has('shaft')
        ? ['shaft']
        : c.has('bonnet') && c.works('bonnet')
          ? ['stem', 'bonnet']
          : ['stem'],
      minutes: 10,
      task: {
        kind: 'measure',
        asks: [
          lengthAsk(STEM.unworn, '1 in'),
          lengthAsk(STEM.worn, '1 in'),
          lengthAsk(BOX_FIGURES.bore, '1 1/2 in'),
          lengthAsk(BOX_FIGURES.depth, '2 in'),
          lengthAsk(BOX_FIGURES.entry, '1/4 in'),
          ...(c.has('lantern ring') ? [LANTERN, PORT] : []),
          ...(c.has('male adapter') ? [ADAPTERS] : []),
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
    stem: measuredLast(c.state, 'stem diameter', 'length') ?? c.features.stem.diameter,
    bore: measuredLast(c.state, 'box bore', 'length') ?? sheet.bore,
    depth: measuredLast(c.state, 'box depth', 'length') ?? sheet.depth,
    glandEntry: measuredLast(c.state, 'gland entry', 'length') ?? sheet.glandEntry,
  };
  if (!found.stem || !found.bore || !found.depth || !found.glandEntry) return { kind: 'do' };
  const input = {
    stem: found.stem,
    bore: found.bore,
    depth: found.depth,
    glandEntry: found.glandEntry,
    style: sheet.style,
    ...known('lanternRing', measuredLast(c.state, LANTERN.what, 'length')),
    ...known('portDepth', measuredLast(c.state, PORT.what, 'length')),
    ...known('bottomBushing', measuredLast(c.state, ADAPTERS.what, 'length')),
  };
  const worked = packingRings.work(input);
  if (!worked.ok) return { kind: 'do' };
  const { rings, ringsBelowLantern: below, section, length } = must(worked).result;
  return {
    kind: 'packing',
    rings,
    ...(below === undefined ? {} : { below }),
    section,
    length,
    opened: openedHow(c, sheet.style),
    stem: input.stem,
    bore: input.bore,
    stagger: rings >= 4 ? c.site.jointStagger : 180,
    ...countedOut(c),
    ...liesHow(c, sheet.style),
    shown: worked.value,
  };
}

const COUNTED = ['packing rings', 'rings above the lantern ring', 'rings below the lantern ring'];

/** What was counted as it came out. */
function countedOut({ state }: Context): { readonly found?: number } {
  const counts = COUNTED.flatMap((what) => {
    const value = state.records.measured.findLast(({ body }) => body.what === what)?.body.value;
    return value ? [si(value)] : [];
  });
  return counts.length === 0 ? {} : { found: counts.reduce((sum, each) => sum + each, 0) };
}

/** V-rings open to the pressure; a chamber packed on a mandrel has braided rings at both ends (common practice). */
function liesHow({ features }: Context, style: string): { readonly lies?: string } {
  if (style === 'v-ring')
    return { lies: 'the open side of each V to the pressure, the adapters against flat sides' };
  return features.joint.kind === 'clamped-yoke'
    ? { lies: 'braided first and last, their slots 180° apart; the die-formed between them whole' }
    : {};
}

/** Braided rope is skived; rings round a shaft that stays are cut once, radially; formed ones go on whole (common practice). */
function openedHow({ features }: Context, style: string): PackingTask['opened'] {
  if (closureOf(features).repackedInPlace) return 'cut radially';
  return style === 'braided' ? 'cut at 45°' : 'whole';
}

const known = <K extends string>(name: K, value: Length | undefined) =>
  (value === undefined ? {} : { [name]: value }) as Partial<Record<K, Length>>;
