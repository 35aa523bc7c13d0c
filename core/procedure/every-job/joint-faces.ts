import { wordReason } from '../../inspection';
import { capital, phrase } from '../../quantity';
import { slug } from '../blocks/arrival';
import { CAUTIONS } from '../cautions';
import { partsOf, type PartRole } from '../../valve';
import { finding, type Context, type Fragment } from '../draft';
import { repair, sequence } from '../sequence';

/** Every part that seals on a flat face. */
const faces = ({ valve }: Context) => partsOf(valve).filter(({ kind }) => kind === 'joint');

const turned = (part: PartRole) =>
  ({
    title: `Turn the joint face of the ${part}`,
    why: 'Too deep to lap: the least cut that cleans it up.',
    tools: ['lathe'],
  }) as const;

/** A face that stays in its line goes on no lathe. */
const faced = (part: PartRole) =>
  ({
    title: `Face the joint of the ${part} where it stands`,
    why: 'Too deep to lap: a portable machine clamped on, the least cut that cleans it up. No such machine: the valve comes out of its line, and the place of the work is changed.',
    tools: ['portable facing machine'],
  }) as const;

/** Lapping or turning the joint faces, when a look said so. */
export const jointFaces: Fragment = {
  name: 'joint faces',
  openings: 'first',
  compose: (c) =>
    faces(c).flatMap(({ role: part, stays }) => {
      const call = c.calls.get(part);
      if (call?.verdict !== 'rework') return [];
      const because = finding(phrase`${part}: ${wordReason(call.reason)}`, call.because.at(-1));
      const face = slug(part);
      const method = call.method ?? 'clean up';
      if (method !== 'lap joint face' && method !== 'turn joint face') {
        return sequence(c, repair(because, []), [
          {
            id: `repair.${face}-${method.replaceAll(' ', '-')}`,
            title: `${capital(part)}: ${method}`,
            why: 'Dress it and look again.',
            parts: [part],
            minutes: 15,
          },
        ]);
      }
      return sequence(c, repair(because, []), [
        method === 'turn joint face' && {
          id: `repair.turn-${face}-face`,
          ...(c.place === 'in line' && stays ? faced(part) : turned(part)),
          caution: CAUTIONS.lathe,
          parts: [part],
          minutes: 60,
        },
        {
          id: `repair.lap-${face}-face`,
          title: `Lap the joint face of the ${part}`,
          why: 'Figure of eight on a block until the mark is gone.',
          caution: CAUTIONS.compound,
          parts: [part],
          tools: ['lapping block'],
          consumables: ['lapping compound 120', 'lapping compound 240'],
          task: { kind: 'lapping', against: 'a block or lap', grits: [120, 240] },
          minutes: 25,
        },
      ]);
    }),
};
