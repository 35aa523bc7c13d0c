import { jobId } from '@dusk-wren/core/job';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { defaultValve } from '@dusk-wren/core/valve';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { follow } from './database/followers';
import { openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
});
afterAll(() => shop.close());

const STEP = 'setup.span';
const valve = { ...defaultValve('control-globe-double-seat'), plate: { model: 'Slider 40' } };
const taughtBy = async (model: string) =>
  (await ada.get(`/api/screw-effects?model=${encodeURIComponent(model)}`)).body.effects;

it('a signed job teaches what the screws of its model do; an open one teaches nothing', async () => {
  const job = new BenchJob(valve).workTo(STEP);
  const read = (high: string) => {
    for (const [what, value] of [
      ['travel at 5 % of the signal', '5 %'],
      ['travel at 95 % of the signal', high],
    ] as const)
      job.send({ kind: 'take-measurement', body: { step: STEP, what, value, readBy: 'hand' } });
  };
  read('90 %');
  job.send({ kind: 'turn-screw', body: { step: STEP, screw: 'span screw', by: '-0.5 turn' } });
  read('92.6 %');
  const open = job.state;
  const followed = (before: typeof open, from: number) =>
    shop.sequelize.transaction((transaction) =>
      follow({
        jobId: jobId.parse('00000000-0000-4000-8000-000000000009'),
        before,
        after: job.state,
        entries: job.log.slice(from),
        transaction,
      }),
    );
  await followed(open, open.version);
  expect(await taughtBy('Slider 40')).toEqual([]);

  const before = job.workTo('release.sign').state;
  job.workTo('nothing');
  await followed(before, before.version);
  const [effect] = await taughtBy('slider 40');
  expect(effect).toMatchObject({ screw: 'span screw', what: 'travel at 95 % of the signal' });
  expect(effect.perTurn).toBeCloseTo(-5.2, 6);
  expect(await taughtBy('Slider 50')).toEqual([]);
});
it('a question without a model is refused in words', async () => {
  expect((await ada.get('/api/screw-effects')).status).toBe(400);
});
