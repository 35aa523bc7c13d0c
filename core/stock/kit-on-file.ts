import { plateKey, type LaidSpare, type Valve } from '../valve';
import { kitFor, type KitSheet } from './kit';

/** A kit on file that is made for a valve, with the printed sheet it stands on. */
export interface KitOnFile {
  readonly sheet: string;
  readonly kit: string;
}

/** The kits on file for a valve: of each sheet of its construction the one whose features agree. */
export function kitsOnFile(sheets: readonly KitSheet[], valve: Valve): KitOnFile[] {
  return sheets
    .filter(({ construction }) => construction === valve.construction)
    .flatMap((sheet) => {
      const kit = kitFor(sheet, valve);
      return kit === undefined ? [] : [{ sheet: sheet.number, kit }];
    });
}

/**
 * Kits laid out whose code is on file for another valve, in words; empty when none is. A code that is on no sheet says
 * nothing here: it is held against the plate alone.
 */
export function wrongKits(sheets: readonly KitSheet[], valve: Valve, laid: readonly LaidSpare[]): string[] {
  const right = kitsOnFile(sheets, valve);
  return laid.flatMap(({ what, code }) => {
    if (what !== 'kit' || code === undefined) return [];
    const [first] = sheets.filter(({ kits }) => kits.some((kit) => same(kit.code, code)));
    if (!first || right.some(({ kit }) => same(kit, code))) return [];
    const wanted = right.map(({ kit, sheet }) => `${kit} of sheet ${sheet}`).join(' or ');
    return [
      `kit: ${code} is on file for another valve (sheet ${first.number})${wanted ? `, this one takes ${wanted}` : ''}`,
    ];
  });
}

const same = (one: string, other: string): boolean => plateKey(one) === plateKey(other);
