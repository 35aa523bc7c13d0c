import { notInTable, ok, type Result } from '../problem';
import { psig, type GaugePressure } from '../quantity';
import { standard } from './source';

/** Pressure classes of ASME B16.34 carried here. */
export const PRESSURE_CLASSES = [150, 300, 600, 900, 1500, 2500] as const;
export type PressureClass = (typeof PRESSURE_CLASSES)[number];

export const MATERIAL_GROUPS = ['1.1', '1.2', '1.3', '1.9', '1.10', '2.1', '2.2', '2.3', '2.8'] as const;
export type MaterialGroup = (typeof MATERIAL_GROUPS)[number];

/** What the groups are, in the words of the shop. */
export const GROUP_NAMES: Readonly<Record<MaterialGroup, string>> = {
  '1.1': 'cast carbon steel (WCB, A105)',
  '1.2': 'carbon steel WCC, LCC',
  '1.3': 'carbon steel LCB',
  '1.9': 'chrome-moly WC6',
  '1.10': 'chrome-moly WC9',
  '2.1': 'stainless CF8, CF3',
  '2.2': 'stainless CF8M, CF3M',
  '2.3': 'stainless 304L, 316L',
  '2.8': 'duplex stainless',
};

export const B16_34 = standard('ASME B16.34', 'pressure-temperature ratings, 2009 and later values');

type Row = readonly [fahrenheit: number, ...psigByClass: number[]];

/**
 * Working pressure, psig, at °F, classes 150 to 2500. Groups 1.2, 1.3, 1.9, 1.10 and 2.8 are carried at a few
 * temperatures only; between rows the rating is interpolated, which errs low where the curve is bowed upwards.
 */
export const RATINGS: Readonly<Record<MaterialGroup, readonly Row[]>> = {
  '1.1': [
    [100, 285, 740, 1480, 2220, 3705, 6170],
    [200, 260, 680, 1360, 2035, 3395, 5655],
    [300, 230, 655, 1310, 1965, 3270, 5450],
    [400, 200, 635, 1265, 1900, 3170, 5280],
    [500, 170, 605, 1205, 1810, 3015, 5025],
    [600, 140, 570, 1135, 1705, 2840, 4730],
    [650, 125, 550, 1100, 1650, 2745, 4575],
    [700, 110, 530, 1060, 1590, 2655, 4425],
    [750, 95, 505, 1015, 1520, 2535, 4230],
    [800, 80, 410, 825, 1235, 2055, 3430],
    [850, 65, 320, 640, 955, 1595, 2655],
    [900, 50, 230, 460, 690, 1150, 1915],
    [950, 35, 135, 275, 410, 685, 1145],
    [1000, 20, 85, 170, 255, 430, 715],
  ],
  '1.2': [
    [100, 290, 750, 1500, 2250, 3750, 6250],
    [500, 170, 665, 1330, 1995, 3325, 5540],
    [800, 80, 410, 825, 1235, 2055, 3430],
  ],
  '1.3': [
    [100, 265, 695, 1395, 2090, 3480, 5805],
    [500, 170, 585, 1175, 1760, 2930, 4885],
  ],
  '1.9': [
    [100, 290, 750, 1500, 2250, 3750, 6250],
    [500, 170, 665, 1330, 1995, 3325, 5540],
    [900, 50, 450, 900, 1350, 2245, 3745],
    [1000, 20, 215, 430, 650, 1080, 1800],
  ],
  '1.10': [
    [100, 290, 750, 1500, 2250, 3750, 6250],
    [500, 170, 665, 1330, 1995, 3325, 5540],
    [900, 50, 450, 900, 1350, 2245, 3745],
    [1000, 20, 265, 535, 800, 1335, 2230],
  ],
  '2.1': [
    [100, 275, 720, 1440, 2160, 3600, 6000],
    [200, 230, 600, 1200, 1800, 3000, 5000],
    [300, 205, 540, 1075, 1615, 2690, 4480],
    [400, 190, 495, 995, 1490, 2485, 4140],
    [500, 170, 465, 930, 1395, 2330, 3880],
    [600, 140, 440, 885, 1325, 2210, 3680],
    [650, 125, 430, 865, 1295, 2160, 3600],
    [700, 110, 420, 845, 1265, 2110, 3520],
    [750, 95, 415, 825, 1240, 2065, 3440],
    [800, 80, 405, 810, 1215, 2030, 3380],
  ],
  '2.2': [
    [100, 275, 720, 1440, 2160, 3600, 6000],
    [200, 235, 620, 1240, 1860, 3095, 5160],
    [300, 215, 560, 1120, 1680, 2795, 4660],
    [400, 195, 515, 1025, 1540, 2570, 4280],
    [500, 170, 480, 955, 1435, 2390, 3980],
    [600, 140, 450, 900, 1355, 2255, 3760],
    [650, 125, 440, 885, 1325, 2210, 3680],
    [700, 110, 435, 870, 1305, 2170, 3620],
    [750, 95, 425, 855, 1280, 2135, 3560],
    [800, 80, 420, 845, 1265, 2110, 3520],
  ],
  '2.3': [
    [100, 230, 600, 1200, 1800, 3000, 5000],
    [200, 195, 510, 1020, 1535, 2555, 4260],
    [300, 175, 455, 910, 1370, 2280, 3800],
    [400, 160, 420, 840, 1260, 2100, 3500],
    [500, 150, 395, 785, 1180, 1970, 3280],
    [600, 140, 370, 745, 1115, 1860, 3100],
    [650, 125, 365, 730, 1095, 1825, 3040],
    [700, 110, 360, 720, 1080, 1800, 3000],
    [750, 95, 355, 705, 1060, 1765, 2940],
    [800, 80, 345, 690, 1035, 1730, 2880],
  ],
  '2.8': [
    [100, 290, 750, 1500, 2250, 3750, 6250],
    [500, 170, 575, 1150, 1730, 2880, 4800],
  ],
};

/** Below this the material wants another look: impact tests, low-temperature grades. */
export const LEAST_TEMPERATURE_F = -20;
/** Carbon steel above this is not for long service: graphite forms. */
export const LONG_SERVICE_TO_F = 800;

/** Class 150 steel never rates above this line, psig at °F. */
export const class150Ceiling = (fahrenheit: number): number => 320 - 0.3 * fahrenheit;

/** Class 800 (API 602) and other classes between two listed ones, by proportion. */
const BETWEEN_CLASSES = [800] as const;
export const RATED_CLASSES: readonly number[] = [...PRESSURE_CLASSES, ...BETWEEN_CLASSES].sort(
  (a, b) => a - b,
);

const unlisted = (pressureClass: number) =>
  notInTable('ASME B16.34 classes', `class ${pressureClass}`, RATED_CLASSES.join(', '));

/** The rating of a row of the table for a class; class 800 lies between 600 and 900, to the nearest 5 psi. */
function inRow(row: Row, pressureClass: number): number | undefined {
  const [, ...pressures] = row;
  const column = PRESSURE_CLASSES.findIndex((each) => each === pressureClass);
  if (column >= 0) return pressures[column];
  if (!BETWEEN_CLASSES.some((each) => each === pressureClass)) return undefined;
  const above = PRESSURE_CLASSES.findIndex((each) => each > pressureClass);
  const [low, high] = [PRESSURE_CLASSES[above - 1], PRESSURE_CLASSES[above]];
  const [lowPsi, highPsi] = [pressures[above - 1], pressures[above]];
  if (low === undefined || high === undefined || lowPsi === undefined || highPsi === undefined)
    return undefined;
  return Math.round((lowPsi + ((highPsi - lowPsi) * (pressureClass - low)) / (high - low)) / 5) * 5;
}

/** The 100 °F rating of a class in a material group. */
export function ratingAt100F(pressureClass: number, group: MaterialGroup): Result<GaugePressure> {
  const row = RATINGS[group][0];
  const rating = row && inRow(row, pressureClass);
  return rating === undefined ? unlisted(pressureClass) : ok(psig(rating));
}

export interface Rating {
  readonly pressure: GaugePressure;
  /** The rows it lies between; one row when it is on one. */
  readonly rows: readonly { fahrenheit: number; psig: number }[];
}

/** The rating at a temperature: that of 100 °F below it, interpolated between rows, refused outside the table. */
export function ratingAt(pressureClass: number, group: MaterialGroup, fahrenheit: number): Result<Rating> {
  const rows = RATINGS[group].map((row) => ({ fahrenheit: row[0], psig: inRow(row, pressureClass) }));
  const known = rows.flatMap(({ fahrenheit: at, psig: rating }) =>
    rating === undefined ? [] : [{ fahrenheit: at, psig: rating }],
  );
  const [first, last] = [known[0], known.at(-1)];
  if (!first || !last) return unlisted(pressureClass);
  if (fahrenheit < LEAST_TEMPERATURE_F || fahrenheit > last.fahrenheit)
    return notInTable(
      `ASME B16.34 group ${group}`,
      `${Math.round(fahrenheit)} °F`,
      `${LEAST_TEMPERATURE_F} to ${last.fahrenheit} °F`,
    );
  if (fahrenheit <= first.fahrenheit) return ok({ pressure: psig(first.psig), rows: [first] });
  const next = known.findIndex((row) => row.fahrenheit >= fahrenheit);
  const [low, high] = [known[next - 1] ?? first, known[next] ?? last];
  if (high.fahrenheit === fahrenheit) return ok({ pressure: psig(high.psig), rows: [high] });
  const share = (fahrenheit - low.fahrenheit) / (high.fahrenheit - low.fahrenheit);
  const between = low.psig + (high.psig - low.psig) * share;
  const capped = pressureClass === 150 ? Math.min(between, class150Ceiling(fahrenheit)) : between;
  return ok({ pressure: psig(capped), rows: [low, high] });
}
