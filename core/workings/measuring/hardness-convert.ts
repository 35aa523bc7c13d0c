import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { formatNumber } from '../../quantity';
import { ASTM_E140, HARDNESS_ROWS, LEAST_HRC, NACE_HRC, SOFT_HB_PER_HV } from '../../standards';
import { choiceField, numberField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const SCALES = ['HB', 'HRC', 'HV'] as const;
type Scale = (typeof SCALES)[number];

const input = z.strictObject({
  value: numberField({ label: 'Hardness', example: '240' }, 1, 1000),
  scale: choiceField(
    SCALES,
    { label: 'Scale' },
    { HBW: 'HB', Brinell: 'HB', Rockwell: 'HRC', Vickers: 'HV' },
  ),
});

export interface HardnessConverted {
  HB: number;
  HRC?: number;
  HV: number;
  sourLimit: 'within' | 'over';
}

/**
 * Hardness of carbon and low-alloy steel in Brinell, Rockwell C and Vickers; no Rockwell C under 20, where the scale
 * ends. `sourLimit` says whether it is within the 22 HRC that sour service allows these steels.
 * Errors: a hardness outside the table (HRC 20 to 65, HB 80 to 739, HV 84 to 832).
 * Source: ASTM E140 for non-austenitic steels, ISO 18265 below HRC 20; NACE MR0175/ISO 15156 for the limit. From memory.
 * Example: 22 HRC → HB 237, HV 248, within.
 */
export const hardnessConvert: Working<typeof input, HardnessConverted> = {
  id: 'hardness.convert',
  title: 'Hardness: Brinell, Rockwell, Vickers',
  asks: ['hardness', 'hrc', 'brinell', 'vickers', 'nace', 'sour', 'h2s'],
  meaning: 'The same hardness on three scales, and whether it is within the limit for sour service.',
  input,
  results: { HB: 'Brinell', HRC: 'Rockwell C', HV: 'Vickers', sourLimit: 'Limit of 22 HRC' },
  source: ASTM_E140,
  work: ({ value, scale }): Result<Worked<HardnessConverted>> => {
    const HV = vickersOf(value, scale);
    if (HV === undefined)
      return outOfRange('value', formatNumber(value, 1), RANGES[scale], 'the table ends there');
    const HB = scale === 'HB' ? value : between(HV, 'HV', 'HB');
    const HRC =
      scale === 'HRC' ? value : HV >= HARDNESS_ROWS[0].HV - 1e-9 ? between(HV, 'HV', 'HRC') : undefined;
    const sourLimit = HRC !== undefined && HRC > NACE_HRC + 1e-9 ? 'over' : 'within';
    return ok({
      result: { HB, ...(HRC === undefined ? {} : { HRC }), HV, sourLimit },
      steps: [
        line(
          'On the other scales',
          'by table, straight between its rows',
          `${formatNumber(value, 1)} ${scale}`,
          `HB ${formatNumber(HB, 0)}, ${HRC === undefined ? 'under HRC 20' : `HRC ${formatNumber(HRC, 1)}`}, HV ${formatNumber(HV, 0)}`,
        ),
      ],
      notes: [
        'Carbon and low-alloy steel only: austenitic, duplex and nickel alloys convert otherwise and have limits of their own.',
        'A conversion is good to about 2 HRC: near the limit measure on the scale that the order names.',
      ],
      source: ASTM_E140,
    });
  },
};

const RANGES: Readonly<Record<Scale, string>> = {
  HB: 'Brinell 80 to 739',
  HRC: 'Rockwell C 20 to 65',
  HV: 'Vickers 84 to 832',
};
const LEAST_HB = 80;

/** Vickers of a value on any scale; undefined outside the table. */
function vickersOf(value: number, scale: Scale): number | undefined {
  const [first, last] = [HARDNESS_ROWS[0], HARDNESS_ROWS[HARDNESS_ROWS.length - 1] ?? HARDNESS_ROWS[0]];
  if (value > last[scale] || (scale === 'HRC' && value < LEAST_HRC)) return undefined;
  const hv =
    scale === 'HV' ? value : value < first[scale] ? value / SOFT_HB_PER_HV : between(value, scale, 'HV');
  return hv < LEAST_HB / SOFT_HB_PER_HV - 1e-9 ? undefined : hv;
}

/** From one scale to another; under the table Brinell is a fixed share of Vickers. */
function between(value: number, from: Scale, to: Scale): number {
  const above = HARDNESS_ROWS.findIndex((row) => row[from] >= value - 1e-9);
  if (above === 0 && value < HARDNESS_ROWS[0][from] - 1e-9) return value * SOFT_HB_PER_HV;
  const high = HARDNESS_ROWS[above] ?? HARDNESS_ROWS[0];
  const low = HARDNESS_ROWS[Math.max(0, above - 1)] ?? high;
  if (high[from] === low[from]) return high[to];
  return low[to] + ((value - low[from]) / (high[from] - low[from])) * (high[to] - low[to]);
}
