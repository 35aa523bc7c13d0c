import { mediumOf, SEAL_MEDIA, type SealMedium } from '../standards';

/** The medium of the elastomer table that a nameplate means; undefined where it means none of them. */
export function sealMedium(name: string | undefined): SealMedium | undefined {
  if (name === undefined) return undefined;
  return SEAL_MEDIA.find((each) => each === name.toLowerCase()) ?? mediumOf(name)?.seal;
}
