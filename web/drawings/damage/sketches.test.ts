import { findingSchema, type Finding } from '@dusk-wren/core/inspection';
import { thou } from '@dusk-wren/core/quantity';
import { describe, expect, it } from 'vitest';
import { sketchOf, type Sketch } from './sketches';

/** Every finding that can be made, in every form. */
const findings: Finding[] = findingSchema.options.flatMap((option) => {
  const { kind, ...shape } = option.shape;
  const [name] = [...kind.values];
  const form = Object.entries(shape).find(([, field]) => 'options' in field);
  const rest = { ...('depth' in shape ? { depth: thou(2) } : {}), ...('what' in shape ? { what: '?' } : {}) };
  const forms: unknown[] = form && 'options' in form[1] ? [...form[1].options] : [undefined];
  return forms.map((each) =>
    findingSchema.parse({ kind: name, ...rest, ...(form ? { [form[0]]: each } : {}) }),
  );
});
const all = ({ on, marks = '', dark = '' }: Sketch) => `${on} ${marks} ${dark}`;

describe('sketches of damage', () => {
  it('there is one for whatever can be seen, and none for nothing', () => {
    expect(findings.length).toBeGreaterThan(25);
    for (const finding of findings)
      expect(sketchOf(finding) === undefined, finding.kind).toBe(['sound', 'unsure'].includes(finding.kind));
  });

  it('no two look alike, but what sticks and what is stiff', () => {
    const drawn = findings
      .filter(({ kind }) => kind !== 'stuck')
      .flatMap((finding) => sketchOf(finding) ?? []);
    expect(new Set(drawn.map(all)).size).toBe(drawn.length);
  });

  it('stay inside their box', () => {
    for (const finding of findings) {
      const sketch = sketchOf(finding);
      const absolute = /[MLHVCAZ]/.test(sketch ? all(sketch) : '') ? (sketch?.on ?? '') : '';
      for (const [, x = 0, y = 0] of absolute.matchAll(/[ML](\d+(?:\.\d+)?) (\d+(?:\.\d+)?)/g)) {
        expect(Number(x)).toBeLessThanOrEqual(64);
        expect(Number(y)).toBeLessThanOrEqual(40);
      }
    }
  });
});
