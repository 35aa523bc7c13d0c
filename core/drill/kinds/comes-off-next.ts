import { z } from 'zod';
import { capital, phrase, type Phrase } from '../../quantity';
import { partRoleSchema } from '../../inspection';
import type { PlannedStep } from '../../plan';
import type { PartRole, Valve } from '../../valve';
import type { DrillKind, Said } from '../frame/drill';
import type { MarkLine } from '../frame/marks';
import { planToPractise } from '../frame/practice-job';

const moveSchema = z.strictObject({ part: partRoleSchema });
type Move = z.output<typeof moveSchema>;

const PHASES = ['apart', 'together'] as const;
export type Phase = (typeof PHASES)[number];

/** Something done to parts of a valve, with what must be behind it. */
export interface Piece extends Pick<
  PlannedStep,
  'id' | 'title' | 'why' | 'parts' | 'off' | 'on' | 'unloads'
> {
  readonly phase: Phase;
  readonly after: readonly string[];
}

export interface ComesOffNext {
  readonly valve: Valve;
  readonly pieces: readonly Piece[];
}

/** Where the valve stands: what is done of it, and how many moves were wrong. */
export interface TakenApart {
  readonly phase: Phase;
  readonly done: ReadonlySet<string>;
  /** Parts that lie on the tray. */
  readonly off: ReadonlySet<PartRole>;
  readonly right: number;
  readonly wrong: number;
  readonly finished: boolean;
}

const stageOf = { apart: 'strip', together: 'rebuild' } as const;

/** From this level on it goes back together too. */
const TOGETHER_FROM = 3;

function piecesOf(valve: Valve, phases: readonly Phase[]): Piece[] {
  const { steps } = planToPractise(valve);
  const byId = new Map(steps.map((step) => [step.id, step]));
  return phases.flatMap((phase) => {
    const isPiece = ({ stage, opening, parts }: PlannedStep) =>
      stage === stageOf[phase] && opening === 1 && parts.length > 0;
    const own = steps.filter(isPiece);
    const names = new Set(own.map(({ id }) => id));
    return own.map(({ id, title, why, parts, off, on, unloads, after }) => ({
      ...{ id, title, why, parts, off, on, phase },
      ...(unloads ? { unloads } : {}),
      after: nearest(after, names, byId),
    }));
  });
}

/** The pieces that must be behind, straight through the steps that touch no part. */
function nearest(
  after: readonly string[],
  names: ReadonlySet<string>,
  byId: ReadonlyMap<string, PlannedStep>,
): string[] {
  const found = new Set<string>();
  const seen = new Set<string>();
  const look = (ids: readonly string[]) => {
    for (const id of ids) {
      if (seen.has(id)) continue;
      seen.add(id);
      if (names.has(id)) found.add(id);
      else look(byId.get(id)?.after ?? []);
    }
  };
  look(after);
  return [...found];
}

const START: Omit<TakenApart, 'phase' | 'finished'> = {
  done: new Set(),
  off: new Set(),
  right: 0,
  wrong: 0,
};

/** The phase in hand: together once all of it is apart. */
function phaseOf({ pieces }: ComesOffNext, done: ReadonlySet<string>): Phase {
  return pieces.some(({ id, phase }) => phase === 'apart' && !done.has(id)) ? 'apart' : 'together';
}

const isFinished = ({ pieces }: ComesOffNext, done: ReadonlySet<string>) => done.size === pieces.length;

/** What is meant by pointing at a part: the next thing that is done to it. */
function meantBy(exercise: ComesOffNext, done: ReadonlySet<string>, part: PartRole): Piece | undefined {
  const phase = phaseOf(exercise, done);
  return exercise.pieces.find(
    (piece) => piece.phase === phase && !done.has(piece.id) && piece.parts.includes(part),
  );
}

const waitsFor = ({ pieces }: ComesOffNext, piece: Piece, done: ReadonlySet<string>): Piece[] =>
  pieces.filter(({ id }) => piece.after.includes(id) && !done.has(id));

/** The valve after these moves. */
export function takenApart(exercise: ComesOffNext, moves: readonly Move[]): TakenApart {
  const so = moves.reduce((at, { part }) => {
    const piece = meantBy(exercise, at.done, part);
    if (!piece || waitsFor(exercise, piece, at.done).length > 0) return { ...at, wrong: at.wrong + 1 };
    const off = new Set([...at.off, ...piece.off]);
    for (const back of piece.on) off.delete(back);
    return { ...at, off, done: new Set([...at.done, piece.id]), right: at.right + 1 };
  }, START);
  return { ...so, phase: phaseOf(exercise, so.done), finished: isFinished(exercise, so.done) };
}

/** Why it cannot be done yet: a spring that still pushes before anything else, then what holds it. */
function whyNot(exercise: ComesOffNext, piece: Piece, done: ReadonlySet<string>, part: PartRole): Phrase {
  const [first] = waitsFor(exercise, piece, done);
  if (!first) return '';
  const loaded = stillLoaded(exercise, piece, done);
  if (loaded) {
    const pushes = SPRINGS.includes(part)
      ? 'The spring is still pressed'
      : `The spring still pushes the ${part}`;
    return phrase`${pushes}. First: ${loaded.title}. ${loaded.why}`;
  }
  const holds = first.off.length > 0 ? `In its way: ${first.off.slice(0, 2).join(', ')}. ` : '';
  return phrase`Not yet. ${holds}First: ${first.title}. ${first.why}`;
}

/** What lets a spring go, somewhere before this; nothing where no spring presses on what would come off. */
function stillLoaded(exercise: ComesOffNext, piece: Piece, done: ReadonlySet<string>): Piece | undefined {
  if (!piece.off.some((part) => PUSHED.test(part)) || piece.phase !== 'apart') return undefined;
  const before = [piece];
  for (const each of before)
    for (const wait of waitsFor(exercise, each, done)) if (!before.includes(wait)) before.push(wait);
  return before.find((each) => each !== piece && each.unloads);
}

const SPRINGS: readonly PartRole[] = ['spring', 'actuator spring', 'range spring'];
/** What a spring lies under or acts through. */
const PUSHED = /bonnet|actuator|housing|connector|lock nuts|spindle|spring/;

function saidOf(exercise: ComesOffNext, moves: readonly Move[]): Said | undefined {
  const last = moves.at(-1);
  if (!last) return undefined;
  const { done } = takenApart(exercise, moves.slice(0, -1));
  const piece = meantBy(exercise, done, last.part);
  if (!piece) return { right: false, words: `Nothing more is done to the ${last.part} here.` };
  return waitsFor(exercise, piece, done).length > 0
    ? { right: false, words: whyNot(exercise, piece, done, last.part) }
    : { right: true, words: phrase`${piece.title}. ${piece.why}` };
}

/** The first piece of the plan that nothing holds. */
function nextOf(exercise: ComesOffNext, done: ReadonlySet<string>): Piece | undefined {
  const phase = phaseOf(exercise, done);
  return exercise.pieces.find(
    (piece) => piece.phase === phase && !done.has(piece.id) && waitsFor(exercise, piece, done).length === 0,
  );
}

/** The part by which a piece is meant, and no other. */
const pointAt = (exercise: ComesOffNext, done: ReadonlySet<string>, piece: Piece): PartRole | undefined =>
  [...piece.off, ...piece.on, ...piece.parts].find((part) => meantBy(exercise, done, part) === piece);

function best(exercise: ComesOffNext): Move[] {
  const moves: Move[] = [];
  for (;;) {
    const { done } = takenApart(exercise, moves);
    const phase = phaseOf(exercise, done);
    const open = exercise.pieces.filter(
      (piece) => piece.phase === phase && !done.has(piece.id) && waitsFor(exercise, piece, done).length === 0,
    );
    const part = open.flatMap((piece) => pointAt(exercise, done, piece) ?? [])[0];
    if (part === undefined) return moves;
    moves.push({ part });
  }
}

export const comesOffNext: DrillKind<ComesOffNext, Move, never> = {
  id: 'comes-off-next',
  title: 'What comes off next',
  teaches:
    'A valve comes apart in the order that its own parts allow: what still holds, pushes or is not marked yet stops it.',
  minutes: 4,
  of: () => true,
  move: moveSchema,
  make: ({ valve, level }) => ({
    valve,
    pieces: piecesOf(valve, level >= TOGETHER_FROM ? PHASES : ['apart']),
  }),
  said: saidOf,
  ended: (exercise, moves) => takenApart(exercise, moves).finished,
  mark: (exercise, moves): MarkLine[] => {
    const { right, wrong, done } = takenApart(exercise, moves);
    const all = exercise.pieces.length;
    const share = right + wrong > 0 ? (right / (right + wrong)) * (done.size / all) : 0;
    return [
      {
        what: 'Every move as the parts allow it',
        of: 100,
        points: 100 * share,
        said: `${done.size} of ${all} done; ${wrong} ${wrong === 1 ? 'move' : 'moves'} that something stood in the way of.`,
      },
    ];
  },
  best,
  hint: (exercise, moves) => {
    const next = nextOf(exercise, takenApart(exercise, moves).done);
    return next ? phrase`${capital(next.parts[0] ?? '')}: ${next.why}` : 'All of it is done.';
  },
};
