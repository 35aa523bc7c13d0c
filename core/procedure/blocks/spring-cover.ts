import type { PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import type { Sketch } from '../sequence';

/** A cover with a spring pushing under it: what holds it, what it is, and what lies under it. */
interface SpringCover {
  readonly bolts: PartRole;
  readonly cover: PartRole;
  readonly spring: PartRole;
  readonly caution?: string;
}

/** Opened with two opposing bolts to the last and the cover held. Shared by every cover with a spring under it. */
export function springCoverOff({ bolts, cover, spring, caution = CAUTIONS.spring }: SpringCover): Sketch[] {
  return [
    {
      id: 'strip.cover-bolts',
      title: `All ${bolts} out but two opposing`,
      why: 'Two opposing hold the cover while the spring pushes.',
      caution,
      off: [bolts],
      minutes: 8,
    },
    {
      id: 'strip.cover-clamp',
      title: `Clamp the ${cover}, then the last two`,
      why: 'The spring stands under it: let it up slowly.',
      caution,
      tools: ['clamps or long studs'],
      parts: [cover, bolts],
      minutes: 5,
    },
    {
      id: 'strip.cover',
      title: `Lift the ${cover}; spring out`,
      why: 'Look at the spring for fractures as it comes.',
      caution: CAUTIONS.lift,
      off: [cover, spring],
      minutes: 5,
    },
  ];
}

/** Closed again with the spring seated and the bolts started by hand. */
export function springCoverOn({ bolts, cover, spring }: SpringCover, also: Partial<Sketch> = {}): Sketch[] {
  return [
    {
      id: 'rebuild.spring',
      title: `Spring in, seated; ${cover} on, holes aligned`,
      why: 'A spring off its seat leans and the cover will not go down square.',
      caution: CAUTIONS.clampedSpring,
      on: [spring, cover],
      minutes: 8,
    },
    {
      id: 'rebuild.bolt-up',
      title: `Bolt up the ${cover}`,
      why: 'Two opposing first to hold the spring, then crosswise and in passes.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: [bolts],
      minutes: 20,
      ...also,
    },
  ];
}
