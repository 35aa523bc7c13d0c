import { describe, expect, it } from 'vitest';
import { inches, quantity } from '../quantity';
import {
  asksOf,
  blankDraft,
  checkFeatures,
  choicesOf,
  CONSTRUCTION_IDS,
  ofConstruction,
  readPlate,
  valveFrom,
  valveSchema,
  withChoice,
  withPlate,
  type ValveDraft,
} from '.';

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

describe('a nameplate line read into the draft', () => {
  const read = (line: string, draft = typed({})) => withPlate(draft, readPlate(line));
  it('fills what it says and leaves the rest as it was typed', () => {
    const draft = read('FV-12; S/N K 20; 3 in; class 600; CF8M; trim 316', typed({ location: 'header' }));
    expect(draft).toMatchObject({
      tag: 'FV-12',
      serial: 'K 20',
      nps: 3,
      pressureClass: 600,
      group: '2.2',
      location: 'header',
      plate: { trim: '316' },
    });
  });
  it('a second line adds to the first', () => {
    const draft = read('model Q 7', read('trim 410; set 12 bar g'));
    expect(draft.plate).toMatchObject({ trim: '410', model: 'Q 7' });
    expect(draft.plate.setPressure).toMatchObject({ value: 12, unit: 'bar g' });
    expect(draft.tag).toBe(' V-7 ');
  });
  it('goes into the valve whole, and a plate that says nothing more is absent', () => {
    const valve = valveFrom(read('spring 3-15 psi; order key 77-B'));
    expect(valve.plate).toMatchObject({
      sizeCode: '77-B',
      springRange: { low: { value: 3 }, high: { value: 15 } },
    });
    expect(valveSchema.safeParse({ ...valve, tag: 'V' }).success).toBe(true);
    expect(valveFrom(typed({}))).not.toHaveProperty('plate');
  });
  it('hydrogen sulphide goes with the medium, and only with one', () => {
    const h2s = quantity('ratio', 500, 'ppm');
    expect(valveFrom(typed({ medium: 'Sour gas', h2s })).medium?.h2s).toEqual(h2s);
    expect(valveFrom(typed({ h2s })).medium).toBeUndefined();
  });
});
