import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = join(import.meta.dirname, '..');

describe('what is said of security', () => {
  const text = readFileSync(join(root, 'docs/security.md'), 'utf8');
  it('rests on files that are there', () => {
    const named = [...text.matchAll(/`([a-z][\w./-]*\.(?:ts|mjs|conf))`/g)].map(([, file]) => file);
    expect(named.length).toBeGreaterThan(20);
    expect(named.filter((file) => !existsSync(join(root, file)))).toEqual([]);
  });
  it('has every chapter of the standard once, each with how it stands', () => {
    const chapters = [...text.matchAll(/^## V(\d+) .*: (met|in part|not applicable|not met)$/gm)];
    // OWASP ASVS 5.0.0 has seventeen chapters, from memory.
    expect(chapters.map(([, number]) => Number(number))).toEqual(Array.from({ length: 17 }, (_, i) => i + 1));
  });
});
