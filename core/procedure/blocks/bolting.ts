import { must } from '../../problem';
import { inches, phrase, quantity, thou, type Length, type Phrase, type Torque } from '../../quantity';
import { describeSource, parseThread, type StudMaterial } from '../../standards';
import { boltedJoint, makersGlandTorque, makersJointTorque, packedBox, type MakersFigure } from '../../valve';
import { boltingSequence, boltingTorque } from '../../workings';
import type { Context } from '../draft';
import type { Sketch } from '../sequence';
import { lengthAsk, orNought } from './asks';
import type { Shown, Task } from '../../task';

/** The bolt-up as it will be judged: torque from the maker's sheet, else computed; order and passes by the site. */
export function boltUp({ valve, features, site }: Context): Task {
  const joint = boltedJoint(features);
  if (!joint) return { kind: 'do' };
  const { bolts, thread, studMaterial } = joint;
  const byMaker = makersJointTorque(valve);
  if (bolts === undefined) return { kind: 'wants', wants: ['bolts'] };
  const torque = byMaker
    ? fromSheet(byMaker)
    : computed(thread, studMaterial ?? 'B7', site.nutFactor, site.yieldPercent);
  if (!torque) return { kind: 'wants', wants: ['thread'] };
  return inPasses(bolts, torque, site);
}

/** A flange of the line: its own studs by size and class, its own torque (ASME B16.5; B7 unless the site says otherwise). */
export function boltUpFlange({ site }: Context, studs: number, thread: string): Task | undefined {
  const { nutFactor, yieldPercent, passes, lowTorquePercent } = site;
  const asked = [studs, thread, nutFactor, yieldPercent, passes, lowTorquePercent].join(' ');
  const known = flanges.get(asked);
  if (known) return known;
  const torque = computed(thread, 'B7', nutFactor, yieldPercent);
  const task = torque && inPasses(studs, torque, site);
  if (task) flanges.set(asked, task);
  return task;
}

/** Flanges worked out before: plans are made for every entry of a job, and a line has few sizes. */
const flanges = new Map<string, Task>();

/** How even a joint, or a gland, must stand all round (common practice). */
const [JOINT_EVEN, GLAND_EVEN] = [thou(5), inches(1 / 64)];

/** The same gap at several places, none of it more than this from another. */
const evenGap = (places: readonly string[], within: Length, example: string): Task => ({
  kind: 'measure',
  asks: places.map((what) => orNought(lengthAsk(what, example))),
  agree: { what: places, within },
});

/** The joint gap by feeler at four points, once its bolts are at their torque: the flange has come down square, or not. */
export const jointGap = (of: string): Pick<Sketch, 'title' | 'why' | 'tools' | 'task' | 'minutes'> => ({
  title: `Gap of the ${of} at four points`,
  why: phrase`Largest less smallest within ${JOINT_EVEN}: more, and the gasket is crushed on one side only. Metal to metal there is no gap.`,
  tools: ['feeler gauges'],
  task: evenGap(
    [12, 3, 6, 9].map((hour) => `gap of the ${of} at ${hour} o’clock`),
    JOINT_EVEN,
    '60 thou',
  ),
  minutes: 4,
});

/** The gland’s gap on both sides, once it is set. */
export const glandGap: Task = evenGap(
  ['gland gap, one side', 'gland gap, the other side'],
  GLAND_EVEN,
  '1/4 in',
);

/** A joint whose torque is fixed by its construction rather than by its studs. */
export function boltUpTo(c: Context, bolts: number, torque: Torque, source: string): Task {
  return inPasses(
    bolts,
    {
      torque,
      shown: { steps: [], notes: [source], source: { standing: 'common-practice', name: 'Common practice' } },
    },
    c.site,
  );
}

function inPasses(
  bolts: number,
  { torque, shown }: { torque: Torque; shown: Shown },
  { passes, lowTorquePercent }: Context['site'],
): Task {
  const { result } = must(boltingSequence.work({ bolts, passes, torque }));
  return {
    kind: 'bolt-up',
    bolts,
    torque,
    passes: [...result.passes, result.circularPass],
    lowPercent: lowTorquePercent,
    shown,
  };
}

function fromSheet({ value, source }: MakersFigure<Torque>): { torque: Torque; shown: Shown } {
  return { torque: value, shown: { steps: [], notes: ['Typed once from the sheet on file.'], source } };
}

function computed(
  thread: string | undefined,
  material: StudMaterial,
  nutFactor: number,
  yieldPercent: number,
) {
  const parsed = thread === undefined ? undefined : parseThread(thread);
  if (!parsed?.ok) return undefined;
  const worked = boltingTorque.work({
    thread: parsed.value,
    nutFactor,
    material,
    percentYield: quantity('ratio', yieldPercent, '%'),
  });
  return worked.ok ? { torque: worked.value.result.torque, shown: worked.value } : undefined;
}

/** How the gland is left: to a figure where one is on file, by turns where there is none. */
export function glandTightness({ valve, features, site }: Context): Phrase {
  const box = packedBox(features);
  const byMaker = makersGlandTorque(valve);
  if (site.schools.glandTightness === 'by sheet' && byMaker) {
    return phrase`To the torque on file, ${byMaker.value} (${describeSource(byMaker.source)}), stroke three times; repeat torque and strokes three times more.`;
  }
  if (box?.style === 'die-formed')
    return 'Touch, one turn, stroke three times, touch again. Die-formed rings want a torque: put one on file.';
  return 'Touch, then one turn on soft packing, the gap the same both sides; stroke three times, touch again.';
}
