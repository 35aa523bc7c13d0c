import { thou } from '../quantity';
import type { PartRole } from '../valve';
import type { Draft, LookChoice } from './draft';

const SOUND: LookChoice = { label: 'Nothing found', finding: { kind: 'sound' } };
const UNSURE: LookChoice = {
  label: 'Not sure: ask',
  finding: { kind: 'unsure', what: 'not sure what this is' },
};
const CRACKED: LookChoice = { label: 'Cracked', finding: { kind: 'cracked' } };
const asked = (label: string, finding: LookChoice['finding']): LookChoice => ({
  label,
  finding,
  asksDepth: true,
});

const seating: LookChoice[] = [
  asked('Wire drawn', { kind: 'seat damage', form: 'wire drawn', depth: thou(0) }),
  asked('Pitted', { kind: 'seat damage', form: 'pitted', depth: thou(0) }),
  asked('Dented', { kind: 'seat damage', form: 'dented', depth: thou(0) }),
  asked('Worn to one side', { kind: 'seat damage', form: 'worn to one side', depth: thou(0) }),
  CRACKED,
];

const jointFace: LookChoice[] = [
  asked('Steam cut', { kind: 'joint face damage', form: 'steam cut', depth: thou(0) }),
  asked('Pit', { kind: 'joint face damage', form: 'pit', depth: thou(0) }),
  { label: 'Light corrosion', finding: { kind: 'corroded', degree: 'light' } },
  { label: 'Deep corrosion', finding: { kind: 'corroded', degree: 'deep' } },
  CRACKED,
];

const CHOICES: Partial<Record<PartRole, LookChoice[]>> = {
  seat: seating,
  disc: seating,
  body: jointFace,
  bonnet: jointFace,
  stem: [
    { label: 'Marked where packing runs', finding: { kind: 'stem mark', zone: 'packing zone' } },
    { label: 'Marked below the backseat', finding: { kind: 'stem mark', zone: 'below the backseat' } },
    { label: 'Thread marked', finding: { kind: 'stem mark', zone: 'thread' } },
    CRACKED,
  ],
  'stem bushing': [{ label: 'Thread worn', finding: { kind: 'thread worn' } }, CRACKED],
  gland: [{ label: 'Scored', finding: { kind: 'scored' } }, CRACKED],
  'bonnet studs': [
    { label: 'Corroded', finding: { kind: 'corroded', degree: 'deep' } },
    { label: 'Thread worn', finding: { kind: 'thread worn' } },
  ],
};

/** A look at one part: what may be said of it. */
export function look(part: PartRole): Pick<Draft, 'task' | 'parts'> {
  return { parts: [part], task: { kind: 'look', part, choices: [SOUND, ...(CHOICES[part] ?? []), UNSURE] } };
}

/** A look at whether the disc swivels on its stem. */
export function lookSwivel(): Pick<Draft, 'task' | 'parts'> {
  return {
    parts: ['disc'],
    task: {
      kind: 'look',
      part: 'disc',
      choices: [
        { label: 'Swivels freely', finding: { kind: 'sound' } },
        { label: 'Stuck', finding: { kind: 'stuck' } },
        { label: 'Thread worn', finding: { kind: 'thread worn' } },
        UNSURE,
      ],
    },
  };
}
