import { capital, inches, phrase, quantity } from '../../../quantity';
import type { PartRole } from '../../../valve';
import { slug } from '../../blocks/arrival';
import { CAUTIONS } from '../../cautions';
import { closureProcedure } from '../../closures';
import { draft, fromCall, type Context, type Draft, type Fragment } from '../../draft';
import { jointProcedure } from '../../joints';
import { ifThere, stepName } from '../../relations';
import { lookOf } from '../looks';
import { comparedOf } from '../part-renewal';

/** Seating parts that are put right on a machine before they are ground in; each once, whatever it closes on. */
export const cutting: Fragment = {
  name: 'cutting',
  openings: 'first',
  compose: (c) =>
    [...c.calls.values()].flatMap((call): Draft[] => {
      if (call.verdict !== 'rework') return [];
      const { part } = call;
      const name = slug(part);
      const common = {
        stage: 'repair' as const,
        because: fromCall(call),
        parts: [part],
        after: ['stripped', ifThere(lookOf(part)), ifThere(comparedOf(part))] as const,
        provides: ['repaired', 'seat cut'] as const,
      };
      switch (call.method) {
        case 'lathe and lap':
          return [draft({ ...common, name: stepName(`repair.lathe-${name}`), ...turning(c, part) })];
        case 'reface and lap':
          return [draft({ ...common, name: stepName(`repair.reface-${name}`), ...refacing(c, part) })];
        case 'free and clean':
          return [
            draft({
              ...common,
              name: stepName(`repair.free-${name}`),
              title: `Free the ${part} on its stem`,
              why: 'It must swivel before it is ground in.',
              minutes: 10,
            }),
          ];
        default:
          return [];
      }
    }),
};

type OnMachine = Pick<Draft, 'title' | 'why' | 'tools' | 'minutes'> & { readonly caution: string };

function turning({ features }: Context, part: PartRole): OnMachine {
  const { faceAngle } = closureProcedure(features);
  const angle = faceAngle !== undefined && part === 'disc' ? `${faceAngle}, ` : '';
  return {
    title: `${capital(part)} to the lathe`,
    why: phrase`Centred within ${inches(0.001)}, single-point carbide, ${quantity('speed', 30, 'ft/min')} to ${quantity('speed', 50, 'ft/min')} at the surface, fine feed, ${angle}the least metal that cleans it up. All swarf off before it is blued.`,
    caution: CAUTIONS.lathe,
    tools: ['lathe', 'dial indicator'],
    minutes: 75,
  };
}

const SIXTEENTH = { ...inches(1 / 16), entered: '1/16 in' };

/** Refacing by hand: a tool on the body thread cuts one way only. */
function refacing({ features }: Context, part: PartRole): OnMachine {
  const guided = jointProcedure(features).refacedFromThread === true && part === 'seat';
  return {
    title: guided ? 'Reface the seat with the hand tool on the body thread' : `Reface the ${part}`,
    why: guided
      ? phrase`About ${SIXTEENTH} of free feed before it cuts; feed very slowly. Chatter is too much feed; a uniform shiny ring is done.`
      : 'Feed very slowly and one way only; a uniform bright ring is enough.',
    caution: guided
      ? 'Clockwise only: anticlockwise chips the cutter and the body.'
      : 'One way only, the least metal that cleans it up.',
    tools: ['refacing tool'],
    minutes: 30,
  };
}
