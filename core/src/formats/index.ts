export {
  type Bundle,
  bundle,
  BUNDLE_VERSION,
  fromBundle,
  type JournalEntry,
  type PhotoContent,
  toBundle,
  wholeProblems,
} from './bundle.ts';
export { bundleItem, type BundleItem, type BundlePlace } from './bundleItem.ts';
export { danglingOf } from './references.ts';
export { contentProblems } from './soundness.ts';
export { COUNT_COLUMNS, type CountImport, type CountRow, planCountImport } from './countCsv.ts';
export { JournalUpgrade, upgradeRecords } from './versionOne/upgrade.ts';
export { upgradeCommand } from './versionOne/upgradeCommand.ts';
export {
  colonyTable,
  countTable,
  queenTable,
  storeTable,
  type Table,
  tableFile,
  visitTable,
} from './tables.ts';
export { DAY_ORDER_WORDS, type DayOrder, dayOrders, matchColumns, renamedRows } from './csvColumns.ts';
