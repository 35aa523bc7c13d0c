import type { Length, Torque } from '../quantity';
import { SHEET_LENGTHS, TORQUE_PLACES, type MakersSheet } from './makers-sheet';

/** A figure that a maker's sheet may give: where it stands in its record, what it is called, and what it is of. */
export interface SheetFigure {
  readonly key: string;
  readonly words: string;
  readonly dimension: 'torque' | 'length';
}

const own = (key: keyof MakersSheet['figures'], words: string, dimension: SheetFigure['dimension']) => ({
  ...{ key, words, dimension },
});

/** All of them, in the order that a sheet is read. */
export const SHEET_FIGURES: readonly SheetFigure[] = [
  own('jointTorque', 'torque of the joint', 'torque'),
  own('glandTorque', 'torque of the gland', 'torque'),
  ...TORQUE_PLACES.map((place) => ({
    ...{ key: `torques.${place}`, words: `torque of the ${place}`, dimension: 'torque' as const },
  })),
  ...SHEET_LENGTHS.map((what) => ({
    ...{ key: `lengths.${what}`, words: `${what}, new`, dimension: 'length' as const },
  })),
  own('stemTir', 'limit of stem runout', 'length'),
];

/** A figure as a sheet gives it, with its page. */
export interface GivenFigure {
  readonly figure: SheetFigure;
  readonly value: Torque | Length;
  readonly page: string;
}

/** What a sheet gives, in the order that it is read. */
export function figuresOn({ figures }: MakersSheet): GivenFigure[] {
  const { torques = {}, lengths = {}, ...others } = figures;
  const given = new Map<string, { value: Torque | Length; page: string }>([
    ...Object.entries(others),
    ...Object.entries(torques).map(([place, figure]) => [`torques.${place}`, figure] as const),
    ...Object.entries(lengths).map(([what, figure]) => [`lengths.${what}`, figure] as const),
  ]);
  return SHEET_FIGURES.flatMap((figure) => {
    const found = given.get(figure.key);
    return found ? [{ figure, ...found }] : [];
  });
}

/** A figure that somebody typed, still to be read: `makersSheet` does. */
export interface TypedFigure {
  readonly key: string;
  readonly value: unknown;
  readonly page: string;
}

/** Figures as a sheet's record holds them, for `makersSheet` to read. */
export function asFigures(typed: readonly TypedFigure[]): Record<string, unknown> {
  const within = (group: string) =>
    Object.fromEntries(
      typed
        .filter(({ key }) => key.startsWith(`${group}.`))
        .map(({ key, value, page }) => [key.slice(group.length + 1), { value, page }]),
    );
  const [torques, lengths] = [within('torques'), within('lengths')];
  return {
    ...Object.fromEntries(
      typed.filter(({ key }) => !key.includes('.')).map(({ key, value, page }) => [key, { value, page }]),
    ),
    ...(Object.keys(torques).length > 0 ? { torques } : {}),
    ...(Object.keys(lengths).length > 0 ? { lengths } : {}),
  };
}
