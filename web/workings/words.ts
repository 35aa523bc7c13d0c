import { wordProblem } from '@dusk-wren/contract/wording';
import type { Problem } from '@dusk-wren/core/problem';
import { describeSource } from '@dusk-wren/core/standards';
import { answerLines, type RegisteredWorking, type ResultValue, type Worked } from '@dusk-wren/core/workings';
import { listOf, rowsOf, type Typed } from './given';

type Answer = Worked<Readonly<Record<string, ResultValue | undefined>>>;

/** What went in, one line an entry. */
export function givenLines(working: RegisteredWorking, typed: Typed): { label: string; value: string }[] {
  return working.fields.flatMap((field) => {
    const text = typed[field.name]?.trim() ?? '';
    if (text === '') return [];
    if (field.kind === 'rows')
      return [
        {
          label: field.label,
          value: rowsOf(text)
            .map((row) => Object.values(row).join(' '))
            .join('; '),
        },
      ];
    const value = field.kind === 'quantities' || field.kind === 'choices' ? listOf(text).join('; ') : text;
    return [{ label: field.label, value }];
  });
}

/** A working as plain text, to paste into a letter or a message. */
export function asText(working: RegisteredWorking, typed: Typed, answer: Answer, address: string): string {
  const line = ({ label, value }: { label: string; value: string }) => `${label}: ${value}`;
  return [
    working.title,
    ...givenLines(working, typed).map(line),
    '',
    ...answerLines(working, answer).map(line),
    '',
    `Source: ${describeSource(answer.source)}`,
    address,
  ].join('\n');
}

const LONGEST_NOTE = 1000;

/** An answer as one note in a job's log, for workings whose input is a file and stays out of the log. */
export const asNote = (title: string, working: RegisteredWorking, answer: Answer) => ({
  kind: 'add-note' as const,
  body: {
    text: [title, ...answerLines(working, answer).map(({ label, value }) => `${label} ${value}`)]
      .join('; ')
      .slice(0, LONGEST_NOTE),
  },
});

/** The fields that a refusal is about, and the words at each; what is about several of them stays for the answer. */
export function problemsByField(
  problem: Problem,
  working: RegisteredWorking,
): Readonly<Record<string, string>> {
  if (problem.code !== 'input.invalid') return {};
  return Object.fromEntries(
    problem.issues.flatMap((issue) => {
      const name = issue.path.split('.')[0] ?? '';
      const known = working.fields.some((field) => field.name === name && field.kind !== 'rows');
      return known ? [[name, wordProblem({ code: 'input.invalid', issues: [{ ...issue, path: '' }] })]] : [];
    }),
  );
}

/** Why a working refuses, with its fields called as the form calls them. */
export function refusalWords(problem: Problem, { fields }: RegisteredWorking): string {
  const label = (name: string) => fields.find((field) => field.name === name)?.label ?? name;
  if (problem.code === 'input.out-of-range' || problem.code === 'input.too-few')
    return wordProblem({ ...problem, field: label(problem.field) });
  if (problem.code !== 'input.invalid') return wordProblem(problem);
  const issues = problem.issues.map((issue) => {
    const [name = '', row] = issue.path.split('.');
    const inRow = row !== undefined && /^\d+$/.test(row) ? `, row ${Number(row) + 1}` : '';
    const named = issue.problem.code === 'input.out-of-range' && inRow === '';
    return { ...issue, path: named ? '' : `${label(name)}${inRow}` };
  });
  return wordProblem({ code: 'input.invalid', issues });
}
