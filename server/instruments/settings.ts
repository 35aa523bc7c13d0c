import type { DriverSetting, DriverSettings } from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import type { LinePattern } from '@dusk-wren/core/quantity';
import { wrongOfAddress } from './inside';
import { sourceFor } from './registry';

interface Issue {
  readonly path: string;
  readonly message: string;
}

/** Why this driver, set so, cannot read an instrument of this kind; nothing where it can. No driver is read by eye. */
export function wrongOfDriver(driver: string, kind: InstrumentKind, settings: DriverSettings): Issue[] {
  const source = sourceFor(driver);
  if (driver !== '' && source?.kind !== kind)
    return [{ path: 'driver', message: `nothing called “${driver}” reads a ${kind}` }];
  const wrong = Object.entries(settings).flatMap(([name, value]) => {
    const message = wrongOf(
      source?.settings.find((each) => each.name === name),
      value,
    );
    return message === undefined ? [] : [{ path: `settings.${name}`, message }];
  });
  if (wrong.length > 0 || !source?.lines || source.lines(settingsOf(source, settings))) return wrong;
  const message = 'no number in that line is what it showed: let it send one that is not zero';
  return [{ path: 'settings.example', message }];
}

function wrongOf(setting: DriverSetting | undefined, value: number | string): string | undefined {
  switch (setting?.is) {
    case undefined:
      return 'nothing on this driver is set by that name';
    case 'number': {
      const { least, most, whole } = setting;
      if (typeof value !== 'number' || !(value >= least && value <= most)) return `from ${least} to ${most}`;
      return whole && !Number.isInteger(value) ? 'a whole number' : undefined;
    }
    case 'choice':
      return setting.options.includes(String(value)) ? undefined : `one of ${setting.options.join(', ')}`;
    case 'address':
      return wrongOfAddress(value);
    case 'text':
      return String(value).length > setting.most ? `${setting.most} letters at most` : undefined;
  }
}

/** Settings as an address or a cell of a file says them: a figure where a number is set, else as it stands. */
export const readSettings = (driver: string, said: Readonly<Record<string, string>>): DriverSettings =>
  Object.fromEntries(
    Object.entries(said).map(([name, value]) => {
      const isNumber = sourceFor(driver)?.settings.find((each) => each.name === name)?.is === 'number';
      // What is no number stays as it was said, to be refused in those words.
      const figure = value.trim() === '' ? Number.NaN : Number(value);
      return [name, isNumber && !Number.isNaN(figure) ? figure : value];
    }),
  );

/** How a driver is set: as it was asked, and as usual in all else. */
export const settingsOf = (
  { settings }: { readonly settings: readonly DriverSetting[] },
  asked: DriverSettings,
): DriverSettings => Object.fromEntries(settings.map(({ name, usual }) => [name, asked[name] ?? usual]));

/** How the lines of an instrument read, where it types or sends them to a screen. */
export function linesOf(driver: string, asked: DriverSettings): LinePattern | undefined {
  const source = sourceFor(driver);
  return source?.lines?.(settingsOf(source, asked));
}
