import { z } from 'zod';
import type { Dimension } from '../../quantity';

/** What an input field is, for a form or a list: the schema itself says what it takes. */
export type FieldKind =
  | { kind: 'quantity'; dimensions: readonly Dimension[]; units: readonly string[]; bareUnit?: string }
  | { kind: 'quantities'; dimension: Dimension; units: readonly string[] }
  | { kind: 'number' }
  | { kind: 'choice'; choices: readonly string[] }
  | { kind: 'choices'; choices: readonly string[] }
  | { kind: 'yes-no' }
  | { kind: 'date' }
  | { kind: 'text' }
  /** A small table; of one row, where figures belong together. */
  | { kind: 'rows'; columns: readonly Column[]; one?: true }
  | { kind: 'file' };

/** One column of a field that is a small table. */
export interface Column {
  readonly name: string;
  readonly label: string;
  readonly example: string;
}

/** What a form says beside any field. */
export interface About {
  label: string;
  /** A value that works, as a person would type it. */
  example?: string;
  /** Part of the worked example, though it may be left out. */
  inExample?: true;
  /** Rows of a small table that work, cell by cell in the order of its columns. */
  exampleRows?: readonly (readonly string[])[];
  /** One of several ways to say the same: what they say, and what this one is called. Fields of one way belong together. */
  oneOf?: { readonly of: string; readonly as: string };
  /** Wanted only while another field has one of these values. */
  onlyFor?: { readonly field: string; readonly values: readonly string[] };
}

export type FieldMeta = FieldKind & About;

/** The labels and kinds of every field, beside the schemas that read them. */
export const fieldMeta = z.registry<FieldMeta>();
