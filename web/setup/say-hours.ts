import type { WorkHours, WorkPlace } from '@dusk-wren/contract';

/** `Mon to Fri` where they follow each other, each by name where not. */
export const sayDays = (days: readonly string[]): string => {
  const isRun = days.length > 2 && 'Mon Tue Wed Thu Fri Sat Sun'.includes(days.join(' '));
  return isRun ? `${days[0] ?? ''} to ${days.at(-1) ?? ''}` : days.join(', ');
};

/** `Mon to Fri, 07:00 to 15:30`. */
export const sayOpen = ({ days, opens, closes }: Pick<WorkPlace, 'days' | 'opens' | 'closes'>): string =>
  `${sayDays(days)}, ${opens} to ${closes}`;

export const sayHours = (hours: WorkHours): string =>
  hours.breakFrom === undefined || hours.breakTo === undefined
    ? sayOpen(hours)
    : `${sayOpen(hours)}, break ${hours.breakFrom} to ${hours.breakTo}`;
