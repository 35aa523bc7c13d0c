import { z } from 'zod';
import { inConflict, notInTable, ok, type Result } from '../../problem';
import {
  formatNumber,
  inches,
  quantity,
  quantityOf,
  si,
  type Force,
  type Ratio,
  type Stress,
  type Torque,
} from '../../quantity';
import {
  A193,
  B16_5,
  COMMON_PRACTICE,
  FLANGE_CLASSES,
  flangeStuds,
  flangeThread,
  formatSize,
  parseThread,
  STUD_MATERIALS,
  studYieldKsi,
  tabledDiameterIn,
  type Source,
} from '../../standards';
import { amountField, choiceField, factorField, quantityField, recordField, sizeField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { stressArea, stressAreaStep } from './bolting-stress-area';
import { gasketLoad } from './gasket-load';

const CLASS_NAMES = ['150', '300', '600', '900', '1500', '2500'] as const;

const input = z.strictObject({
  size: sizeField({ label: 'Flange size', example: 'NPS 4' }),
  class: choiceField(CLASS_NAMES, { label: 'Pressure class' }),
  gasket: recordField(
    {
      insideDiameter: quantityOf('length'),
      outsideDiameter: quantityOf('length'),
      factor: z.union([z.number(), z.string().transform(Number)]).pipe(z.number().min(0).max(20)),
      seatingStress: quantityOf('stress'),
      maxStress: quantityOf('stress').exactOptional(),
    },
    [
      { name: 'insideDiameter', label: 'inside diameter', example: '5 in' },
      { name: 'outsideDiameter', label: 'outside diameter', example: '5.88 in' },
      { name: 'factor', label: 'factor m', example: '3' },
      { name: 'seatingStress', label: 'seating stress y', example: '10,000 psi' },
      { name: 'maxStress', label: 'most it stands', example: '30,000 psi' },
    ],
    { label: 'Gasket', exampleRows: [['5 in', '5.88 in', '3', '10,000 psi', '']] },
  ),
  pressure: quantityField('gauge pressure', { label: 'Pressure', example: '150 psig' }, 'not negative'),
  material: choiceField(STUD_MATERIALS, { label: 'Stud material' }),
  nutFactor: factorField({ label: 'Nut factor K', example: '0.16' }, 0.05, 0.5),
  percentYield: amountField('ratio', '%', { label: 'Share of yield', example: '50 %' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface BoltedJointAnswer {
  torque: Torque;
  boltStress: Stress;
  appliedLoad: Force;
  requiredLoad: Force;
  gasketStress: Stress;
  margin: Ratio;
  verdict: 'fit' | 'not fit';
}

const SOURCE: Source = {
  ...COMMON_PRACTICE,
  name: 'Bolted joint as a whole: ASME B16.5, Appendix 2, T = K·D·F',
};
const USUAL_SHARE = 0.5;
const [LEAST_SHARE, MOST_SHARE] = [0.1, 0.9];

/**
 * A flanged joint as a whole: its studs by ASME B16.5, their load at a share of yield on the tensile stress area, what
 * the gasket needs (the larger of operating and seating, ASME VIII Appendix 2), the stress on the whole ring, and the
 * torque. Margin = applied load / required load − 1.
 * Verdict: `fit` when the margin is nought or more and the gasket is not crushed, else `not fit`.
 * Errors: a flange B16.5 does not have; a grade not made so thick; a gasket without a ring; a share of yield outside
 * 10 to 90 %. Source: ASME B16.5, ASTM A193, ASME BPVC VIII-1 Appendix 2.
 * Example: NPS 4 class 150, B7 at 50 %, K 0.16 → eight 5/8-11, 52.5 ksi.
 */
export const boltingJoint: Working<typeof input, BoltedJointAnswer> = {
  id: 'bolting.joint',
  title: 'Bolted joint: studs and gasket together',
  asks: ['joint', 'flange', 'gasket stress', 'will it hold', 'studs', 'torque', 'crushed gasket'],
  meaning: 'Whether the studs of a flange load its gasket enough and not too much, and the torque for it.',
  input,
  results: {
    torque: 'Torque',
    boltStress: 'Stress in the studs',
    appliedLoad: 'Load of all studs',
    requiredLoad: 'Load the gasket needs',
    gasketStress: 'Stress on the whole ring',
    margin: 'Applied over required, less one',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: joint,
};

function joint(given: Given): Result<Worked<BoltedJointAnswer>> {
  const flangeClass = FLANGE_CLASSES.find((each) => String(each) === given.class) ?? 150;
  const studs = flangeStuds(given.size.nps, flangeClass);
  if (!studs)
    return notInTable(
      B16_5.name,
      `${formatSize(given.size)} class ${given.class}`,
      'NPS 1/2 to 24, class 2500 to NPS 12',
    );
  const [count, diameterIn] = studs;
  const thread = parseThread(flangeThread(diameterIn));
  if (!thread.ok) return thread;
  const yieldKsi = studYieldKsi(given.material, tabledDiameterIn(thread.value, given.material));
  if (yieldKsi === undefined)
    return notInTable(A193.name, `${given.material} at ${diameterIn} in`, 'smaller diameters of this grade');
  const share = given.percentYield ? si(given.percentYield) : USUAL_SHARE;
  if (share < LEAST_SHARE || share > MOST_SHARE)
    return inConflict(
      ['percentYield'],
      `A share of ${formatNumber(share * 100, 2)} % of yield is a slip: 10 to 90 % are possible, 50 % is usual.`,
    );
  const { gasket } = given;
  const needs = gasketLoad.work({
    insideDiameter: gasket.insideDiameter,
    outsideDiameter: gasket.outsideDiameter,
    factor: gasket.factor,
    seatingStress: gasket.seatingStress,
    pressure: given.pressure,
  });
  if (!needs.ok) return needs;
  const area = stressArea(thread.value);
  const sheet = sheetFor(given.pressure, gasket.insideDiameter);
  const pascals = si(quantity('stress', yieldKsi * share, 'ksi'));
  const each = pascals * si(area);
  const ring = (Math.PI / 4) * (si(gasket.outsideDiameter) ** 2 - si(gasket.insideDiameter) ** 2);
  const required = si(needs.value.result.requiredLoad);
  const margin = (count * each) / required - 1;
  const onRing = (count * each) / ring;
  const isCrushed = gasket.maxStress !== undefined && onRing > si(gasket.maxStress) * (1 + 1e-9);
  const force = (newtons: number) => sheet.of('force', newtons, { US: 'lbf', SI: 'kN' });
  const stress = (value: number) => sheet.of('stress', value, { US: 'ksi', SI: 'MPa' });
  const torque = sheet.of('torque', given.nutFactor * si(inches(diameterIn)) * each);
  return ok({
    result: {
      torque,
      boltStress: stress(pascals),
      appliedLoad: force(count * each),
      requiredLoad: force(required),
      gasketStress: stress(onRing),
      margin: quantity('ratio', margin * 100, '%'),
      verdict: margin >= -1e-12 && !isCrushed ? 'fit' : 'not fit',
    },
    steps: [
      line(
        'Studs',
        `${B16_5.name}, ${formatSize(given.size)} class ${given.class}`,
        '',
        `${count} × ${flangeThread(diameterIn)}`,
      ),
      stressAreaStep(thread.value, area),
      line(
        'Load of all studs',
        'n · share of yield · At',
        `${count} × ${formatNumber(share * 100, 0)} % × ${yieldKsi} ksi × ${shown(area)}`,
        force(count * each),
      ),
      ...needs.value.steps,
      line('Stress on the ring', 'load / (π/4 (OD² − ID²))', shown(force(count * each)), stress(onRing)),
      line('Torque', 'K · D · F', `${given.nutFactor} × ${diameterIn} in × ${shown(force(each))}`, torque),
    ],
    notes: [
      ...(isCrushed ? ['The gasket is loaded over what it stands: less torque, or another gasket.'] : []),
      ...(margin < 0
        ? ['The studs do not give what the gasket needs: stronger studs, or another gasket.']
        : []),
      'The load of a torque scatters ±30 %: keep the margin above that, or measure the stretch.',
      "The maker's torque for this joint wins over this figure.",
    ],
    source: SOURCE,
  });
}
