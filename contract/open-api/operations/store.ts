import {
  importDone,
  importPreview,
  importRequest,
  kitsView,
  ordersView,
  previewRequest,
  sparesView,
  stockImportsView,
  stockQuery,
  stockView,
  unitsView,
} from '../../stock';
import type { Operation } from '../operation';

const group = 'Store';

export const STORE_OPERATIONS: readonly Operation[] = [
  {
    ...{ id: 'stock', method: 'get', path: '/store/stock', group, who: 'person', scope: 'store' },
    ...{ summary: 'Parts, and how many lie in their bins', query: stockQuery },
    answer: { status: 200, json: stockView },
  },
  {
    ...{ id: 'kits', method: 'get', path: '/store/kits', group, who: 'person', scope: 'store' },
    summary: 'Kits and what is in them',
    answer: { status: 200, json: kitsView },
  },
  {
    ...{ id: 'units', method: 'get', path: '/store/units', group, who: 'person', scope: 'store' },
    summary: 'Units on the shelf',
    answer: { status: 200, json: unitsView },
  },
  {
    ...{ id: 'spares', method: 'get', path: '/store/spares', group, who: 'person', scope: 'store' },
    summary: 'How many of each part to keep',
    answer: { status: 200, json: sparesView },
  },
  {
    ...{ id: 'partOrders', method: 'get', path: '/store/orders', group, who: 'person', scope: 'store' },
    summary: 'Parts that jobs wait for',
    answer: { status: 200, json: ordersView },
  },
  {
    ...{
      id: 'storeFile',
      method: 'get',
      path: '/store/export/{kind}.csv',
      group,
      who: 'person',
      scope: 'store',
    },
    ...{ summary: 'Parts, bins or kits as CSV', parameters: { kind: 'parts, stock or kits' } },
    answer: { status: 200, file: 'text/csv' },
  },
  {
    ...{ id: 'storeImports', method: 'get', path: '/store/imports', group, who: 'person' },
    summary: 'Files that were brought in',
    answer: { status: 200, json: stockImportsView },
  },
  {
    ...{ id: 'previewStoreFile', method: 'post', path: '/store/import/preview', group, who: 'lead' },
    ...{ summary: 'What a file would do, row by row; nothing is written', body: previewRequest },
    answer: { status: 200, json: importPreview },
  },
  {
    ...{ id: 'importStoreFile', method: 'post', path: '/store/import', group, who: 'lead' },
    ...{ summary: 'Brings parts, bins or kits in', body: importRequest },
    answer: { status: 200, json: importDone },
  },
];
