import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import { inches, si, valueIn, type Force, type Length } from '../../quantity';
import { GASKET_FACTORS, APPENDIX_2, NARROW_WIDTH_IN } from '../../standards';
import { factorField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const input = z.strictObject({
  insideDiameter: quantityField('length', {
    label: 'Gasket inside diameter (flat)',
    example: '3 1/2 in',
    inExample: true,
  }).exactOptional(),
  outsideDiameter: quantityField('length', {
    label: 'Gasket outside diameter (flat)',
    example: '4 1/4 in',
    inExample: true,
  }).exactOptional(),
  pitchDiameter: quantityField('length', {
    label: 'Pitch diameter (ring joint)',
    example: '3 3/4 in',
  }).exactOptional(),
  ringWidth: quantityField('length', {
    label: 'Ring width (ring joint)',
    example: '7/16 in',
  }).exactOptional(),
  factor: factorField({ label: 'Gasket factor m', example: '3' }, 0, 20),
  seatingStress: quantityField(
    'stress',
    { label: 'Seating stress y', example: '10,000 psi' },
    'not negative',
  ),
  pressure: quantityField('gauge pressure', { label: 'Pressure', example: '740 psig' }, 'not negative'),
});

type Given = z.output<typeof input>;

export interface GasketLoad {
  effectiveWidth: Length;
  reactionDiameter: Length;
  operatingLoad: Force;
  seatingLoad: Force;
  requiredLoad: Force;
}

/**
 * Least bolt load a gasket needs: `b0 = N/2` flat, `w/8` ring joint; `b = b0` to 1/4 in, else `0.5√b0` (in);
 * `G` the mean diameter, beyond 1/4 in OD − 2b, the pitch diameter of a ring; `Wm1 = π/4 G²P + 2bπGmP`,
 * `Wm2 = πbGy`. Design floors, never assembly targets.
 * Errors: neither or both kinds of gasket; an outside diameter not larger than the inside.
 * Source: ASME BPVC VIII-1 Appendix 2. Example: 4.0 × 5.0 in, m 3, y 10 000 psi, 740 psi → 27 461 and 35 343 lbf.
 */
export const gasketLoad: Working<typeof input, GasketLoad> = {
  id: 'gasket.load',
  title: 'Least bolt load of a gasket',
  asks: ['gasket', 'seating load', 'm and y', 'ring joint', 'bolt load', 'spiral wound'],
  meaning: 'How hard the bolts must at least pull for the gasket to seat and to hold.',
  input,
  results: {
    effectiveWidth: 'Effective width b',
    reactionDiameter: 'Diameter of the reaction G',
    operatingLoad: 'Operating load Wm1',
    seatingLoad: 'Seating load Wm2',
    requiredLoad: 'Load needed, all bolts together',
  },
  source: APPENDIX_2,
  work: load,
};

function load(given: Given): Result<Worked<GasketLoad>> {
  const contact = contactOf(given);
  if (!contact.ok) return contact;
  const { width, diameter } = contact.value;
  const sheet = sheetFor(given.insideDiameter, given.pitchDiameter, given.pressure);
  const pressure = si(given.pressure);
  const hydrostatic = (Math.PI / 4) * diameter ** 2 * pressure;
  const holding = 2 * width * Math.PI * diameter * given.factor * pressure;
  const force = (newtons: number) => sheet.of('force', newtons, { US: 'lbf', SI: 'kN' });
  const [operating, seating] = [
    force(hydrostatic + holding),
    force(Math.PI * width * diameter * si(given.seatingStress)),
  ];
  const [b, g] = [sheet.of('length', width), sheet.of('length', diameter)];
  const required = si(operating) >= si(seating) ? operating : seating;
  return ok({
    result: {
      effectiveWidth: b,
      reactionDiameter: g,
      operatingLoad: operating,
      seatingLoad: seating,
      requiredLoad: required,
    },
    steps: [
      ...contact.value.steps,
      line(
        'Operating load',
        'Wm1 = π/4 G² P + 2b π G m P',
        `G ${shown(g)}, b ${shown(b)}, m ${given.factor}, P ${shown(given.pressure)}`,
        operating,
      ),
      line(
        'Seating load',
        'Wm2 = π b G y',
        `π × ${shown(b)} × ${shown(g)} × ${shown(given.seatingStress)}`,
        seating,
      ),
      line('Load needed', 'the larger of the two', '', required),
    ],
    notes: [
      `m and y by gasket: ${GASKET_FACTORS.map(({ gasket, m, yPsi }) => `${gasket} ${m} and ${yPsi} psi`).join('; ')}.`,
      'A design floor, never an assembly target: the assembly load is a share of the stud’s yield and more than this.',
    ],
    source: APPENDIX_2,
  });
}

interface Contact {
  /** Metres. */
  width: number;
  diameter: number;
  steps: Step[];
}

function contactOf(given: Given): Result<Contact> {
  const { insideDiameter: inner, outsideDiameter: outer, pitchDiameter: pitch, ringWidth: ring } = given;
  const sheet = sheetFor(inner, pitch);
  const text = (metres: number) => shown(sheet.of('length', metres));
  if (inner && outer && !pitch && !ring) {
    const contactWidth = (si(outer) - si(inner)) / 2;
    if (contactWidth <= 0)
      return outOfRange(
        'outsideDiameter',
        shown(outer),
        `more than the inside, ${shown(inner)}`,
        'the gasket lies between them',
      );
    const basic = contactWidth / 2;
    const narrow = basic <= si(inches(NARROW_WIDTH_IN)) * (1 + 1e-9);
    const width = effective(basic);
    const diameter = narrow ? (si(inner) + si(outer)) / 2 : si(outer) - 2 * width;
    return ok({
      width,
      diameter,
      steps: [
        line(
          'Basic width',
          'b0 = N / 2, N = (OD − ID) / 2',
          `(${shown(outer)} − ${shown(inner)}) / 4`,
          text(basic),
        ),
        line(
          'Effective width',
          narrow ? 'b = b0, to 1/4 in (6 mm)' : 'b = 0.5 √b0 in inches (2.52 √b0 in mm)',
          text(basic),
          text(width),
        ),
        line('Diameter of the reaction', narrow ? 'G = (ID + OD) / 2' : 'G = OD − 2b', '', text(diameter)),
      ],
    });
  }
  if (pitch && ring && !inner && !outer) {
    if (si(ring) >= si(pitch))
      return inConflict(['ringWidth', 'pitchDiameter'], 'The ring is wider than its own diameter.');
    const basic = si(ring) / 8;
    const width = effective(basic);
    return ok({
      width,
      diameter: si(pitch),
      steps: [
        line('Basic width of a ring joint', 'b0 = w / 8', `${shown(ring)} / 8`, text(basic)),
        line('Diameter of the reaction', 'G = pitch diameter', '', text(si(pitch))),
      ],
    });
  }
  return inConflict(
    ['insideDiameter', 'outsideDiameter', 'pitchDiameter', 'ringWidth'],
    'Give the inside and outside diameter of a flat gasket, or the pitch diameter and width of a ring.',
  );
}

function effective(basicMetres: number): number {
  const basicIn = valueIn({ dimension: 'length', value: basicMetres, unit: 'm' }, 'in');
  return basicIn <= NARROW_WIDTH_IN * (1 + 1e-9) ? basicMetres : si(inches(0.5 * Math.sqrt(basicIn)));
}
