import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { SetupChangeRow } from './database/setup-models';
import { binary, openShop, Screen, type Shop } from './testing/shop';

let shop: Shop;
let lea: Screen;
let path: string;
beforeAll(async () => {
  shop = await openShop();
  lea = await Screen.open(shop, 'lea');
  const done = await lea.post(`/api/setup/instruments/${shop.dial}/calibrations`, {
    ...{ day: '2026-11-02', due: '2027-11-02', certificate: 'C 118' },
    ...{ foundOffPercent: 0.4, leftOffPercent: 0.1 },
  });
  const [calibration] = done.body.instrument.calibrations;
  expect(calibration.file).toBeNull();
  path = `/api/setup/instruments/${shop.dial}/calibrations/${calibration.id}/certificate`;
});
afterAll(() => shop.close());

const pdf = Buffer.from('%PDF-1.7\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n');
const fetched = async () => lea.agent.get(path).buffer(true).parse(binary);

describe('the certificate of a calibration', () => {
  it('is attached as it came, and opens as nothing but itself', async () => {
    expect((await lea.put(`${path}?name=C 118.pdf`, pdf, 'application/pdf')).status).toBe(204);
    const back = await fetched();
    expect(back.body).toEqual(pdf);
    expect(back.headers['content-type']).toBe('application/pdf');
    expect(back.headers['content-disposition']).toBe('attachment; filename="C 118.pdf"');
    expect(back.headers['content-security-policy']).toBe('sandbox');
    const { instruments } = (await lea.get('/api/setup/instruments')).body;
    const dial = instruments.find(({ id }: { id: string }) => id === shop.dial);
    expect(dial.calibrations[0].file).toBe('C 118.pdf');
    const last = await SetupChangeRow.findOne({ order: [['id', 'DESC']] });
    expect(last?.what).toBe('Dial 1: certificate C 118 attached, C 118.pdf');
  });
  it('may be a picture, made smaller as photographs are', async () => {
    const create = { width: 3000, height: 2000, channels: 3, background: '#ffffff' } as const;
    const png = await sharp({ create }).png().toBuffer();
    expect((await lea.put(`${path}?name=scan.png`, png, 'image/png')).status).toBe(204);
    const back = await fetched();
    expect(back.headers['content-type']).toBe('image/jpeg');
    expect(back.headers['content-disposition']).toContain('scan.jpg');
    expect((await sharp(back.body as Buffer).metadata()).width).toBe(1600);
  });
  it('that is neither, of no calibration, or by nobody who may, is refused', async () => {
    const html = Buffer.from('<script>alert(1)</script>');
    expect((await lea.put(`${path}?name=x.pdf`, html, 'application/pdf')).status).toBe(400);
    expect((await lea.put(`${path}?name=x.png`, html, 'image/png')).body.problem.code).toBe(
      'photo.unreadable',
    );
    expect((await lea.put(`${path}?name=x.html`, html, 'text/html')).status).toBe(400);
    expect((await lea.put(path, pdf, 'application/pdf')).status).toBe(400);
    const none = path.replace(/\d+\/certificate$/, '9999/certificate');
    expect((await lea.put(`${none}?name=x.pdf`, pdf, 'application/pdf')).status).toBe(404);
    expect((await lea.get(none)).status).toBe(404);
    const ada = await Screen.open(shop, 'ada');
    expect((await ada.put(`${path}?name=x.pdf`, pdf, 'application/pdf')).status).toBe(403);
    expect((await ada.get(path)).status).toBe(403);
  });
});
