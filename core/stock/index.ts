export { fetchList, type Fetch, type FetchList } from './fetch-list';
export {
  checkKit,
  kitFor,
  kitSheetSchema,
  lubricantFor,
  type Counted,
  type KitCheck,
  type KitLine,
  type KitRow,
  type KitSheet,
  type KitVerdict,
  type SealVerdict,
} from './kit';
export { kitsOnFile, wrongKits, type KitOnFile } from './kit-on-file';
export { orderLines, type OrderLine } from './order-lines';
export { toKeep, type Demand, type ToKeep } from './to-keep';
export { sealMedium } from './seal-medium';
