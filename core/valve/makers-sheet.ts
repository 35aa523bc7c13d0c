import { z } from 'zod';
import { quantityOf, type Length, type Torque } from '../quantity';
import type { Source } from '../standards';
import { boltedJoint, type Features } from './features';
import { plateKey } from './plate-reader';

const page = z.string().trim().min(1).max(20);
const figure = <D extends 'torque' | 'length'>(dimension: D) =>
  z.strictObject({ value: quantityOf(dimension), page });

/** What is tightened to a figure besides the joint and the gland of a packed box. */
export const TORQUE_PLACES = [
  'seat retainer',
  'pivot',
  'diaphragm bolt',
  'trunnion plug',
  'insert screw',
  'yoke',
  'yoke clamp bolt',
  'nozzle',
  'liner sub',
  'bonnet',
  'packing gland',
  'bearing cap',
] as const;
export type TorquePlace = (typeof TORQUE_PLACES)[number];

/** Lengths that wear is judged against. */
export const SHEET_LENGTHS = [
  'clearance of the guide',
  'clearance of the hinge pin',
  'free length of the spring',
] as const;
export type SheetLength = (typeof SHEET_LENGTHS)[number];

/** What a maker's sheet says of a model: typed once, with its revision and the page of every figure. */
export const makersSheet = z.strictObject({
  model: z.string().trim().min(1).max(60),
  revision: z.string().trim().min(1).max(20),
  figures: z
    .strictObject({
      jointTorque: figure('torque').exactOptional(),
      glandTorque: figure('torque').exactOptional(),
      stemTir: figure('length').exactOptional(),
      torques: z.partialRecord(z.enum(TORQUE_PLACES), figure('torque')).exactOptional(),
      lengths: z.partialRecord(z.enum(SHEET_LENGTHS), figure('length')).exactOptional(),
    })
    .refine((figures) => Object.keys(figures).length > 0, 'the sheet has no figure yet'),
});
export type MakersSheet = z.output<typeof makersSheet>;

/** The model as sheets are filed by it. */
export const sheetKey = plateKey;

/** A valve as far as its maker's figures go. */
interface OnSheet {
  readonly sheet?: MakersSheet;
  readonly features: Features;
}

/** A maker's figure with where it stands. */
export interface MakersFigure<Q> {
  readonly value: Q;
  readonly source: Source;
}

const onPage = <Q>(
  sheet: MakersSheet,
  { value, page: where }: { value: Q; page: string },
): MakersFigure<Q> => ({
  value,
  source: {
    standing: 'maker',
    name: `Sheet ${sheet.model}`,
    clause: `revision ${sheet.revision}, page ${where}`,
  },
});

/** The joint's torque by the maker: from the sheet on file, else as it was typed for this valve. */
export function makersJointTorque({ sheet, features }: OnSheet): MakersFigure<Torque> | undefined {
  if (sheet?.figures.jointTorque) return onPage(sheet, sheet.figures.jointTorque);
  const typed = boltedJoint(features)?.makersTorque;
  return typed && { value: typed, source: { standing: 'maker', name: "Maker's torque sheet" } };
}

/** The gland's torque by the maker, where there is one. */
export function makersGlandTorque({ sheet, features }: OnSheet): MakersFigure<Torque> | undefined {
  if (sheet?.figures.glandTorque) return onPage(sheet, sheet.figures.glandTorque);
  const typed = 'chamber' in features.packing ? features.packing.glandTorque : undefined;
  return typed && { value: typed, source: { standing: 'maker', name: "Maker's torque sheet" } };
}

/** The maker's torque of any other place, where there is one. */
export function makersTorque({ sheet }: OnSheet, place: TorquePlace): MakersFigure<Torque> | undefined {
  const found = sheet?.figures.torques?.[place];
  return sheet && found && onPage(sheet, found);
}

/** A length of the new part by the maker, where there is one. */
export function makersLength({ sheet }: OnSheet, of: SheetLength): MakersFigure<Length> | undefined {
  const found = sheet?.figures.lengths?.[of];
  return sheet && found && onPage(sheet, found);
}

/** The maker's limit on the stem's runout, where there is one. */
export function makersStemTir({ sheet }: OnSheet): MakersFigure<Length> | undefined {
  return sheet?.figures.stemTir && onPage(sheet, sheet.figures.stemTir);
}
