import { SEAL_MEDIA, type SealMedium } from '../standards';

/** What media are called on nameplates, and what they are to an elastomer. */
const CALLED: readonly (readonly [RegExp, SealMedium])[] = [
  [/sour|h2s|hydrogen sulphide/i, 'hydrogen sulphide'],
  [/steam|vapour/i, 'steam'],
  [/heating water|hot water|feed ?water|condensate|juice|syrup|sugar/i, 'hot water'],
  [/produced water|brine|salt/i, 'brine'],
  [/water/i, 'water'],
  [/gas/i, 'natural gas'],
  [/air/i, 'air'],
  [/nitrogen/i, 'nitrogen'],
  [/crude/i, 'crude oil'],
  [/oil/i, 'mineral oil'],
  [/glycol/i, 'glycol'],
  [/methanol/i, 'methanol'],
  [/caustic/i, 'caustic'],
  [/oxygen/i, 'oxygen'],
];

/** The medium of the elastomer table that a nameplate means; undefined where it means none of them. */
export function sealMedium(name: string | undefined): SealMedium | undefined {
  if (name === undefined) return undefined;
  return (
    SEAL_MEDIA.find((each) => each === name.toLowerCase()) ?? CALLED.find(([words]) => words.test(name))?.[1]
  );
}
