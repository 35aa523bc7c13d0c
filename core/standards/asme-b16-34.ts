import { ok, refuse, type Result } from '../problem';
import { psig, type GaugePressure } from '../quantity';
import { standard } from './source';

/** Pressure classes of ASME B16.34 carried here. */
export const PRESSURE_CLASSES = [150, 300, 600, 900, 1500, 2500] as const;
export type PressureClass = (typeof PRESSURE_CLASSES)[number];

export const MATERIAL_GROUPS = ['1.1', '1.2', '1.3', '1.9', '2.1', '2.2', '2.3', '2.8'] as const;
export type MaterialGroup = (typeof MATERIAL_GROUPS)[number];

/** What the groups are, in the words of the shop. */
export const GROUP_NAMES: Readonly<Record<MaterialGroup, string>> = {
  '1.1': 'cast carbon steel (WCB, A105)',
  '1.2': 'carbon steel WCC, LCC',
  '1.3': 'carbon steel LCB',
  '1.9': 'chrome-moly WC6',
  '2.1': 'stainless CF8, CF3',
  '2.2': 'stainless CF8M, CF3M',
  '2.3': 'stainless 304L, 316L',
  '2.8': 'duplex stainless',
};

export const B16_34 = standard('ASME B16.34', 'pressure-temperature ratings, 2009 and later values');

/** Working pressure at 100 °F (38 °C), psig, by class 150…2500. */
export const RATING_AT_100F: Readonly<Record<MaterialGroup, readonly number[]>> = {
  '1.1': [285, 740, 1480, 2220, 3705, 6170],
  '1.2': [290, 750, 1500, 2250, 3750, 6250],
  '1.3': [265, 695, 1395, 2090, 3480, 5805],
  '1.9': [290, 750, 1500, 2250, 3750, 6250],
  '2.1': [275, 720, 1440, 2160, 3600, 6000],
  '2.2': [275, 720, 1440, 2160, 3600, 6000],
  '2.3': [230, 600, 1200, 1800, 3000, 5000],
  '2.8': [290, 750, 1500, 2250, 3750, 6250],
};

/** The 100 °F rating of a class in a material group. */
export function ratingAt100F(pressureClass: number, group: MaterialGroup): Result<GaugePressure> {
  const column = PRESSURE_CLASSES.findIndex((each) => each === pressureClass);
  const rating = RATING_AT_100F[group][column];
  return rating === undefined
    ? refuse({
        code: 'table.no-entry',
        table: 'ASME B16.34 classes',
        looked: `class ${pressureClass}`,
        has: PRESSURE_CLASSES.join(', '),
      })
    : ok(psig(rating));
}
