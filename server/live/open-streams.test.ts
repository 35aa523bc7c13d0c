import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { openShop, Screen, type Shop } from '../testing/shop';
import { OpenStreams } from './open-streams';

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

describe('streams whose session is looked at again', () => {
  it('one that is opened while the database is slow to say who is signed in goes on', async () => {
    await Screen.open(shop, 'ada');
    const sessions = shop.sequelize.model('SessionRow');
    const [session] = await sessions.findAll();
    const personId = shop.people.ada;
    let answer: () => void = () => undefined;
    const slow = new Promise<void>((goesOn) => (answer = goesOn));
    const findAll = sessions.findAll.bind(sessions);
    const looked = vi.spyOn(sessions, 'findAll').mockImplementation(async (options) => {
      await slow;
      return findAll(options);
    });
    const failed = vi.fn();
    const streams = new OpenStreams(shop.sequelize, failed);
    const ofNobody = vi.fn();
    const justOpened = vi.fn();

    streams.add({ sid: 'of nobody', personId, end: ofNobody });
    await vi.waitFor(() => expect(looked).toHaveBeenCalled(), 10_000);
    streams.add({ sid: String(session?.get('sid')), personId, end: justOpened });
    answer();
    await vi.waitFor(() => expect(ofNobody).toHaveBeenCalled(), 10_000);
    expect(justOpened).not.toHaveBeenCalled();
    expect(failed).not.toHaveBeenCalled();

    looked.mockRestore();
    streams.endAll();
  });
});
