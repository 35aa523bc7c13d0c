import { ok } from '../../problem';
import { makersLength, type PartRole, type SheetLength } from '../../valve';
import { fitClearance } from '../../workings';
import type { Judge } from './judgement';

/** The four figures of a fit: the bore and what runs in it, each measured two ways. */
export interface FitFigures {
  readonly bore: string;
  readonly boreAcross: string;
  readonly shaft: string;
  readonly shaftAcross: string;
}

interface Fit {
  readonly subject: string;
  readonly part: PartRole;
  readonly of: 'a guide' | 'a hinge pin';
  readonly bore: string;
  readonly shaft: string;
  readonly sheet: SheetLength;
}

const across = (what: string) => `${what}, square to that`;

export const figuresOfFit = ({ bore, shaft }: Pick<Fit, 'bore' | 'shaft'>): FitFigures => ({
  bore,
  boreAcross: across(bore),
  shaft,
  shaftAcross: across(shaft),
});

/** What runs in a bore, by their clearance. */
export function clearanceOf(fit: Fit): Judge {
  const names = figuresOfFit(fit);
  return {
    subject: fit.subject,
    reads: Object.values(names),
    part: fit.part,
    sheet: fit.sheet,
    judge: (readings, valve) => {
      const [bore, boreAcross] = [readings(names.bore, 'length'), readings(names.boreAcross, 'length')];
      const [shaft, shaftAcross] = [readings(names.shaft, 'length'), readings(names.shaftAcross, 'length')];
      if (!bore || !boreAcross || !shaft || !shaftAcross) return undefined;
      const whenNew = makersLength(valve, fit.sheet);
      const given = {
        bore,
        boreAcross,
        shaft,
        shaftAcross,
        of: fit.of,
        ...(whenNew ? { newClearance: whenNew.value } : {}),
      };
      const worked = fitClearance.work(given);
      if (!worked.ok) return worked;
      const { clearance, limit, verdict } = worked.value.result;
      const source = whenNew?.source ?? worked.value.source;
      return ok({
        figures: [{ what: 'clearance', found: clearance, limit, verdict, source }],
        working: fitClearance.id,
        given,
        shown: worked.value,
      });
    },
  };
}

export const RELIEF_GUIDE = {
  subject: 'disc holder in its guide',
  part: 'guide bush',
  of: 'a guide',
  bore: 'guide bore',
  shaft: 'holder diameter',
  sheet: 'clearance of the guide',
} as const satisfies Fit;

export const UPPER_GUIDE = {
  subject: 'plug in its upper guide',
  part: 'upper guide',
  of: 'a guide',
  bore: 'upper guide bore',
  shaft: 'upper post of the plug',
  sheet: 'clearance of the guide',
} as const satisfies Fit;

export const LOWER_GUIDE = {
  subject: 'plug in its lower guide',
  part: 'lower guide',
  of: 'a guide',
  bore: 'lower guide bore',
  shaft: 'lower post of the plug',
  sheet: 'clearance of the guide',
} as const satisfies Fit;

export const CAGE_GUIDE = {
  subject: 'plug in its cage',
  part: 'cage',
  of: 'a guide',
  bore: 'cage bore',
  shaft: 'plug diameter',
  sheet: 'clearance of the guide',
} as const satisfies Fit;

export const HINGE = {
  subject: 'hinge pin in its bushings',
  part: 'hinge pin',
  of: 'a hinge pin',
  bore: 'bush bore',
  shaft: 'pin diameter',
  sheet: 'clearance of the hinge pin',
} as const satisfies Fit;
