import { notInTable, ok, type Result } from '../problem';
import { psig, type GaugePressure } from '../quantity';
import { standard } from './source';

/** Pressure classes of ASME B16.34 carried here. */
export const PRESSURE_CLASSES = [150, 300, 600, 900, 1500, 2500] as const;
export type PressureClass = (typeof PRESSURE_CLASSES)[number];

export const MATERIAL_GROUPS = [
  '1.1',
  '1.2',
  '1.3',
  '1.5',
  '1.9',
  '1.10',
  '1.13',
  '1.15',
  '2.1',
  '2.2',
  '2.3',
  '2.4',
  '2.5',
  '2.8',
  '3.4',
] as const;
export type MaterialGroup = (typeof MATERIAL_GROUPS)[number];

/** What the groups are, in the words of the shop. */
export const GROUP_NAMES: Readonly<Record<MaterialGroup, string>> = {
  '1.1': 'cast carbon steel (WCB, A105)',
  '1.2': 'carbon steel WCC, LCC',
  '1.3': 'carbon steel LCB',
  '1.5': 'carbon-moly WC1, F1',
  '1.9': 'chrome-moly WC6',
  '1.10': 'chrome-moly WC9',
  '1.13': 'chrome-moly C5, F5a',
  '1.15': 'chrome-moly C12A, F91',
  '2.1': 'stainless CF8, CF3',
  '2.2': 'stainless CF8M, CF3M',
  '2.3': 'stainless 304L, 316L',
  '2.4': 'stainless 321',
  '2.5': 'stainless CF8C, 347',
  '2.8': 'duplex stainless',
  '3.4': 'nickel-copper M-35-1, N04400',
};

export const B16_34 = standard('ASME B16.34', 'pressure-temperature ratings, 2009 and later values');

/** Class 150 is absent where the standard stops rating it. */
type Row = readonly [fahrenheit: number, class150: number | undefined, ...psigByClass: number[]];

/** Rows that groups 1.10, 1.13 and 1.15 share: the ceiling of the standard, whatever the alloy. */
const ALLOY_TO_400: readonly Row[] = [
  [100, 290, 750, 1500, 2250, 3750, 6250],
  [200, 260, 750, 1500, 2250, 3750, 6250],
  [300, 230, 730, 1455, 2185, 3640, 6070],
  [400, 200, 705, 1410, 2115, 3530, 5880],
];
/** Rows that all chrome-moly groups share. */
const CHROME_MOLY: readonly Row[] = [
  [500, 170, 665, 1330, 1995, 3325, 5540],
  [600, 140, 605, 1210, 1815, 3025, 5040],
  [650, 125, 590, 1175, 1765, 2940, 4905],
  [700, 110, 570, 1135, 1705, 2840, 4730],
  [750, 95, 530, 1065, 1595, 2660, 4430],
  [800, 80, 510, 1015, 1525, 2540, 4230],
  [850, 65, 485, 975, 1460, 2435, 4060],
];

/**
 * Working pressure, psig, at °F, classes 150 to 2500, from memory: 1.1, 2.1 to 2.3 with high confidence, 1.2, 1.5, 1.9,
 * 2.4, 2.5 and 3.4 with medium to high, 1.3, 1.10 at 950 °F, 1.13, 1.15, 2.2 above 1000 °F and 2.8 with medium. A group ends where its rows
 * are not held with confidence. Between rows the rating is in proportion, over steps of 100 °F at the most.
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
    [200, 260, 750, 1500, 2250, 3750, 6250],
    [300, 230, 730, 1455, 2185, 3640, 6070],
    [400, 200, 705, 1405, 2110, 3520, 5865],
    [500, 170, 665, 1330, 1995, 3325, 5540],
    [600, 140, 605, 1210, 1815, 3025, 5040],
    [650, 125, 590, 1175, 1765, 2940, 4905],
    [700, 110, 555, 1110, 1665, 2775, 4630],
    [750, 95, 505, 1015, 1520, 2535, 4230],
    [800, 80, 410, 825, 1235, 2055, 3430],
  ],
  '1.3': [
    [100, 265, 695, 1395, 2090, 3480, 5805],
    [200, 255, 660, 1320, 1980, 3300, 5505],
    [300, 230, 640, 1275, 1915, 3190, 5315],
    [400, 200, 620, 1235, 1850, 3085, 5145],
    [500, 170, 585, 1175, 1760, 2930, 4885],
  ],
  '1.5': [
    [100, 265, 695, 1395, 2090, 3480, 5805],
    [200, 260, 695, 1395, 2090, 3480, 5805],
    [300, 230, 685, 1375, 2060, 3435, 5725],
    [400, 200, 660, 1325, 1985, 3310, 5520],
    [500, 170, 640, 1285, 1925, 3210, 5350],
    [600, 140, 605, 1210, 1815, 3025, 5040],
    [650, 125, 590, 1175, 1765, 2940, 4905],
    [700, 110, 570, 1135, 1705, 2840, 4730],
    [750, 95, 530, 1065, 1595, 2660, 4430],
    [800, 80, 510, 1015, 1525, 2540, 4230],
    [850, 65, 485, 975, 1460, 2435, 4060],
    [900, 50, 450, 900, 1350, 2245, 3745],
    [950, 35, 280, 560, 845, 1405, 2345],
    [1000, 20, 165, 330, 495, 825, 1370],
  ],
  '1.9': [
    [100, 290, 750, 1500, 2250, 3750, 6250],
    [200, 260, 750, 1500, 2250, 3750, 6250],
    [300, 230, 720, 1445, 2165, 3610, 6015],
    [400, 200, 695, 1385, 2080, 3465, 5775],
    ...CHROME_MOLY,
    [900, 50, 450, 900, 1350, 2245, 3745],
    [950, 35, 320, 640, 955, 1595, 2655],
    [1000, 20, 215, 430, 650, 1080, 1800],
  ],
  '1.10': [
    ...ALLOY_TO_400,
    ...CHROME_MOLY,
    [900, 50, 450, 900, 1350, 2245, 3745],
    [950, 35, 375, 755, 1130, 1885, 3145],
    [1000, 20, 265, 535, 800, 1335, 2230],
  ],
  '1.13': [
    ...ALLOY_TO_400,
    ...CHROME_MOLY,
    [900, 50, 370, 740, 1110, 1850, 3085],
    [950, 35, 275, 550, 825, 1370, 2285],
    [1000, 20, 200, 400, 595, 995, 1655],
  ],
  '1.15': [
    ...ALLOY_TO_400,
    ...CHROME_MOLY,
    [900, 50, 450, 900, 1350, 2245, 3745],
    [950, 35, 385, 775, 1160, 1930, 3220],
    [1000, 20, 365, 725, 1090, 1820, 3030],
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
    [850, 65, 395, 790, 1190, 1980, 3300],
    [900, 50, 390, 780, 1165, 1945, 3240],
    [950, 35, 380, 765, 1145, 1910, 3180],
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
    [850, 65, 420, 835, 1255, 2090, 3480],
    [900, 50, 415, 830, 1245, 2075, 3460],
    [950, 35, 385, 775, 1160, 1930, 3220],
    [1000, 20, 365, 725, 1090, 1820, 3030],
    [1050, undefined, 360, 720, 1080, 1800, 3000],
    [1100, undefined, 305, 610, 915, 1525, 2545],
    [1150, undefined, 235, 475, 710, 1185, 1970],
    [1200, undefined, 185, 370, 555, 925, 1545],
    [1250, undefined, 145, 295, 440, 735, 1230],
    [1300, undefined, 115, 235, 350, 585, 970],
    [1350, undefined, 95, 190, 290, 480, 800],
    [1400, undefined, 75, 150, 225, 380, 630],
    [1450, undefined, 60, 115, 175, 290, 485],
    [1500, undefined, 40, 85, 125, 205, 345],
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
  '2.4': [
    [100, 275, 720, 1440, 2160, 3600, 6000],
    [200, 245, 645, 1290, 1935, 3230, 5380],
    [300, 230, 595, 1190, 1785, 2975, 4960],
    [400, 200, 550, 1105, 1655, 2760, 4600],
    [500, 170, 515, 1030, 1545, 2570, 4285],
    [600, 140, 485, 975, 1460, 2435, 4060],
    [650, 125, 480, 955, 1435, 2390, 3980],
    [700, 110, 465, 930, 1395, 2330, 3880],
    [750, 95, 460, 915, 1375, 2290, 3820],
    [800, 80, 450, 900, 1355, 2255, 3760],
    [850, 65, 445, 895, 1340, 2230, 3720],
    [900, 50, 440, 885, 1325, 2210, 3680],
    [950, 35, 385, 775, 1160, 1930, 3220],
  ],
  '2.5': [
    [100, 275, 720, 1440, 2160, 3600, 6000],
    [200, 255, 660, 1325, 1985, 3310, 5520],
    [300, 230, 615, 1235, 1850, 3085, 5140],
    [400, 200, 575, 1150, 1730, 2880, 4800],
    [500, 170, 540, 1085, 1625, 2710, 4520],
    [600, 140, 515, 1030, 1550, 2580, 4300],
    [650, 125, 505, 1015, 1520, 2530, 4220],
    [700, 110, 495, 995, 1490, 2485, 4140],
    [750, 95, 490, 985, 1475, 2460, 4100],
    [800, 80, 485, 975, 1460, 2435, 4060],
    [850, 65, 485, 970, 1455, 2425, 4040],
    [900, 50, 450, 900, 1350, 2245, 3745],
    [950, 35, 385, 775, 1160, 1930, 3220],
    [1000, 20, 365, 725, 1090, 1820, 3030],
  ],
  '2.8': [
    [100, 290, 750, 1500, 2250, 3750, 6250],
    [200, 260, 720, 1440, 2160, 3600, 6000],
    [300, 230, 665, 1330, 1995, 3325, 5540],
    [400, 200, 615, 1230, 1845, 3070, 5120],
    [500, 170, 575, 1150, 1730, 2880, 4800],
    [600, 140, 555, 1115, 1670, 2785, 4640],
  ],
  '3.4': [
    [100, 230, 600, 1200, 1800, 3000, 5000],
    [200, 200, 530, 1055, 1585, 2640, 4400],
    [300, 190, 495, 990, 1485, 2470, 4120],
    [400, 185, 480, 955, 1435, 2390, 3980],
    [500, 170, 475, 950, 1425, 2375, 3960],
    [600, 140, 475, 950, 1425, 2375, 3960],
    [650, 125, 475, 950, 1425, 2375, 3960],
    [700, 110, 475, 950, 1425, 2375, 3960],
    [750, 95, 470, 935, 1405, 2340, 3900],
    [800, 80, 460, 915, 1375, 2290, 3820],
  ],
};

/** Coldest that a group is used at, °F: what its usual low-temperature grades are bought and impact tested for. */
const COLDEST_F: Readonly<Partial<Record<MaterialGroup, number>>> = {
  '1.2': -50,
  '1.3': -50,
  '2.1': -425,
  '2.2': -325,
  '2.3': -425,
  '2.4': -325,
  '2.5': -325,
  '2.8': -60,
  '3.4': -325,
};

/** What limits the use of a group, said beside a rating above (or below) these temperatures, °F. */
export const USE_LIMITS: Readonly<
  Partial<Record<MaterialGroup, readonly { readonly aboveF: number; readonly note: string }[]>>
> = {
  '1.1': [{ aboveF: 800, note: 'Carbon steel above 800 °F is not for long service: graphite forms.' }],
  '1.2': [
    { aboveF: 650, note: 'LCC is not for use above 650 °F; WCC is.' },
    { aboveF: 800, note: 'Carbon steel above 800 °F is not for long service: graphite forms.' },
  ],
  '1.3': [{ aboveF: 650, note: 'LCB is not for use above 650 °F.' }],
  '1.5': [{ aboveF: 850, note: 'Carbon-moly above 850 °F is not for long service: graphite forms.' }],
  '2.2': [{ aboveF: 1000, note: 'Above 1000 °F only with 0.04 % carbon and more, and class 300 and up.' }],
  '2.3': [{ aboveF: 800, note: 'Low-carbon grades are not for use above 800 to 850 °F.' }],
  '2.8': [{ aboveF: 600, note: 'Duplex grows brittle above 600 °F.' }],
};

/** Below this the material wants another look: impact tests, low-temperature grades. */
export const LEAST_TEMPERATURE_F = -20;
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

/**
 * The rating at a temperature: that of 100 °F below it, never more, in proportion between rows, refused outside the
 * table. Below −20 °F only for groups with grades that are bought for the cold.
 */
export function ratingAt(pressureClass: number, group: MaterialGroup, fahrenheit: number): Result<Rating> {
  const rows = RATINGS[group].map((row) => ({ fahrenheit: row[0], psig: inRow(row, pressureClass) }));
  const known = rows.flatMap(({ fahrenheit: at, psig: rating }) =>
    rating === undefined ? [] : [{ fahrenheit: at, psig: rating }],
  );
  const [first, last] = [known[0], known.at(-1)];
  if (!first || !last) return unlisted(pressureClass);
  const coldest = COLDEST_F[group] ?? LEAST_TEMPERATURE_F;
  if (fahrenheit < coldest || fahrenheit > last.fahrenheit)
    return notInTable(
      `ASME B16.34 group ${group}`,
      `${Math.round(fahrenheit)} °F`,
      `${coldest} to ${last.fahrenheit} °F`,
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
