import { inches, quantity } from '@dusk-wren/core/quantity';
import {
  asksOf,
  checkFeatures,
  choicesOf,
  CONSTRUCTION_IDS,
  valveSchema,
  withChoice,
} from '@dusk-wren/core/valve';
import { describe, expect, it } from 'vitest';
import { addMonths, isoDay, sayDay, sayMinutes, sayTime } from '../app/dates';
import { blankDraft, ofConstruction, valveFrom, type ValveDraft } from './new-valve';

const typed = (change: Partial<ValveDraft>): ValveDraft => ({
  ...blankDraft(),
  tag: ' V-7 ',
  customer: 'Somebody',
  location: 'somewhere',
  ...change,
});

function mustChoose(seat: string) {
  const features = withChoice(blankDraft().features, { axis: 'seat', key: 'kind' }, seat);
  if (!features) throw new Error(`a globe takes no ${seat} seat`);
  return features;
}

describe('a new valve as it is typed', () => {
  it('what is left blank is absent, and becomes an ask', () => {
    const valve = valveFrom(typed({}));
    expect(valveSchema.safeParse(valve).success).toBe(true);
    expect(valve.tag).toBe('V-7');
    expect(valve).not.toHaveProperty('nps');
    expect(asksOf(valve).length).toBe(7);
  });
  it('what is typed is taken', () => {
    const valve = valveFrom(
      typed({
        serial: ' A 1 ',
        nps: 4,
        pressureClass: 300,
        group: '1.1',
        medium: 'Steam',
        hazards: ['hot'],
        mediumPressure: quantity('gauge pressure', 150, 'psig'),
        bolts: '8',
        thread: ' 3/4-10 ',
        seatDiameter: inches(4),
        features: mustChoose('integral'),
        stem: inches(1),
      }),
    );
    expect(valveSchema.parse(valve)).toMatchObject({
      serial: 'A 1',
      nps: 4,
      medium: { name: 'Steam', hazards: ['hot'], pressure: { value: 150 } },
      features: {
        joint: { bolts: 8, thread: '3/4-10' },
        seat: { kind: 'integral' },
        stem: { diameter: { value: 1 } },
      },
    });
    expect(asksOf(valve)).toEqual([]);
  });
  it.each(['', '2', '97', '8.5', 'eight', '-4'])(
    '%j studs is not a number of studs: it stays an ask',
    (bolts) => {
      expect(valveFrom(typed({ bolts })).features.joint).not.toHaveProperty('bolts');
    },
  );
  it('a hazard without a medium is not kept: the plate says “treat as hazardous” instead', () => {
    expect(valveFrom(typed({ hazards: ['h2s'] }))).not.toHaveProperty('medium');
  });
});

describe.each(CONSTRUCTION_IDS)('choosing the features of %s', (id) => {
  const draft = ofConstruction(typed({}), id);
  it('every option offered holds together, and the valve reads', () => {
    for (const choice of choicesOf(draft.features)) {
      expect(choice.label).toMatch(/^[A-Z]/);
      expect(choice.options).toContain(choice.value);
      for (const option of choice.options) {
        const features = withChoice(draft.features, choice, option);
        expect(features && checkFeatures(features).ok, `${choice.label}: ${String(option)}`).toBe(true);
      }
    }
    expect(valveSchema.safeParse(valveFrom(draft)).success).toBe(true);
  });
});

describe('days and hours in the shop’s words', () => {
  it.each([
    [0, '0 min'],
    [45, '45 min'],
    [60, '1 h'],
    [160, '2 h 40'],
    [125, '2 h 05'],
    [600, '10 h'],
  ])('%d minutes: %s', (minutes, words) => {
    expect(sayMinutes(minutes)).toBe(words);
  });
  it('a day of this year has no year, another has', () => {
    const year = new Date().getFullYear();
    expect(sayDay(`${year}-12-03`)).toMatch(/^[A-Z][a-z]{2},? 3 Dec$/);
    expect(sayDay('2019-12-03')).toMatch(/3 Dec 2019/);
  });
  it('a month on, the last days of a month stay in it', () => {
    expect(isoDay(addMonths(new Date(2026, 0, 31), 1))).toBe('2026-02-28');
    expect(isoDay(addMonths(new Date(2026, 11, 15), 3))).toBe('2027-03-15');
  });
  it('a time is the clock’s', () => {
    expect(sayTime('2026-03-01T09:42:10')).toBe('09:42');
  });
});
