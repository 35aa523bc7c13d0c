import { z } from 'zod';
import { atLeastOne } from '../problem';
import { leaveForNow } from './commands/leave-for-now';
import { addNote } from './commands/add-note';
import { assignPerson } from './commands/assign-person';
import { attachWorking } from './commands/attach-working';
import { changePlace } from './commands/change-place';
import { changeScope } from './commands/change-scope';
import { chooseWay } from './commands/choose-way';
import { checkKit } from './commands/check-kit';
import { takeUnit } from './commands/take-unit';
import { checkBluing } from './commands/check-bluing';
import { doStep } from './commands/do-step';
import { fitPacking } from './commands/fit-packing';
import { identifyValve } from './commands/identify-valve';
import { logLapping } from './commands/log-lapping';
import { makeFinding } from './commands/make-finding';
import { orderPart } from './commands/order-part';
import { overruleCall } from './commands/overrule-call';
import { receivePart } from './commands/receive-part';
import { releaseHold } from './commands/release-hold';
import { runPressureTest } from './commands/run-pressure-test';
import { drawLine } from './commands/draw-line';
import { hangLock } from './commands/hang-lock';
import { removeLock } from './commands/remove-lock';
import { signIsolation } from './commands/sign-isolation';
import { takeEvidence } from './commands/take-evidence';
import { placeFault } from './commands/place-fault';
import { seeWayRound } from './commands/see-way-round';
import { setMark } from './commands/set-mark';
import { layPart } from './commands/lay-part';
import { addPhoto } from './commands/add-photo';
import { matchSpares } from './commands/match-spares';
import { checkMakersSheet } from './commands/check-makers-sheet';
import { fileMakersSheet } from './commands/file-makers-sheet';
import { signCertificate } from './commands/sign-certificate';
import { strikeEntry } from './commands/strike-entry';
import { takeMeasurement } from './commands/take-measurement';
import { keepCurve } from './commands/keep-curve';
import { keepStroke } from './commands/keep-stroke';
import { turnScrew } from './commands/turn-screw';
import { traceLeak } from './commands/trace-leak';
import { takeRunout } from './commands/take-runout';
import { tightenBolt } from './commands/tighten-bolt';

/** Every command there is; opening a job is not one of them, for there is no job yet to ask. */
export const COMMANDS = {
  'identify-valve': identifyValve,
  'do-step': doStep,
  'take-measurement': takeMeasurement,
  'turn-screw': turnScrew,
  'trace-leak': traceLeak,
  'keep-curve': keepCurve,
  'keep-stroke': keepStroke,
  'take-runout': takeRunout,
  'make-finding': makeFinding,
  'overrule-call': overruleCall,
  'order-part': orderPart,
  'receive-part': receivePart,
  'check-bluing': checkBluing,
  'log-lapping': logLapping,
  'fit-packing': fitPacking,
  'tighten-bolt': tightenBolt,
  'run-pressure-test': runPressureTest,
  'release-hold': releaseHold,
  'strike-entry': strikeEntry,
  'add-note': addNote,
  'leave-for-now': leaveForNow,
  'attach-working': attachWorking,
  'check-kit': checkKit,
  'change-place': changePlace,
  'change-scope': changeScope,
  'choose-way': chooseWay,
  'take-unit': takeUnit,
  'assign-person': assignPerson,
  'draw-line': drawLine,
  'hang-lock': hangLock,
  'remove-lock': removeLock,
  'sign-isolation': signIsolation,
  'take-evidence': takeEvidence,
  'place-fault': placeFault,
  'see-way-round': seeWayRound,
  'set-mark': setMark,
  'lay-part': layPart,
  'add-photo': addPhoto,
  'match-spares': matchSpares,
  'file-makers-sheet': fileMakersSheet,
  'check-makers-sheet': checkMakersSheet,
  'sign-certificate': signCertificate,
} as const;

export type CommandKind = keyof typeof COMMANDS;

export const commandSchema = z.discriminatedUnion(
  'kind',
  atLeastOne(Object.values(COMMANDS).map(({ schema }) => schema)),
);

/** A command as it was read: texts are quantities already. */
export type Command = z.output<typeof commandSchema>;
/** A command as it is sent: quantities may be the texts that were typed. */
export type RawCommand = z.input<typeof commandSchema>;

/** Whether a command is a signature: the person's PIN is asked again for it. */
/** Done with one's own hands at somebody else's screen, by name and PIN: a reading by another, a seal by whoever may. */
const AT_ANOTHERS_SCREEN: readonly CommandKind[] = ['take-measurement', 'do-step'];
export const mayCountersign = (kind: CommandKind): boolean =>
  isSigned(kind) || AT_ANOTHERS_SCREEN.includes(kind);

export function isSigned(kind: CommandKind): boolean {
  const command: { readonly signed?: true } = COMMANDS[kind];
  return command.signed === true;
}

export function isCommandKind(kind: string): kind is CommandKind {
  return Object.hasOwn(COMMANDS, kind);
}
