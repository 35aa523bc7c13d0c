import { must } from '../../problem';
import { quantity, type Torque } from '../../quantity';
import { parseThread, type StudMaterial } from '../../standards';
import { boltedJoint, packedBox } from '../../valve';
import { boltingSequence, boltingTorque } from '../../workings';
import type { Context, Shown, Task } from '../draft';

/** The bolt-up as it will be judged: torque from the maker's sheet, else computed; order and passes by the site. */
export function boltUp({ features, site }: Context): Task {
  const joint = boltedJoint(features);
  if (!joint) return { kind: 'do' };
  const { bolts, thread, studMaterial, makersTorque } = joint;
  if (bolts === undefined) return { kind: 'wants', wants: ['bolts'] };
  const torque = makersTorque
    ? fromSheet(makersTorque)
    : computed(thread, studMaterial ?? 'B7', site.nutFactor, site.yieldPercent);
  if (!torque) return { kind: 'wants', wants: ['thread'] };
  return inPasses(bolts, torque, site);
}

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

const sheet = {
  steps: [],
  notes: ['Typed once from the sheet on file.'],
  source: { standing: 'maker', name: "Maker's torque sheet" },
} as const;

function fromSheet(torque: Torque): { torque: Torque; shown: Shown } {
  return { torque, shown: sheet };
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
export function glandTightness({ features, site }: Context): string {
  const box = packedBox(features);
  if (site.schools.glandTightness === 'by sheet' && box?.glandTorque) {
    return 'To the torque on file, stroke three times; repeat torque and strokes three times more.';
  }
  if (box?.style === 'die-formed')
    return 'Touch, one turn, stroke three times, touch again. Die-formed rings want a torque: put one on file.';
  return 'Touch, then one turn on soft packing, the gap the same both sides; stroke three times, touch again.';
}
