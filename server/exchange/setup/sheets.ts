import {
  asFigures,
  figuresOn,
  makersSheet,
  SHEET_FIGURES,
  type MakersSheet,
  sheetKey,
  type SheetFigure,
  type TypedFigure,
} from '@dusk-wren/core/valve';
import { formatExactly } from '@dusk-wren/core/quantity';
import { listSheets, sheetFiled } from '../../database/setup-sheets';
import { setupFile, type SetupFile } from './setup-file';

const figureColumn = ({ words }: SheetFigure): string => words;
const pageColumn = ({ words }: SheetFigure): string => `page of the ${words}`;

/** The makers' sheets that the shop goes by: a row a model, two columns a figure. An empty cell is not on the sheet. */
export const sheetsFile = (): SetupFile =>
  setupFile<MakersSheet>({
    heading: ['model', 'revision'],
    may: SHEET_FIGURES.flatMap((figure) => [figureColumn(figure), pageColumn(figure)]),
    here: async () =>
      (await listSheets()).map(({ current }) => ({ id: String(current.id), is: current.sheet })),
    nameOf: ({ model }) => model,
    keyOf: sheetKey,
    cellsOf: (sheet) => {
      const on = new Map(figuresOn(sheet).map((given) => [given.figure.key, given]));
      return [
        ...[sheet.model, sheet.revision],
        ...SHEET_FIGURES.flatMap(({ key }) => {
          const given = on.get(key);
          return given ? [formatExactly(given.value), given.page] : ['', ''];
        }),
      ];
    },
    read: (cells, was) => {
      const on = new Map((was ? figuresOn(was) : []).map((given) => [given.figure.key, given]));
      const typed = SHEET_FIGURES.flatMap((figure): TypedFigure[] => {
        const cell = cells[figureColumn(figure)];
        const before = on.get(figure.key);
        const page = cells[pageColumn(figure)] ?? before?.page ?? '';
        if (cell === undefined) return before ? [{ key: figure.key, value: before.value, page }] : [];
        return cell === '' ? [] : [{ key: figure.key, value: cell, page }];
      });
      return makersSheet.safeParse({
        model: was?.model ?? cells['model'],
        revision: cells['revision'],
        figures: asFigures(typed),
      });
    },
    column: (path) => {
      const figure = SHEET_FIGURES.find(({ key }) => path.startsWith(`figures.${key}.`));
      if (!figure) return path === 'figures' ? 'figures' : path;
      return path.endsWith('.page') ? pageColumn(figure) : figureColumn(figure);
    },
    writer: (moment, changes) => async (transaction) => {
      for (const { was, is } of changes)
        await sheetFiled(moment, { sheet: is, instead: was ? Number(was.id) : null }, transaction);
      return [];
    },
  });
