import { dirname, join } from 'node:path';
import { createRequire } from 'node:module';

const require = createRequire(import.meta.url);

/** The product's own fonts, as files for the PDF writer. */
const file = (family: string, weight: number) =>
  join(
    dirname(require.resolve(`@fontsource/${family}/package.json`)),
    'files',
    `${family}-latin-${weight}-normal.woff`,
  );

export const FONTS = {
  Reading: { normal: file('atkinson-hyperlegible-next', 400), bold: file('atkinson-hyperlegible-next', 700) },
  Label: { normal: file('barlow-semi-condensed', 400), bold: file('barlow-semi-condensed', 600) },
};
