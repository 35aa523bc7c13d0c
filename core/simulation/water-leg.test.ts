import { expect, it } from 'vitest';
import { findPops } from '../analysis';
import { inches, psig, quantity, si, valueIn } from '../quantity';
import { ask } from '../testing/ask';
import { chance, dumpHeads, waterLegRun } from '.';

const DUMP = {
  diaphragmArea: quantity('area', 20, 'in²'),
  shortArm: inches(1.5),
  weight: quantity('force', 20, 'lbf'),
  position: inches(4),
  leverMoment: quantity('torque', 40, 'lbf·in'),
  friction: quantity('torque', 0, 'lbf·in'),
};
const WANTED = si(psig(4));
const psi = (pascal: number) => valueIn(quantity('gauge pressure', pascal, 'Pa g'), 'psig');

it('without friction it opens and shuts at the head that lever.weight gives for its place (moments: 20 × 1.5 × 4 = 20 × 4 + 40)', () => {
  const { opens, shuts } = dumpHeads(DUMP);
  expect(psi(opens)).toBeCloseTo(4, 6);
  expect(psi(shuts)).toBeCloseTo(4, 6);
  const head = ask('lever.weight', {
    diaphragmArea: '20 in²',
    shortArm: '1.5 in',
    weight: '20 lbf',
    leverMoment: '40 lbf·in',
    position: '4 in',
  }).in('head', 'psi');
  expect(psi(opens)).toBeCloseTo(head, 6);
});

it('friction opens it later and shuts it lower, alike', () => {
  const { opens, shuts } = dumpHeads({ ...DUMP, friction: quantity('torque', 6, 'lbf·in') });
  expect(psi(opens)).toBeCloseTo(4.2, 6);
  expect(psi(shuts)).toBeCloseTo(3.8, 6);
});

it('both heads are found in the curve of the leg, within two hundredths of a psi', () => {
  const dump = { ...DUMP, friction: quantity('torque', 6, 'lbf·in') };
  const run = [...waterLegRun(dump, WANTED, chance(1))];
  const [found, ...others] = findPops(
    run.map(({ seconds }) => seconds),
    run.map(({ pressure }) => valueIn(pressure, 'psig')),
  );
  expect(others).toEqual([]);
  expect(found?.pop).toBeCloseTo(4.2, 1);
  expect(Math.abs((found?.reseat ?? 0) - 3.8)).toBeLessThan(0.12);
});

it('what never opens is filled to twice its head, and no further', () => {
  const run = [...waterLegRun({ ...DUMP, position: inches(30) }, WANTED, chance(1))];
  const most = Math.max(...run.map(({ pressure }) => valueIn(pressure, 'psig')));
  expect(most).toBeGreaterThan(7.5);
  expect(most).toBeLessThan(8.2);
});
