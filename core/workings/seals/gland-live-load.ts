import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, type Force, type Stiffness, type Stress } from '../../quantity';
import { standard } from '../../standards';
import { factorField, numberField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  outside: quantityField('length', { label: 'Washer outside', example: '50 mm' }),
  inside: quantityField('length', { label: 'Washer inside', example: '25.4 mm' }),
  thickness: quantityField('length', { label: 'Thickness', example: '2 mm' }),
  coneHeight: quantityField('length', { label: 'Cone height, free', example: '1.4 mm' }),
  modulus: quantityField('stress', { label: 'Modulus of elasticity', example: '206 GPa' }).exactOptional(),
  poisson: factorField({ label: 'Poisson’s ratio', example: '0.3' }, 0.1, 0.49).exactOptional(),
  series: numberField({ label: 'Washers in series', example: '6' }, 1, 200, true),
  parallel: numberField({ label: 'in each, laid parallel', example: '1' }, 1, 20, true),
  stacks: numberField({ label: 'Stacks (gland studs)', example: '2' }, 1, 16, true).exactOptional(),
  deflection: quantityField('length', { label: 'Deflection of one whole stack', example: '4 mm' }),
  loss: quantityField(
    'length',
    { label: 'Lost as the packing shrinks', example: '1 mm' },
    'not negative',
  ).exactOptional(),
  stem: quantityField('length', { label: 'Stem diameter', example: '25 mm' }),
  bore: quantityField('length', { label: 'Box bore', example: '38 mm' }),
});

type Given = z.output<typeof input>;

export interface LiveLoad {
  force: Force;
  rate: Stiffness;
  glandStress: Stress;
  stressAfter?: Stress;
}

const SOURCE = standard('DIN EN 16984', 'disc springs (Almen and László)', 'medium');
/** More than this share of the cone height shortens a washer's life. */
const USUAL_MOST = 0.75;

/**
 * Live loading of a gland: force of disc springs by Almen and László without friction, `F = 4E/(1−ν²) · t⁴/(K1·De²) ·
 * s/t · [(h/t − s/t)(h/t − s/2t) + 1]` for a washer deflected `s`, `parallel` of them to a layer, all stacks together;
 * rate of all stacks at that deflection; stress on the packing ring; and the stress left when the stack has lost `loss`
 * of its deflection. Errors: a deflection over the cone height, which is flat; a loss over the deflection; an inside
 * over the outside. Over 75 % of the cone height is warned of.
 * Source: Almen and László 1936, as in DIN EN 16984. Example: 50 × 25.4 × 2, h 1.4, s 1.05 mm → 4 762 N a washer.
 */
export const glandLiveLoad: Working<typeof input, LiveLoad> = {
  id: 'gland.live-load',
  title: 'Live loading of a gland',
  asks: ['live load', 'belleville', 'disc spring', 'gland', 'packing', 'washers', 'stack'],
  meaning: 'How hard a stack of disc springs presses the packing, and how hard still when it has shrunk.',
  input,
  results: {
    force: 'Force of all stacks',
    rate: 'Rate of all stacks',
    glandStress: 'Stress on the packing',
    stressAfter: 'Stress left after the loss',
  },
  source: SOURCE,
  work: liveLoad,
};

function liveLoad(given: Given): Result<Worked<LiveLoad>> {
  const [outside, inside, height] = [si(given.outside), si(given.inside), si(given.coneHeight)];
  if (inside >= outside) return inConflict(['inside', 'outside'], 'The inside is not less than the outside.');
  if (si(given.stem) >= si(given.bore))
    return inConflict(['stem', 'bore'], 'The box bore is not more than the stem.');
  const each = si(given.deflection) / given.series;
  if (each > height * (1 + 1e-9))
    return outOfRange(
      'deflection',
      shown(given.deflection),
      `up to ${shown({ ...given.coneHeight, value: given.coneHeight.value * given.series })}`,
      'the washers lie flat there',
    );
  const loss = given.loss ? si(given.loss) : undefined;
  if (loss !== undefined && loss > si(given.deflection))
    return inConflict(['loss', 'deflection'], 'More is lost than the stack was deflected: nothing presses.');
  const washer = washerOf(given);
  const stacks = given.stacks ?? 2;
  const all = (deflection: number) => washer.force(deflection) * given.parallel * stacks;
  const ring = (Math.PI / 4) * (si(given.bore) ** 2 - si(given.stem) ** 2);
  const sheet = sheetFor(given.outside, given.stem);
  const force = sheet.of('force', all(each));
  const stress = (newtons: number) => sheet.of('stress', newtons / ring, { US: 'psi', SI: 'MPa' });
  const rate = sheet.of('stiffness', (washer.rate(each) * given.parallel * stacks) / given.series);
  const share = each / height;
  return ok({
    result: {
      force,
      rate,
      glandStress: stress(all(each)),
      ...(loss === undefined ? {} : { stressAfter: stress(all(each - loss / given.series)) }),
    },
    steps: [
      line(
        'A washer',
        'Almen and László, no friction',
        `s ${shown(sheet.of('length', each))} of h ${shown(given.coneHeight)}`,
        sheet.of('force', washer.force(each)),
      ),
      line('All stacks', 'washer · parallel · stacks', `× ${given.parallel} × ${stacks}`, force),
      line('Stress on the packing', 'force / (π/4 (bore² − stem²))', '', stress(all(each))),
      ...(loss === undefined
        ? []
        : [
            line(
              'Stress left',
              'the same, less deflected',
              shown(sheet.of('length', si(given.deflection) - loss)),
              stress(all(each - loss / given.series)),
            ),
          ]),
    ],
    notes: [
      ...(share > USUAL_MOST
        ? [`Deflected to ${formatNumber(share * 100, 0)} % of the cone height: over 75 % it tires soon.`]
        : []),
      'Friction between parallel washers takes a few percent for each layer.',
    ],
    source: SOURCE,
  });
}

/** Force and rate of one washer by its deflection, SI. */
function washerOf(given: Given) {
  const [outside, thickness, height] = [si(given.outside), si(given.thickness), si(given.coneHeight)];
  const ratio = outside / si(given.inside);
  const k1 = (1 / Math.PI) * (((ratio - 1) / ratio) ** 2 / ((ratio + 1) / (ratio - 1) - 2 / Math.log(ratio)));
  const modulus = si(given.modulus ?? quantity('stress', 206, 'GPa'));
  const scale = ((4 * modulus) / (1 - (given.poisson ?? 0.3) ** 2)) * (thickness / (k1 * outside ** 2));
  return {
    force: (s: number) => scale * s * ((height - s) * (height - s / 2) + thickness ** 2),
    rate: (s: number) => scale * (height ** 2 - 3 * height * s + 1.5 * s ** 2 + thickness ** 2),
  };
}
