import type { Features } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature, finding, type Context, type Draft, type Fragment } from '../draft';
import { rebuild, sequence, strip } from '../sequence';
import { boltUp } from './bolting';

const JOINT = feature('bolted bonnet');

/** A bonnet held by studs and nuts on a crushed gasket: slackened, lifted, and bolted up again. */
export const boltedBonnet: Fragment = {
  name: 'bolted bonnet',
  openings: 'every',
  when: ({ joint }) => joint.kind === 'bolted-bonnet',
  compose: (c) => {
    if (c.condemned && c.opening.number > 1) return [];
    return [...takenOff(c), ...(c.condemned ? [] : putBack(c))];
  },
};

const gasketOf = ({ joint }: Features) =>
  joint.kind === 'bolted-bonnet' && joint.gasket === 'seal ring' ? 'bonnet seal' : 'bonnet gasket';

interface Lift {
  readonly title: string;
  readonly why: string;
  readonly caution: string;
}

/** What comes up with the bonnet. */
function liftOf({ closure, moved }: Features): Lift {
  if (moved.kind === 'handwheel') {
    return {
      title: 'Lift handwheel and bonnet off as one',
      why:
        closure.kind === 'wedge'
          ? 'Stem and wedge come with it; tilted, the wedge scratches both seats.'
          : 'The stem and disc come with it; tilted, they scratch the seat.',
      caution: CAUTIONS.lift,
    };
  }
  switch (closure.kind) {
    case 'balanced-plug':
      return {
        title: 'Lift straight up: bonnet, guide, cage, plug and stem together',
        why: 'Everything hangs on it; tilted, the seal rings jam in the cage.',
        caution: CAUTIONS.lift,
      };
    case 'ball-in-cage':
      return {
        title: 'Lift bonnet, stem, ball and cage together',
        why: 'Control ball and cage as they clear the body: they are loose on the stem.',
        caution: `${CAUTIONS.lift} A falling ball marks its own seat.`,
      };
    default:
      return {
        title: 'Lift the bonnet straight up',
        why: 'Plug and stem come with it, or stand in the body with the stem through it.',
        caution: CAUTIONS.lift,
      };
  }
}

function takenOff(c: Context): Draft[] {
  const lift = liftOf(c.features);
  return sequence(c, strip(JOINT, ['marked', 'actuator off', 'blind head off'], 'bonnet off'), [
    {
      id: 'strip.slack',
      title: 'Slacken gland nuts, then bonnet nuts',
      why: 'Gland first: it takes the packing’s grip off before the joint moves.',
      caution: `${CAUTIONS.slack} ${CAUTIONS.gland}`,
      tools: ['ring spanners'],
      parts: ['gland nuts', 'bonnet studs'],
      also: ['strip.wheel-nut'],
      minutes: 10,
    },
    {
      id: 'strip.gland-nuts',
      title: 'Gland nuts off',
      why: 'Takes the load off the packing so that the stem moves freely.',
      off: ['gland nuts'],
      minutes: 4,
    },
    {
      id: 'strip.bonnet-nuts',
      title: 'Bonnet nuts off, two opposing last',
      why: 'Two opposing nuts hold the bonnet if anything is still pushing.',
      caution: CAUTIONS.zero,
      off: ['bonnet studs'],
      minutes: 10,
    },
    {
      id: 'strip.lift',
      ...lift,
      off: c.has('yoke') ? ['bonnet', 'yoke'] : ['bonnet'],
      tools: ['sling'],
      minutes: 8,
    },
    {
      id: 'strip.gasket',
      title:
        gasketOf(c.features) === 'bonnet seal' ? 'Bonnet seal out, to scrap' : 'Old gasket out, to scrap',
      why: 'Once crushed it does not seal again.',
      off: [gasketOf(c.features)],
      minutes: 4,
    },
  ]);
}

function putBack(c: Context): Draft[] {
  const { features } = c;
  const seal = gasketOf(features);
  const wound = features.moved.kind === 'handwheel';
  const gasket = features.joint.kind === 'bolted-bonnet' ? features.joint.gasket : 'spiral-wound';
  return sequence(c, rebuild(JOINT, ['rebuild.clean', 'stem ready', 'trim in'], 'closed'), [
    {
      id: 'rebuild.gasket',
      title: seal === 'bonnet seal' ? 'New bonnet seal on its land' : `New ${gasket} gasket on the body`,
      why:
        seal === 'bonnet seal'
          ? 'Silicone grease holds it; a hair under it is a leak.'
          : 'Both faces clean and dry, the gasket centred in its recess. A crushed one is never used again.',
      caution: 'Never the old one again: once crushed it leaks.',
      on: [seal],
      consumables: [seal === 'bonnet seal' ? 'silicone grease' : `bonnet gasket, ${gasket}`],
      minutes: 5,
    },
    {
      id: 'rebuild.bonnet-on',
      title: wound
        ? `Bonnet on, ${c.has('wedge') ? 'wedge' : 'disc'} fully open, marks meeting`
        : 'Bonnet on level, marks meeting',
      why: 'Square on the body all the way down; snug the nuts by hand and look at the gap all round.',
      caution: wound
        ? c.has('wedge')
          ? 'Wedge fully open before the bonnet goes down: closed, it is driven between its seats and the stem bends.'
          : `${CAUTIONS.discOpen} Square all the way: a cocked bonnet crushes its gasket on one side.`
        : 'A cocked bonnet scores guide and cage and crushes its gasket on one side.',
      on: c.has('yoke') ? ['bonnet', 'yoke'] : ['bonnet'],
      parts: ['bonnet studs'],
      consumables: ['nickel anti-seize'],
      also: ['rebuild.open'],
      minutes: 12,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Bolt up the bonnet',
      why: 'Crosswise and in passes, so that the gasket is crushed evenly.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet studs'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 25,
    },
  ]);
}

/** Lapping or turning the joint faces, when a look said so. */
export const jointFaces: Fragment = {
  name: 'joint faces',
  openings: 'first',
  compose: (c) =>
    (['body', 'bonnet', 'cover', 'bonnet chamber'] as const).flatMap((part) => {
      const call = c.calls.get(part);
      if (c.condemned || call?.verdict !== 'rework') return [];
      const because = finding(`${part}: ${call.reason}`, call.because.at(-1));
      const slug = part.replaceAll(' ', '-');
      const method = call.method ?? 'clean up';
      if (method !== 'lap joint face' && method !== 'turn joint face') {
        return sequence(c, { stage: 'repair', because, after: ['stripped'], provides: ['repaired'] }, [
          {
            id: `repair.${slug}-${method.replaceAll(' ', '-')}`,
            title: `${part}: ${method}`,
            why: 'Dress it and look again.',
            parts: [part],
            minutes: 15,
          },
        ]);
      }
      return sequence(c, { stage: 'repair', because, after: ['stripped'], provides: ['repaired'] }, [
        method === 'turn joint face' && {
          id: `repair.turn-${slug}-face`,
          title: `Turn the joint face of the ${part}`,
          why: 'Too deep to lap: the least cut that cleans it up.',
          caution: CAUTIONS.lathe,
          parts: [part],
          tools: ['lathe'],
          minutes: 60,
        },
        {
          id: `repair.lap-${slug}-face`,
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
