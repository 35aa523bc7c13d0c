import { describe, expect, it } from 'vitest';
import { quantity } from '../quantity';
import { protectionFor } from '.';

const sour = (ppm: number) =>
  protectionFor({ name: 'Sour gas', hazards: ['h2s', 'flammable'], h2s: quantity('ratio', ppm, 'ppm') });

describe('what a medium asks for (handbook part 1, cautions; part 3, health)', () => {
  it('hydrogen sulphide: breathing apparatus at a joint, never alone, never by smell', () => {
    const asked = sour(500);
    expect(asked).toMatchObject({ breathingApparatus: true, buddy: true });
    expect(asked.guards.join(' ')).toMatch(/supplied air, two people/);
    expect(asked.hazards.join(' ')).toMatch(/never rely on smell/);
    expect(asked.limits.join(' ')).toMatch(/NIOSH ceiling 10 ppm, IDLH 100 ppm/);
  });
  it.each([
    [5, /a detector on every chest/],
    [10, /over the NIOSH ceiling of 10 ppm: breathing apparatus/],
    [99, /over the NIOSH ceiling/],
    [100, /over 100 ppm \(NIOSH IDLH\)/],
  ])('%i ppm: the rule of its band', (ppm, words) => {
    expect(sour(ppm).guards[0]).toMatch(words);
  });
  it('sour, and nobody has measured how sour: apparatus until it is', () => {
    expect(protectionFor({ name: 'Sour gas', hazards: ['h2s'] }).guards[0]).toMatch(/until it is measured/);
  });
  it('steam burns; what is above 50 °C cools first, whatever it is', () => {
    expect(protectionFor({ name: 'Steam', hazards: [] }).hazards.join(' ')).toMatch(/Burns/);
    const oil = { name: 'Quench oil', hazards: [], temperature: quantity('temperature', 180, '°C') };
    expect(protectionFor(oil).guards.join(' ')).toMatch(/cool below 50 °C/);
    const cold = { ...oil, temperature: quantity('temperature', 20, '°C') };
    expect(protectionFor(cold).guards.join(' ')).not.toMatch(/cool below/);
  });
  it('oxygen: no oil or grease, by its name or by its tick', () => {
    for (const medium of [
      { name: 'Oxygen', hazards: [] },
      { name: 'LOX header', hazards: ['oxygen' as const] },
    ])
      expect(protectionFor(medium).guards.join(' ')).toMatch(/No oil or grease at all/);
  });
  it('a medium nobody named is treated as hazardous, and so is a name nobody knows', () => {
    expect(protectionFor(undefined).hazards[0]).toMatch(/treat it as hazardous/);
    expect(protectionFor({ name: 'Process 7', hazards: [] }).guards.join(' ')).toMatch(/data sheet/);
  });
  it('it leaves the site clean: each medium with what that takes', () => {
    expect(sour(20).decontamination.join(' ')).toMatch(/iron sulphide kept wet/);
    expect(protectionFor({ name: 'Nitric acid', hazards: [] }).decontamination.join(' ')).toMatch(/neutral/);
  });
});
