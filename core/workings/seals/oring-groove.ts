import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, quantity, si, valueIn, type Length, type Ratio } from '../../quantity';
import { AS568, backupsFor, dashSize, grooveFor, GROOVE_PRACTICE, GROOVE_USES } from '../../standards';
import { choiceField, numberField, quantityField, wordField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  size: wordField({
    label: 'Dash size',
    example: '-218',
    inExample: true,
    oneOf: { of: 'Which ring', as: 'dash size' },
  }).exactOptional(),
  insideDiameter: quantityField('length', {
    label: 'Inside diameter',
    oneOf: { of: 'Which ring', as: 'measured' },
    example: '1.234 in',
  }).exactOptional(),
  section: quantityField('length', {
    label: 'Section',
    example: '0.139 in',
    oneOf: { of: 'Which ring', as: 'measured' },
  }).exactOptional(),
  use: choiceField(GROOVE_USES, { label: 'Use' }),
  pressure: quantityField(
    'gauge pressure',
    { label: 'Pressure', example: '1500 psig' },
    'not negative',
  ).exactOptional(),
  hardness: numberField({ label: 'Hardness, Shore A', example: '70' }, 40, 100).exactOptional(),
  gap: quantityField('length', { label: 'Gap, radial', example: '2.5 thou' }, 'not negative').exactOptional(),
});

type Given = z.output<typeof input>;

export interface ORingGroove {
  depth: Length;
  width: Length;
  widthOneBackup: Length;
  widthTwoBackups: Length;
  squeeze: Ratio;
  fill: Ratio;
  backups: number;
}

/**
 * The groove of an O-ring by its section and use: depth from the bottom to the other face, the clearance included;
 * width without, with one and with two backup rings; squeeze = (section − depth) / section; fill = area of the section
 * over that of the groove without backups. Between the standard sections by their proportion. Backups by pressure,
 * hardness (70 unless given) and radial gap (2.5 thou unless given): one on the side away from the pressure, two where
 * it comes from both.
 * Errors: neither a size nor inside diameter and section; a size AS568 does not have; a section outside 1 to 12 mm.
 * Source: usual groove tables for AS568 sections, from memory; the maker's drawing wins.
 * Example: -218, static, radial → depth 0.112 in, squeeze 19 %.
 */
export const oringGroove: Working<typeof input, ORingGroove> = {
  id: 'oring.groove',
  title: 'Groove of an O-ring',
  asks: ['o-ring', 'groove', 'gland', 'backup ring', 'squeeze', 'extrusion', 'dash size'],
  meaning: 'How deep and wide the groove of an O-ring is, how full it gets, and whether it wants backups.',
  input,
  results: {
    depth: 'Depth, clearance included',
    width: 'Width',
    widthOneBackup: 'Width with one backup',
    widthTwoBackups: 'Width with two backups',
    squeeze: 'Squeeze, of the section',
    fill: 'Fill, by area',
    backups: 'Backups wanted',
  },
  source: GROOVE_PRACTICE,
  work: groove,
};

function groove(given: Given): Result<Worked<ORingGroove>> {
  const section = sectionOf(given);
  if (!section.ok) return section;
  const row = grooveFor(section.value, given.use);
  if (!row)
    return inConflict(
      ['section'],
      `A section of ${formatNumber(section.value, 3)} in is outside the usual ones, 0.04 to 0.48 in.`,
    );
  const sheet = sheetFor(given.section, given.insideDiameter, given.pressure, given.gap);
  const length = (inches: number) =>
    sheet.of('length', si(quantity('length', inches, 'in')), { US: 'in', SI: 'mm' });
  const ring = (Math.PI / 4) * section.value ** 2;
  const backups = given.pressure
    ? backupsFor(
        valueIn(given.pressure, 'psig'),
        given.hardness ?? USUAL_HARDNESS,
        given.gap ? valueIn(given.gap, 'in') : USUAL_GAP_IN,
      )
    : 0;
  const share = (value: number) => quantity('ratio', value * 100, '%');
  const [squeeze, fill] = [share(1 - row.depth / section.value), share(ring / (row.depth * row.width))];
  return ok({
    result: {
      depth: length(row.depth),
      width: length(row.width),
      widthOneBackup: length(row.oneBackup),
      widthTwoBackups: length(row.twoBackups),
      squeeze,
      fill,
      backups,
    },
    steps: [
      line(
        'Groove',
        `usual for a section of ${formatNumber(section.value, 3)} in, ${given.use}`,
        '',
        `${shown(length(row.depth))} × ${shown(length(row.width))}`,
      ),
      line(
        'Squeeze',
        '1 − depth / section',
        `${shown(length(row.depth))} / ${formatNumber(section.value, 3)} in`,
        squeeze,
      ),
      line('Fill', 'π/4 · section² / (depth · width)', '', fill),
    ],
    notes: [
      ...(given.pressure ? [] : ['Give the pressure to tell whether backup rings are wanted.']),
      ...(backups > 0
        ? ['One backup on the side away from the pressure; two where it comes from both sides.']
        : []),
      'Corners broken, no sharp edge where the ring passes; the maker’s drawing wins.',
    ],
    source: GROOVE_PRACTICE,
  });
}

const USUAL_HARDNESS = 70;
const USUAL_GAP_IN = 0.0025;

/** The section in inches, by the size or as given. */
function sectionOf({ size, insideDiameter, section }: Given): Result<number> {
  if (size !== undefined && !section && !insideDiameter) {
    const found = dashSize(size);
    return found ? ok(found.sectionIn) : inConflict(['size'], `“${size}” is no dash size of ${AS568.name}.`);
  }
  return size === undefined && section
    ? ok(valueIn(section, 'in'))
    : inConflict(['size', 'section'], 'Give the dash size, or the inside diameter and the section.');
}
