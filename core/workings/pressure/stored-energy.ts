import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { fromSi, formatNumber, quantity, si, type Energy, type Length, type Mass } from '../../quantity';
import { standard } from '../../standards';
import { quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  pressure: quantityField('gauge pressure', { label: 'Test pressure', example: '7 MPa g' }),
  volume: quantityField('volume', { label: 'Volume under test', example: '20 L' }),
});

export interface StoredEnergy {
  energy: Energy;
  tnt: Mass;
  distance: Length;
  minimumDistance: Length;
  waterEnergy: Energy;
}

const PCC_2 = standard('ASME PCC-2', 'article 501, stored energy of a pressure test', 'medium');
const ATMOSPHERE = 101_325;
const TNT_JOULES_PER_KG = 4_266_920;
const EXPONENT = 0.286;
const WATER_BULK_MODULUS = 2.2e9;
const LEAST_METRES = 30;
const BANDS = [
  { upToMegajoules: 135.5, metres: 30 },
  { upToMegajoules: 271, metres: 60 },
] as const;

/**
 * Energy a gas test stores: `E = 2.5·Pat·V·(1 − (Pa/Pat)^0.286)`, absolute pressures; TNT = E/4 266 920 J per kg;
 * `distance = 20·(2·TNT)^(1/3)` m, `minimumDistance` the greater of that and 30 m. Beside it the same volume of
 * water, `P²V/2B`. Errors: none beyond the sign. Source: ASME PCC-2 article 501, written for vessels and piping.
 * Example: 20 L at 7.0 MPa gauge → 250 kJ, 0.0585 kg TNT, 9.8 m; water 223 J.
 */
export const storedEnergy: Working<typeof input, StoredEnergy> = {
  id: 'test.stored-energy',
  title: 'Stored energy of a gas test',
  asks: ['stored energy', 'gas test', 'air test', 'nitrogen', 'distance', 'tnt', 'how far', 'safe'],
  meaning:
    'How much energy a test with gas holds, how far to stand from it, and what water would hold instead.',
  input,
  results: {
    energy: 'Stored energy',
    tnt: 'As TNT',
    distance: 'Distance by its energy',
    minimumDistance: 'Stand at least',
    waterEnergy: 'The same test with water',
  },
  source: PCC_2,
  work: stored,
};

function stored({ pressure, volume }: z.output<typeof input>): Result<Worked<StoredEnergy>> {
  const absolute = si(pressure) + ATMOSPHERE;
  const joules = 2.5 * absolute * si(volume) * (1 - (ATMOSPHERE / absolute) ** EXPONENT);
  const kilograms = joules / TNT_JOULES_PER_KG;
  const metres = 20 * Math.cbrt(2 * kilograms);
  const waterJoules = (si(pressure) ** 2 * si(volume)) / (2 * WATER_BULK_MODULUS);
  const sheet = sheetFor(pressure, volume);
  const away = (value: number) => sheet.of('length', value, { US: 'ft', SI: 'm' });
  const energy = fromSi('energy', joules, joules < 1000 ? 'J' : joules < 1e6 ? 'kJ' : 'MJ');
  const waterEnergy = fromSi('energy', waterJoules, waterJoules < 10_000 ? 'J' : 'kJ');
  const tnt = quantity('mass', kilograms, 'kg');
  const [distance, minimumDistance] = [away(metres), away(Math.max(metres, LEAST_METRES))];
  return ok({
    result: { energy, tnt, distance, minimumDistance, waterEnergy },
    steps: [
      line(
        'Absolute pressure',
        'Pat = gauge + 101.325 kPa',
        shown(pressure),
        `${formatNumber(absolute / 1000, 1)} kPa`,
      ),
      line('Stored energy', '2.5 · Pat · V · (1 − (Pa/Pat)^0.286)', `V ${shown(volume)}`, energy),
      line('As TNT', 'E / 4 266 920 J per kg', shown(energy), `${formatNumber(kilograms, 4)} kg`),
      line('Distance', '20 · (2 · TNT)^(1/3) m', `TNT ${formatNumber(kilograms, 4)} kg`, distance),
      line('Stand at least', 'the greater of that and 30 m', '', minimumDistance),
      line(
        'The same with water',
        'P² V / 2B, B 2.2 GPa',
        `${shown(pressure)}, ${shown(volume)}`,
        waterEnergy,
      ),
    ],
    notes: [
      `The gas holds about ${formatNumber(joules / waterJoules, 0)} times what water would: use water for shell tests.`,
      `${banded(joules)} The article was written for vessels and piping: for a bench test the site decides (screen, pit, distance).`,
    ],
    source: PCC_2,
  });
}

/** The banded reading of the article, in words. */
function banded(joules: number): string {
  const band = BANDS.find(({ upToMegajoules }) => joules <= upToMegajoules * 1e6);
  return band
    ? `Read by its bands, the article asks for ${band.metres} m (up to ${band.upToMegajoules} MJ).`
    : 'Beyond its bands, the article takes the distance by energy.';
}
