import type { CountRow } from '@incremen/core/formats';
import Papa from 'papaparse';

/** Rows of a CSV text, with commas, semicolons or tabs; each with its line in the file. */
export function readCsv(text: string): CountRow[] {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim(),
    delimitersToGuess: [',', ';', '\t'],
  });
  return parsed.data.map((fields, i) => ({
    line: i + 2,
    fields: Object.fromEntries(Object.entries(fields).filter(([k, v]) => k !== '' && typeof v === 'string')),
  }));
}
