import { must } from '../../problem';
import type { Length } from '../../quantity';
import { stemLimit, siteOr } from '../../inspection';
import { packingRings } from '../../workings';
import { CAUTIONS } from '../cautions';
import { draft, feature, type Context, type Draft, type Fragment, type Task } from '../draft';
import { look } from '../looks';

const STEM = feature('rising stem in a packed box');

/** Stem, gland, packing, handwheel and bushing: out through the bonnet, measured, and back with new packing. */
export const risingStem: Fragment = {
  name: 'rising stem',
  openings: 'first',
  compose: (c) => [...strip(c), ...inspect(c), ...(c.condemned ? [] : rebuild(c))],
};

function strip({ minutes }: Context): Draft[] {
  const common = { stage: 'strip' as const, because: STEM, provides: ['stripped'] };
  return [
    draft({
      ...common,
      id: 'strip.wheel-nut',
      title: 'Slacken the handwheel nut',
      why: 'Easy while the valve still holds the stem.',
      parts: ['wheel nut'],
      minutes: minutes(3),
      after: ['strip.match-mark'],
    }),
    draft({
      ...common,
      id: 'strip.wheel',
      title: 'Wind to closed; nut and handwheel off',
      why: 'The stem then winds out downwards.',
      parts: ['wheel nut', 'handwheel'],
      minutes: minutes(5),
      after: ['strip.lift', 'strip.wheel-nut'],
    }),
    draft({
      ...common,
      id: 'strip.stem',
      title: 'Wind the stem out of the bonnet',
      why: 'By hand. If it binds, dress the thread rather than force it.',
      caution: CAUTIONS.stem,
      parts: ['stem'],
      minutes: minutes(6),
      after: ['strip.wheel'],
    }),
    draft({
      ...common,
      id: 'strip.gland',
      title: 'Gland and flange off with the stem',
      why: 'They come off over it.',
      parts: ['gland', 'gland flange'],
      minutes: minutes(2),
      after: ['strip.stem'],
    }),
    draft({
      ...common,
      id: 'strip.packing',
      title: 'Push the old packing out',
      why: 'Count the rings as they come: the count is as found.',
      caution: 'Wood or plastic only in a finished chamber: steel scores the wall.',
      parts: ['packing'],
      tools: ['wooden dowel'],
      consumables: ['packing solvent'],
      minutes: minutes(10),
      after: ['strip.gland'],
    }),
  ];
}

function inspect(c: Context): Draft[] {
  const common = {
    stage: 'inspect' as const,
    because: STEM,
    after: ['inspect.clean'],
    provides: ['inspected'],
  };
  return [
    draft({
      id: 'inspect.clean',
      stage: 'inspect',
      title: 'Clean every part and lay it in its place',
      why: 'Dirt reads as runout and hides cracks.',
      consumables: ['solvent', 'fine cloth'],
      minutes: c.minutes(15),
      because: STEM,
      after: ['stripped'],
      provides: ['inspected'],
    }),
    draft({
      ...common,
      id: 'inspect.runout',
      title: 'Runout of the stem on V-blocks',
      why: 'A bent stem leaks through good packing and wears its bushing.',
      tools: ['V-blocks, 90°', 'dial indicator'],
      parts: ['stem'],
      minutes: 15,
      task: { kind: 'runout', stations: 12, limit: stemLimit(c.valve, c.site), source: siteOr(c.site) },
    }),
    draft({
      ...common,
      ...look('stem'),
      id: 'inspect.stem',
      title: 'Stem: marks, and where they are',
      why: 'What matters is whether packing runs there.',
      minutes: 5,
    }),
    draft({
      ...common,
      id: 'inspect.box',
      title: 'Measure stem and stuffing box',
      why: 'The packing is cut to these, not to the sheet.',
      tools: ['caliper', 'inside micrometer'],
      parts: ['stem', 'bonnet'],
      minutes: 10,
      task: {
        kind: 'measure',
        asks: [
          { what: 'stem diameter', dimension: 'length', example: '1 in', instrument: 'caliper' },
          { what: 'box bore', dimension: 'length', example: '1 1/2 in', instrument: 'caliper' },
          { what: 'box depth', dimension: 'length', example: '2 in', instrument: 'caliper' },
          { what: 'gland entry', dimension: 'length', example: '1/4 in', instrument: 'caliper' },
        ],
      },
    }),
    draft({
      ...common,
      ...look('stem bushing'),
      id: 'inspect.bushing',
      title: 'Threads of the stem bushing',
      why: 'Worn through, system pressure pushes the valve open and it can no longer be closed.',
      minutes: 5,
    }),
    draft({
      ...common,
      ...look('gland'),
      id: 'inspect.gland',
      title: 'Gland and its flange',
      why: 'A scored or oval gland marks the new stem.',
      minutes: 3,
    }),
    draft({
      ...common,
      ...look('bonnet studs'),
      id: 'inspect.studs',
      title: 'Studs and nuts',
      why: 'A stretched or corroded stud gives a torque and no load.',
      minutes: 5,
    }),
    draft({
      ...common,
      ...look('bonnet'),
      id: 'inspect.bonnet-face',
      title: 'Joint face of the bonnet',
      why: 'A steam cut across the face leaks past any gasket.',
      minutes: 5,
    }),
    draft({
      ...common,
      ...look('body'),
      id: 'inspect.body-face',
      title: 'Joint face of the body, flanges, walls',
      why: 'A steam cut across the face leaks past any gasket.',
      minutes: 8,
    }),
  ];
}

function rebuild(c: Context): Draft[] {
  const { minutes } = c;
  const common = { stage: 'rebuild' as const, because: STEM, provides: ['rebuilt'] };
  return [
    draft({
      ...common,
      id: 'rebuild.stem-in',
      title: 'Grease; stem up, gland over it, through the bushing',
      why: 'Every moving and threaded part is greased before it is hidden.',
      parts: ['stem', 'gland', 'gland flange', 'stem bushing'],
      consumables: ['stem grease for the service'],
      minutes: minutes(12),
      after: [
        'rebuild.clean',
        'arrive.stem',
        'arrive.stem-bushing',
        'repair.bushing',
        'arrive.gland',
        'arrive.disc',
      ],
    }),
    draft({
      ...common,
      id: 'rebuild.wheel',
      title: 'Handwheel and nut on',
      why: 'To wind the stem with.',
      parts: ['handwheel', 'wheel nut'],
      minutes: minutes(4),
      after: ['rebuild.stem-in'],
    }),
    draft({
      ...common,
      id: 'rebuild.open',
      title: 'Wind to near full open',
      why: 'The disc is clear of the seat when the bonnet goes down.',
      caution: CAUTIONS.discOpen,
      parts: ['disc'],
      minutes: 3,
      after: ['rebuild.wheel'],
    }),
    draft({
      ...common,
      id: 'rebuild.pack',
      title: 'Pack the stuffing box',
      why: 'After the bonnet is torqued, never before: it moves as it is pulled down.',
      caution: 'Gloves: skin oil harms die-formed rings. One ring at a time, pressed home.',
      parts: ['packing'],
      consumables: [`${c.valve.features.packing.style} packing`],
      task: packing(c),
      minutes: minutes(20),
      after: ['rebuild.bolt-up', 'inspect.box'],
    }),
    draft({
      ...common,
      id: 'rebuild.gland',
      title: 'Gland down, nuts finger tight and even',
      why: 'Square to the stem, the same gap both sides.',
      caution: CAUTIONS.gland,
      parts: ['gland', 'gland flange', 'gland nuts'],
      minutes: minutes(5),
      after: ['rebuild.pack'],
    }),
    draft({
      ...common,
      id: 'rebuild.grease-bushing',
      title: 'Grease the stem bushing',
      why: 'It carries the whole stem load in its thread.',
      parts: ['stem bushing'],
      consumables: ['stem grease for the service'],
      minutes: 3,
      after: ['rebuild.gland'],
    }),
    draft({
      id: 'setup.stroke',
      stage: 'set up',
      title: 'Wind open, closed and open again',
      why: 'The same feel all the way; a tight place is a bent stem or a crooked gland.',
      caution: CAUTIONS.seatLoad,
      parts: ['handwheel', 'stem'],
      minutes: 5,
      because: feature('moved by a handwheel'),
      after: ['rebuilt'],
      provides: ['set up'],
    }),
  ];
}

/** Rings from what was measured on this valve; its sheet's figures stand in until then. */
function packing(c: Context): Task {
  const { packing: box, stem } = c.valve.features;
  const found = {
    stem: measured(c, 'stem diameter') ?? stem.diameter,
    bore: measured(c, 'box bore') ?? box.bore,
    depth: measured(c, 'box depth') ?? box.depth,
    glandEntry: measured(c, 'gland entry') ?? box.glandEntry,
  };
  if (!found.stem || !found.bore || !found.depth || !found.glandEntry) return { kind: 'do' };
  const input = {
    stem: found.stem,
    bore: found.bore,
    depth: found.depth,
    glandEntry: found.glandEntry,
    style: box.style,
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
