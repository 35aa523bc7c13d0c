/** An open job, as far as a file is told to be of it. */
export interface Candidate {
  readonly id: string;
  readonly tag: string;
}
export type JobOfFile =
  | { readonly is: 'job'; readonly id: string }
  | { readonly is: 'none' }
  | { readonly is: 'several'; readonly tag: string };

const wordsOf = (name: string): string[] =>
  name
    .normalize('NFKC')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/**
 * The open job that a file is of: its name begins with the tag, whatever stands between and after its words. The longest
 * tag counts, so that `PV 10 A stroke.csv` is of PV-10-A and not of PV-10.
 */
export function jobOfFile(file: string, open: readonly Candidate[]): JobOfFile {
  const words = wordsOf(file.replace(/\.[^.]*$/, ''));
  const lengthOf = ({ tag }: Candidate): number => {
    const its = wordsOf(tag);
    return its.length <= words.length && its.every((word, i) => word === words[i]) ? its.length : 0;
  };
  const longest = Math.max(0, ...open.map(lengthOf));
  if (longest === 0) return { is: 'none' };
  const [first, ...others] = open.filter((each) => lengthOf(each) === longest);
  if (!first) return { is: 'none' };
  return others.length > 0 ? { is: 'several', tag: first.tag } : { is: 'job', id: first.id };
}
