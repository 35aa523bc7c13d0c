import type { OutageView } from '@dusk-wren/contract/outages';
import { toCsv } from './csv';

const PARTS = [
  'number',
  'name',
  'part',
  'wanted',
  'on hand',
  'short',
  'lead days',
  'order by',
  'for',
] as const;

/** What an outage takes out of the store, a row a part, with the last day to order what is short. */
export const outagePartsCsv = ({ parts, kits }: OutageView): string =>
  toCsv(PARTS, [
    ...parts.map(({ number, name, part, wanted, onHand, short, leadDays, orderBy, tags }) => [
      ...[number ?? '', name, part, wanted, onHand, short, leadDays, orderBy ?? '', tags.join(' ')],
    ]),
    ...kits.map(({ code, sheet, count, tags }) => [
      ...[code, `kit of sheet ${sheet}`, '', count, '', '', '', '', tags.join(' ')],
    ]),
  ]);
