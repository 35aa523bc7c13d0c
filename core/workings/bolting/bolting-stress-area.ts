import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { formatNumber, quantity, type Area, type Length } from '../../quantity';
import { B1_1, ISO_898_1, type Thread } from '../../standards';
import { threadField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const input = z.strictObject({ thread: threadField({ label: 'Thread', example: '3/4-10' }) });

export interface StressArea {
  area: Area;
  rootArea: Area;
}

/**
 * Tensile stress area of a thread, for stretch and torque: `π/4 (D − 0.9743/n)²` unified, `π/4 (d − 0.9382 p)²`
 * metric. The root area, for ASME VIII Appendix 2 sums, is another number: `π/4 (D − 1.3/n)²`.
 * Errors: a thread outside 1/4 to 4 in, M5 to M100. Source: ASME B1.1, ISO 898-1.
 * Example: 3/4-10 → 0.3345 in², root 0.302 in².
 */
export const boltingStressArea: Working<typeof input, StressArea> = {
  id: 'bolting.stress-area',
  title: 'Stress area of a thread',
  asks: ['stress area', 'tensile area', 'root area', 'thread', 'bolt area'],
  meaning: 'The area of a stud that carries the load, and the smaller root area that vessel codes use.',
  input,
  results: { area: 'Tensile stress area', rootArea: 'Root area' },
  source: B1_1,
  work: ({ thread }): Result<Worked<StressArea>> => {
    const area = stressArea(thread);
    const rootArea = areaOf(thread, ROOT);
    return ok({
      result: { area, rootArea },
      steps: [
        stressAreaStep(thread, area),
        line(
          'Root area',
          thread.series === 'unified' ? 'π/4 (D − 1.299/n)²' : 'π/4 (d − 1.2269 p)²',
          numbers(thread, ROOT),
          rootArea,
        ),
      ],
      notes: ['Torque and stretch go by the tensile area; ASME VIII Appendix 2 sums by the root area.'],
      source: thread.series === 'unified' ? B1_1 : ISO_898_1,
    });
  },
};

const TENSILE = { unified: 0.9743, metric: 0.9382 } as const;
const ROOT = { unified: 1.299038, metric: 1.226869 } as const;

function areaOf(thread: Thread, off: { unified: number; metric: number }): Area {
  return thread.series === 'unified'
    ? quantity('area', (Math.PI / 4) * (thread.diameterIn - off.unified / thread.perInch) ** 2, 'in²')
    : quantity('area', (Math.PI / 4) * (thread.diameterMm - off.metric * thread.pitchMm) ** 2, 'mm²');
}

const numbers = (thread: Thread, off: { unified: number; metric: number }): string =>
  thread.series === 'unified'
    ? `π/4 (${thread.diameterIn} − ${formatNumber(off.unified, 4)}/${thread.perInch})²`
    : `π/4 (${thread.diameterMm} − ${formatNumber(off.metric, 4)} × ${thread.pitchMm})²`;

/** Tensile stress area: `π/4 (D − 0.9743/n)²` unified (ASME B1.1), `π/4 (d − 0.9382 p)²` metric (ISO 898-1). */
export const stressArea = (thread: Thread): Area => areaOf(thread, TENSILE);

/** The line that shows where a stress area comes from. */
export function stressAreaStep(thread: Thread, area: Area): Step {
  const unified = thread.series === 'unified';
  return line(
    `Tensile stress area (${unified ? B1_1.name : ISO_898_1.name})`,
    unified ? 'At = π/4 (D − 0.9743/n)²' : 'As = π/4 (d − 0.9382 p)²',
    numbers(thread, TENSILE),
    area,
  );
}

/** Nominal diameter of a thread. */
export function nominalDiameter(thread: Thread): Length {
  return thread.series === 'unified'
    ? quantity('length', thread.diameterIn, 'in')
    : quantity('length', thread.diameterMm, 'mm');
}

/** Distance from thread to thread. */
export function pitchOf(thread: Thread): Length {
  return thread.series === 'unified'
    ? quantity('length', 1 / thread.perInch, 'in')
    : quantity('length', thread.pitchMm, 'mm');
}
