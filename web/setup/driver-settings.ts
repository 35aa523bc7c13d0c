import type { DriverSetting, DriverSettings } from '@dusk-wren/contract';

/** Settings of the whole driver, and a row of them for each value that it reads. */
export interface SettingRows {
  readonly own: readonly DriverSetting[];
  readonly columns: readonly string[];
  readonly rows: readonly { readonly of: string; readonly settings: readonly DriverSetting[] }[];
}

export function rowsOf(settings: readonly DriverSetting[]): SettingRows {
  const own = settings.filter(({ of }) => of === undefined);
  const names = [...new Set(settings.flatMap(({ of }) => of ?? []))];
  const rows = names.map((of) => ({ of, settings: settings.filter((each) => each.of === of) }));
  const columns = [...new Set(rows.flatMap((row) => row.settings.map(({ label }) => label)))];
  return { own, columns, rows };
}

/** What a field of a setting says, as it is kept: a figure where a number is set. Blank is what is usual. */
export const asKept = (setting: DriverSetting, text: string): number | string =>
  setting.is !== 'number' ? text : text.trim() === '' ? Number.NaN : Number(text);

/** Why a field cannot stay so; nothing where it can. The server looks at the rest. */
export function wrongOf(setting: DriverSetting, text: string): string | undefined {
  if (setting.is === 'address')
    return /^\d{1,3}(\.\d{1,3}){3}$/.test(text.trim()) ? undefined : `${setting.label}: such as 192.168.1.20`;
  if (setting.is === 'choice') return undefined;
  if (setting.is === 'text') return text.trim() === '' ? `${setting.label}: let it send one` : undefined;
  const value = Number(text);
  const { least, most, whole, label } = setting;
  const fits = text.trim() !== '' && value >= least && value <= most && (!whole || Number.isInteger(value));
  const of = setting.of === undefined ? label : `${setting.of}, ${label.toLowerCase()}`;
  return fits ? undefined : `${of}: ${whole ? 'a whole number ' : ''}from ${least} to ${most}`;
}

/** A row that says that the device has no such value wants nothing else of it. */
export const NOT_THERE = 'not there';
export const isThere = (
  { settings }: SettingRows['rows'][number],
  shown: (setting: DriverSetting) => string,
): boolean => !settings.some((each) => each.is === 'choice' && shown(each) === NOT_THERE);

/** As an address says them. */
export const settingsQuery = (settings: DriverSettings): string =>
  new URLSearchParams(Object.entries(settings).map(([name, value]) => [name, String(value)])).toString();
