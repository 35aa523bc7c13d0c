import { z } from 'zod';
import { fieldMeta, type About } from '../field-meta';

const LARGEST_RECORDING = 256 * 1024 * 1024;

/** A CSV file as bytes or text, alone or with the columns chosen by hand. */
export function recordingField<C extends z.ZodType>(columns: C, about: About) {
  const bytes = z.union([
    z.instanceof(Uint8Array),
    z.string().transform((text): Uint8Array => new TextEncoder().encode(text)),
  ]);
  const withColumns = z.strictObject({ bytes, columns: columns.exactOptional() });
  return z
    .union([bytes.transform((read): z.output<typeof withColumns> => ({ bytes: read })), withColumns])
    .refine((read) => read.bytes.length <= LARGEST_RECORDING, 'the recording is larger than 256 MB')
    .register(fieldMeta, { ...about, kind: 'file' });
}

/** A picture as a canvas gives it: RGBA, row by row. */
export function pictureField(about: About) {
  return z
    .object({
      width: z.int().min(16).max(20_000),
      height: z.int().min(16).max(20_000),
      data: z.union([
        z.instanceof(Uint8ClampedArray),
        z.array(z.int().min(0).max(255)).transform((bytes) => Uint8ClampedArray.from(bytes)),
      ]),
    })
    .refine(
      ({ width, height, data }) => data.length === 4 * width * height,
      'a picture has four bytes for each pixel',
    )
    .register(fieldMeta, { ...about, kind: 'file' });
}
