/** Whose figure it is. The maker's figure on the valve's own sheet wins, then the site's rule, then the rest. */
export type Standing = 'maker' | 'site' | 'standard' | 'common-practice';

export interface Source {
  readonly standing: Standing;
  readonly name: string;
  readonly clause?: string;
  /** Present on tables carried from memory: verify against the current edition before use in service. */
  readonly fromMemory?: 'high' | 'medium' | 'low';
}

export const COMMON_PRACTICE: Source = { standing: 'common-practice', name: 'Common practice' };

export function standard(
  name: string,
  clause: string,
  fromMemory: 'high' | 'medium' | 'low' = 'high',
): Source {
  return { standing: 'standard', name, clause, fromMemory };
}

export function siteRule(name: string): Source {
  return { standing: 'site', name };
}

const STANDINGS: Readonly<Record<Standing, string>> = {
  maker: "maker's sheet",
  site: 'site rule',
  standard: 'published standard',
  'common-practice': 'common practice',
};

/** One line for a screen or a sheet of paper. */
export function describeSource(source: Source): string {
  const name = source.clause === undefined ? source.name : `${source.name}, ${source.clause}`;
  const standing = source.name === COMMON_PRACTICE.name ? '' : ` (${STANDINGS[source.standing]})`;
  const memory =
    source.fromMemory === undefined
      ? ''
      : '; from memory, verify against the current edition before use in service';
  return `${name}${standing}${memory}`;
}
