import { valueIn } from '@dusk-wren/core/quantity';
import type { PartRole, Valve } from '@dusk-wren/core/valve';
import { packingRings } from '@dusk-wren/core/workings';
import type { Balloon, Fill, Section, Shape } from './section';

const CX = 230;
const WIDTH = 460;
const HEIGHT = 560;

/** A path given for the left half, and its mirror image on the right. */
function both(role: PartRole, d: string, fill: Fill): Shape[] {
  return [
    { role, d, fill },
    { role, d: mirrored(d), fill },
  ];
}

/** Absolute M, L, C, H and Z only: every x goes to the other side of the centre line. */
function mirrored(d: string): string {
  return d.replace(
    /([MLC])([^MLCHVZ]*)|H([\d.\s]+)|V([\d.\s]+)/g,
    (whole: string, letter?: string, points?: string, h?: string) => {
      if (h !== undefined) return `H${2 * CX - Number(h)}`;
      if (letter === undefined || points === undefined) return whole;
      const flipped = points
        .trim()
        .split(/[\s,]+/)
        .map((value, i) => (i % 2 === 0 ? String(2 * CX - Number(value)) : value));
      return `${letter}${flipped.join(' ')}`;
    },
  );
}

const box = (x: number, y: number, width: number, height: number) =>
  `M${x} ${y} L${x + width} ${y} L${x + width} ${y + height} L${x} ${y + height} Z`;

/** Proportions that follow from the valve: a thick stem looks thick, a deep box holds its rings, many studs stand close. */
function proportions({ features, nps }: Valve) {
  const stemIn = features.stem.diameter ? valueIn(features.stem.diameter, 'in') : 1;
  const boreIn = features.packing.bore ? valueIn(features.packing.bore, 'in') : stemIn * 1.6;
  const stem = Math.min(12, Math.max(7, (stemIn / (nps ?? 3)) * 25));
  const packing = features.packing;
  const worked =
    packing.bore && packing.depth && packing.glandEntry && features.stem.diameter
      ? packingRings.work({
          stem: features.stem.diameter,
          bore: packing.bore,
          depth: packing.depth,
          glandEntry: packing.glandEntry,
          style: packing.style,
        })
      : undefined;
  return {
    stem,
    bore: Math.min(34, Math.max(stem + 12, stem * (boreIn / stemIn) * 1.15)),
    rings: worked?.ok ? Math.min(10, worked.value.result.rings) : 5,
  };
}

/** The section of a bolted-bonnet globe valve, generated from its features: a drawing in our own style. */
export function globeSection(valve: Valve): Section {
  const { stem, bore, rings } = proportions(valve);
  const s = CX - stem;
  const b = CX - bore;
  const integral = valve.features.seat.kind === 'integral';
  return {
    width: WIDTH,
    height: HEIGHT,
    shapes: [
      ...body(integral),
      ...seat(integral),
      ...bonnet(s, b, valve.features.backseat),
      ...stemAndDisc(s),
      ...gland(s, b),
      ...packing(s, b, rings),
      ...joint(),
      ...bushing(s),
      ...wheel(),
    ],
    threads: threadLines(s),
    centreLines: `M${CX} 8 V${HEIGHT - 12} M14 ${AXIS} H${WIDTH - 14}`,
    flow: `M40 ${AXIS + 26} h52 l-10 -6 m10 6 l-10 6`,
    balloons: balloons(s, b),
  };
}

const AXIS = 428;

function body(integral: boolean): Shape[] {
  const web = integral ? 204 : 190;
  const inlet = `M30 370 L47 370 L47 384 L82 384 C108 384 118 364 124 340 L128 322 L110 322 L110 300 L174 300 L174 328 C170 352 164 364 168 374 C172 388 182 394 ${web} 396 L${web} 422 C150 420 132 402 96 401 L30 401 Z`;
  const outlet =
    'M430 370 L413 370 L413 384 L378 384 C352 384 342 364 336 340 L332 322 L350 322 L350 300 L286 300 L286 328 C292 372 326 401 368 401 L430 401 Z';
  const right = 460 - web;
  const floor = `M30 456 L96 456 C136 460 158 494 206 497 C248 498 270 470 ${right - 2} 440 L${right} 396 C296 399 306 428 322 444 C334 456 352 456 372 456 L430 456 L430 487 L413 487 L413 473 L384 473 C350 473 336 500 302 514 C262 532 190 532 152 512 C118 494 110 473 82 473 L47 473 L47 487 L30 487 Z`;
  return [inlet, outlet, floor].map((d) => ({ role: 'body' as const, d, fill: 'hatch' as const }));
}

function seat(integral: boolean): Shape[] {
  const outer = integral ? 203 : 190;
  const d = `M${outer} 392 L${outer} 424 L208 424 L208 402 L216 390 L${outer + 4} 390 Z`;
  return both('seat', d, integral ? 'hatch' : 'hatch-back');
}

function bonnet(s: number, b: number, backseat: boolean): Shape[] {
  const nose = backseat ? `L${s - 2} 296 L${s - 8} 312 L178 312 L178 299` : `L${s - 2} 312 L178 312 L178 299`;
  return [
    ...both(
      'bonnet',
      `M110 276 L146 276 C160 274 166 262 170 240 L178 206 L${b} 206 L${b} 284 L${s - 2} 284 ${nose} L110 299 Z`,
      'hatch-back',
    ),
    ...both(
      'yoke',
      `M178 214 C150 190 142 142 158 100 L168 84 L${s - 18} 84 L${s - 18} 104 L182 104 C170 134 168 170 190 204 L190 214 Z`,
      'hatch-back',
    ),
  ];
}

function stemAndDisc(s: number): Shape[] {
  const e = 2 * CX - s;
  return [
    {
      role: 'stem',
      d: `M${s} 50 L${e} 50 L${e} 330 L${e + 7} 338 L${e + 7} 346 L${e} 350 L${e} 366 L${s} 366 L${s} 350 L${s - 7} 346 L${s - 7} 338 L${s} 330 Z`,
      fill: 'hatch',
    },
    {
      role: 'disc',
      d: `M198 348 L${s - 3} 348 L${s - 3} 369 L${e + 3} 369 L${e + 3} 348 L262 348 L262 366 L244 390 L216 390 L198 366 Z`,
      fill: 'hatch-back',
    },
    ...both('disc', `M${s - 14} 341 L${s - 1} 341 L${s - 1} 348 L${s - 14} 348 Z`, 'solid'),
  ];
}

function gland(s: number, b: number): Shape[] {
  return [
    ...both('gland', `M${b + 1} 190 L${s - 1} 190 L${s - 1} 222 L${b + 1} 222 Z`, 'hatch'),
    ...both('gland flange', `M176 178 L${s - 2} 178 L${s - 2} 190 L176 190 Z`, 'hatch-back'),
    ...both('gland nuts', `${box(184, 160, 6, 52)} ${box(179, 166, 16, 12)}`, 'solid'),
  ];
}

function packing(s: number, b: number, rings: number): Shape[] {
  const [top, bottom] = [224, 282];
  const height = (bottom - top) / rings;
  return Array.from({ length: rings }, (_, i) =>
    both('packing', box(b + 1, top + i * height, s - b - 2, height - 1), 'cross'),
  ).flat();
}

function joint(): Shape[] {
  return [
    ...both('bonnet gasket', box(142, 296, 36, 6), 'solid'),
    ...both(
      'bonnet studs',
      `${box(122, 258, 8, 84)} ${box(116, 264, 20, 12)} ${box(116, 322, 20, 11)}`,
      'solid',
    ),
  ];
}

function bushing(s: number): Shape[] {
  return both(
    'stem bushing',
    `M${s - 18} 78 L${s - 1} 78 L${s - 1} 126 L${s - 12} 126 L${s - 12} 106 L${s - 18} 106 Z`,
    'hatch',
  );
}

function wheel(): Shape[] {
  return [
    {
      role: 'handwheel',
      d: 'M214 52 L246 52 L246 68 L340 62 L340 54 L246 46 L214 46 L120 54 L120 62 L214 68 Z',
      fill: 'hatch-back',
    },
    ...both('handwheel', 'M120 49 C131 49 131 67 120 67 C109 67 109 49 120 49 Z', 'hatch'),
    { role: 'wheel nut', d: box(218, 32, 24, 14), fill: 'solid' },
  ];
}

function threadLines(s: number): string {
  const e = 2 * CX - s;
  return Array.from({ length: 13 }, (_, i) => `M${s} ${80 + i * 7} L${e} ${77 + i * 7}`).join(' ');
}

function balloons(s: number, b: number): Balloon[] {
  const e = 2 * CX - s;
  const at = (role: PartRole, x: number, y: number, side: Balloon['side']): Balloon => ({
    role,
    at: [x, y],
    side,
  });
  return [
    at('wheel nut', 240, 38, 'right'),
    at('handwheel', 330, 58, 'right'),
    at('gland nuts', 272, 172, 'right'),
    at('gland flange', 180, 184, 'left'),
    at('gland', e + 8, 206, 'right'),
    at('bonnet studs', 126, 330, 'left'),
    at('bonnet', 150, 288, 'left'),
    at('yoke', 158, 150, 'left'),
    at('stem bushing', s - 8, 98, 'left'),
    at('bonnet gasket', 312, 299, 'right'),
    at('stem', CX, 138, 'left'),
    at('packing', 2 * CX - b - 6, 252, 'right'),
    at('disc', 254, 360, 'right'),
    at('seat', 198, 408, 'left'),
    at('body', 300, 500, 'right'),
  ];
}
