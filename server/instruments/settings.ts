import type { DriverSetting, DriverSettings } from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
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
  return Object.entries(settings).flatMap(([name, value]) => {
    const wrong = wrongOf(
      source?.settings.find((each) => each.name === name),
      value,
    );
    return wrong === undefined ? [] : [{ path: `settings.${name}`, message: wrong }];
  });
}

function wrongOf(setting: DriverSetting | undefined, value: number): string | undefined {
  if (!setting) return 'nothing on this driver is set by that name';
  const { least, most } = setting;
  return value < least || value > most ? `from ${least} to ${most}` : undefined;
}

/** How a driver is set: as it was asked, and as usual in all else. */
export const settingsOf = (
  { settings }: { readonly settings: readonly DriverSetting[] },
  asked: DriverSettings,
): DriverSettings => Object.fromEntries(settings.map(({ name, usual }) => [name, asked[name] ?? usual]));
