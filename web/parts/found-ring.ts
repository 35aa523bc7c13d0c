/** How a valve was found, as the ring that stands for it. */
export function ringOf(found: string): 'fit' | 'condemn' | 'rework' {
  if (found === 'good') return 'fit';
  return found === 'stuck' ? 'condemn' : 'rework';
}
