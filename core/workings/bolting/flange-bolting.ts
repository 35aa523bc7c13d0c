import { z } from 'zod';
import { notInTable, ok, type Result } from '../../problem';
import {
  FACING_FINISH,
  formatSize,
  B16_5,
  FLANGE_CLASSES,
  flangeStuds,
  flangeThread,
  heavyHexAcrossFlats,
  ringNumber,
  studLengthIn,
} from '../../standards';
import { inches, type Length } from '../../quantity';
import { choiceField, sizeField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const CLASS_NAMES = ['150', '300', '600', '900', '1500', '2500'] as const;

const input = z.strictObject({
  size: sizeField({ label: 'Flange size', example: 'NPS 4' }),
  class: choiceField(CLASS_NAMES, { label: 'Pressure class' }),
});

export interface FlangeBolting {
  studs: number;
  thread: string;
  studDiameter: Length;
  acrossFlats: Length;
  studLength?: Length;
  ring?: string;
}

/**
 * Studs of a flange: how many, how thick, how long for raised faces, the spanner, and the ring of a ring joint.
 * Threads are coarse to 1 in and 8 per inch above. Errors: a size the class does not have.
 * Source: ASME B16.5; heavy hex nuts ASME B18.2.2. Example: NPS 4 class 300 → 8 of 3/4-10, 4 1/2 in, R37.
 */
export const flangeBolting: Working<typeof input, FlangeBolting> = {
  id: 'flange.bolting',
  title: 'Studs of a flange',
  asks: ['flange', 'studs', 'how many bolts', 'stud length', 'ring number', 'spanner', 'rtj', 'b16.5'],
  meaning: 'How many studs a flange takes, which, how long, with which spanner and ring.',
  input,
  results: {
    studs: 'Studs',
    thread: 'Thread',
    studDiameter: 'Stud diameter',
    acrossFlats: 'Spanner',
    studLength: 'Length, raised face',
    ring: 'Ring of a ring joint',
  },
  source: B16_5,
  work: bolting,
};

function bolting(given: z.output<typeof input>): Result<Worked<FlangeBolting>> {
  const { nps } = given.size;
  const flangeClass = FLANGE_CLASSES.find((each) => String(each) === given.class) ?? 150;
  const studs = flangeStuds(nps, flangeClass);
  if (!studs)
    return notInTable(
      B16_5.name,
      `${formatSize(given.size)} class ${given.class}`,
      'NPS 1/2 to 24, class 2500 to NPS 12',
    );
  const [count, diameter] = studs;
  const thread = flangeThread(diameter);
  const length = studLengthIn(nps, flangeClass);
  const ring = ringNumber(nps, flangeClass);
  return ok({
    result: {
      studs: count,
      thread,
      studDiameter: inches(diameter),
      acrossFlats: inches(heavyHexAcrossFlats(diameter)),
      ...(length === undefined ? {} : { studLength: inches(length) }),
      ...(ring === undefined ? {} : { ring: `R${ring}` }),
    },
    steps: [
      line('Studs', `${formatSize(given.size)}, class ${given.class}`, '', `${count} × ${thread}`),
      line(
        'Spanner, heavy hex',
        '1 1/2 D + 1/8 in',
        `1.5 × ${diameter} + 0.125`,
        inches(heavyHexAcrossFlats(diameter)),
      ),
    ],
    notes: [
      ...(flangeClass === 900 && nps < 3 ? ['Class 900 below NPS 3 is the class 1500 flange.'] : []),
      `Raised face ${FACING_FINISH.raisedFaceMicroinches.join('–')} µin Ra; ring groove flanks no rougher than ${FACING_FINISH.ringGrooveMicroinches} µin.`,
    ],
    source: B16_5,
  });
}
