import { describe, expect, it } from 'vitest';
import { defaultValve, CONSTRUCTION_IDS } from '../valve';
import { energiesOf } from './energies';
import { feedsOf } from './feeds';
import { usualLine, type Line } from './line';

const LINE: Line = {
  upstream: { shutBy: 'double block and bleed', vent: true },
  downstream: { shutBy: 'line shut down', vent: true },
  bypass: true,
  bodyVent: false,
  air: true,
  signal: 'electric',
  power: true,
};

describe('what may hold up a gauge that should read zero', () => {
  it('names the blocks, the bleed and the bypass that this line has, and none that it has not', () => {
    const up = feedsOf('upstream pressure', LINE).join(' ');
    expect(up).toMatch(/upstream block/);
    expect(up).toMatch(/bleed between/);
    expect(up).toMatch(/bypass/);
    const down = feedsOf('downstream pressure', { ...LINE, bypass: false }).join(' ');
    expect(down).toMatch(/operator find it shut down/);
    expect(down).not.toMatch(/block:|bypass/);
  });

  it('is asked of the gauge before anything is moved (common practice)', () => {
    expect(feedsOf('upstream pressure', LINE)[0]).toMatch(/^The gauge/);
  });

  it('is known for every energy that a reading has to prove gone, of every construction', () => {
    for (const id of CONSTRUCTION_IDS) {
      const valve = defaultValve(id);
      for (const { kind, proof } of energiesOf(valve, usualLine(valve.features)))
        if (proof.kind === 'reading' && kind !== 'heat')
          expect(feedsOf(kind, LINE), kind).not.toHaveLength(0);
    }
  });
});
