import { metalOff } from '../../../job';
import { capital, degrees, inches, phrase, quantity, type Phrase } from '../../../quantity';
import type { MeasureAsk } from '../../../task';
import { metalSeatOf, type PartRole } from '../../../valve';
import { latheSpeed } from '../../../workings';
import { slug } from '../../blocks/arrival';
import { lengthAsk } from '../../blocks/asks';
import { taken } from '../../blocks/taken';
import { CAUTIONS } from '../../cautions';
import { closureProcedure, type FaceAngle } from '../../closures';
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
          return cut(c, part, { ...common, name: stepName(`repair.lathe-${name}`), ...turning(c, part) });
        case 'reface and lap':
          return cut(c, part, { ...common, name: stepName(`repair.reface-${name}`), ...refacing(c, part) });
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

/** Cut, and what came off measured: it comes off the stock that the record of the valve keeps. */
function cut(c: Context, part: PartRole, work: Parameters<typeof draft>[0]): Draft[] {
  const { faceAngle } = closureProcedure(c.features);
  const { why: _work, caution: _caution, ...shared } = work;
  return [
    draft(work),
    draft({
      ...shared,
      name: stepName('repair.metal', slug(part)),
      title: `What came off the ${part}`,
      why: 'Measured from the same face before and after: the next one must know what is left.',
      tools: ['caliper'],
      task: taken(
        lengthAsk(metalOff(part), '0.01 in'),
        ...(faceAngle !== undefined && part === 'disc' ? [angleAsk(faceAngle)] : []),
      ),
      minutes: 4,
      after: [work.name],
    }),
  ];
}

const angleAsk = ({ degrees: wanted, within }: FaceAngle): MeasureAsk => ({
  what: 'face angle of the disc',
  dimension: 'angle',
  example: `${wanted}°`,
  mustBe: { from: degrees(wanted - within), to: degrees(wanted + within) },
});

/** The surface speed for facing (common practice), and what it is at the spindle for this seat. */
function speeds({ features }: Context): Phrase {
  const [slow, fast] = [quantity('speed', 30, 'ft/min'), quantity('speed', 50, 'ft/min')];
  const diameter = metalSeatOf(features)?.diameter;
  const turns = [slow, fast].map((surfaceSpeed) =>
    diameter ? latheSpeed.work({ diameter, surfaceSpeed }) : undefined,
  );
  const [low, high] = turns;
  return low?.ok && high?.ok
    ? phrase`${slow} to ${fast} at the surface, ${low.value.result.speed} to ${high.value.result.speed} at the spindle`
    : phrase`${slow} to ${fast} at the surface`;
}

type OnMachine = Pick<Draft, 'title' | 'why' | 'tools' | 'minutes'> & { readonly caution: string };

function turning(c: Context, part: PartRole): OnMachine {
  const { features } = c;
  const { faceAngle } = closureProcedure(features);
  const angle =
    faceAngle !== undefined && part === 'disc'
      ? phrase`${degrees(faceAngle.degrees)} within ${degrees(faceAngle.within)}, `
      : '';
  return {
    title: `${capital(part)} to the lathe`,
    why: phrase`Centred within ${inches(0.001)}, single-point carbide, ${speeds(c)}, fine feed, ${angle}the least metal that cleans it up. All swarf off before it is blued.`,
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
      ? phrase`Set short: collar hand-tight, housing home, lever on to the last thread; when the thread runs out, its sleeve further in. About ${SIXTEENTH} of free feed before it cuts; feed very slowly. Chatter is too much feed; a uniform shiny ring is done.`
      : 'Feed very slowly and one way only; a uniform bright ring is enough.',
    caution: guided
      ? 'Clockwise only: anticlockwise chips the cutter and the body.'
      : 'One way only, the least metal that cleans it up.',
    tools: ['refacing tool'],
    minutes: 30,
  };
}
