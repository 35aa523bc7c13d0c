import {
  RULE_FIELDS,
  siteRulesSchema,
  USUAL_RULES,
  type RuleField,
  type SiteRules,
} from '@dusk-wren/core/inspection';
import { formatExactly } from '@dusk-wren/core/quantity';
import { z } from 'zod';
import { listSites, rulesSet, siteAdded } from '../../database/setup-sites';
import { setupFile, type SetupFile } from './setup-file';

const FIELDS = RULE_FIELDS.flatMap(({ fields }) => fields);
const columnOf = ({ words }: RuleField): string => words.toLowerCase();

const line = z.object({
  customer: z.string().trim().min(1).max(80),
  /** How often the rules were set that this stands beside. */
  version: z.number(),
  rules: siteRulesSchema,
});
type Line = z.output<typeof line>;

function cellOf(field: RuleField, rules: SiteRules): string {
  if (field.kind === 'length') return formatExactly(rules[field.key]);
  const value = rules[field.key];
  if (Array.isArray(value)) return value.join('; ');
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
}

const NUMBER = /^-?\d+([.,]\d+)?$/;
/** A cell as its rule wants it; what cannot be meant stays as it is, to be refused by name. */
function meant(field: RuleField, cell: string): unknown {
  if (field.kind === 'yes or no') return /^(yes|no)$/i.test(cell) ? /^yes$/i.test(cell) : cell;
  if (field.kind === 'numbers')
    return cell.split(';').map((each) => (NUMBER.test(each.trim()) ? Number(each) : each.trim()));
  const isFigure =
    field.kind === 'number' || (field.kind === 'choice' && typeof field.choices[0] === 'number');
  return isFigure && NUMBER.test(cell) ? Number(cell.replace(',', '.')) : cell;
}

/** Customers with the rules of their sites: a rule that has no column or no word stays as it is, or is as usual. */
export const sitesFile = (): SetupFile =>
  setupFile<Line>({
    heading: ['customer'],
    may: FIELDS.map(columnOf),
    here: async () =>
      (await listSites()).map(({ customer, version, rules }) => ({
        id: customer,
        is: { customer, version, rules },
      })),
    nameOf: ({ customer }) => customer,
    cellsOf: ({ customer, rules }) => [customer, ...FIELDS.map((field) => cellOf(field, rules))],
    read: (cells, was) => {
      const said = FIELDS.flatMap((field) => {
        const cell = cells[columnOf(field)] ?? '';
        return cell === '' ? [] : [[field.key, meant(field, cell)] as const];
      });
      const usual = was?.rules ?? { ...USUAL_RULES, name: cells['customer'] };
      const rules = { ...usual, ...Object.fromEntries(said) };
      return line.safeParse({
        customer: was?.customer ?? cells['customer'],
        version: was?.version ?? 0,
        rules,
      });
    },
    column: (path) => {
      const asked = FIELDS.find(({ key }) => path.startsWith(`rules.${key}`));
      return asked ? columnOf(asked) : 'customer';
    },
    writer: (moment, changes) => async (transaction) => {
      for (const { was, is } of changes)
        if (was) await rulesSet(moment, is, transaction);
        else await siteAdded(moment, is.customer, is.rules, transaction);
      return [];
    },
  });
