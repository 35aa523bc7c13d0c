export {
  COMMANDS,
  commandSchema,
  isCommandKind,
  isSigned,
  mayCountersign,
  type Command,
  type CommandKind,
  type RawCommand,
} from './registry';
export { decide, openJob, readCommand, record, type Stamp } from './decide';
export { readOtherwise, type InDoubt, type ReadOtherwise } from './read-otherwise';
export { replay, type RefusedEntry } from './replay';
export { NOT_KNOWN_HERE, NOTHING_OUTSIDE, type Edge, type NotKnownHere, type UnitInShop } from './edge';
