import type { JobOperation } from '@dusk-wren/core/schedule';
import { expect, it } from 'vitest';
import { waitingFor } from './wanted-parts';

const operation = (id: string, kind: JobOperation['kind'], more: object = {}): JobOperation => ({
  ...{ id, kind, minutes: 60, after: [], done: false, steps: [], ...more },
});
const MONDAY = '2026-12-07T08:00:00Z';
const gasket = { part: 'bonnet gasket', leadDays: 5 } as const;
const behind = (operations: readonly JobOperation[]) =>
  operations.filter(({ after }) => after.includes('part: bonnet gasket')).map(({ id }) => id);

it('a rebuild waits for what is short, not the work in the field before it', () => {
  const outAndBack = [
    operation('field', 'field'),
    operation('strip', 'strip'),
    operation('rebuild', 'rebuild'),
  ];
  const waits = waitingFor(outAndBack, [gasket], MONDAY);
  expect(behind(waits)).toEqual(['rebuild']);
  // Five working days on from a Monday.
  expect(waits.find(({ id }) => id === 'part: bonnet gasket')?.until).toBe('2026-12-14');
  expect(behind(waitingFor([operation('field', 'field')], [gasket], MONDAY))).toEqual(['field']);
});

it('a part that its plan renews is waited for once', () => {
  const renews = [
    operation('part: bonnet gasket', 'part', { leadDays: 8 }),
    operation('rebuild', 'rebuild', { after: ['part: bonnet gasket'] }),
  ];
  expect(waitingFor(renews, [gasket], MONDAY).map(({ id }) => id)).toEqual([
    'part: bonnet gasket',
    'rebuild',
  ]);
  expect(behind(waitingFor(renews, [gasket], MONDAY))).toEqual(['rebuild']);
});
