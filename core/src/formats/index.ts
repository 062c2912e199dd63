export { type Bundle, bundle, fromBundle, type JournalEntry, type PhotoContent, toBundle } from './bundle.ts';
export { COUNT_COLUMNS, type CountImport, type CountRow, planCountImport } from './countCsv.ts';
