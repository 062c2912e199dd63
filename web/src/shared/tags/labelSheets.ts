/** A sheet of labels as stationers sell it: how many, how large, and where the first one begins. Millimetres. */
export interface LabelSheet {
  readonly id: string;
  readonly name: string;
  readonly page: 'A4' | 'letter';
  readonly columns: number;
  readonly rows: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly topMm: number;
  readonly leftMm: number;
  readonly gapMm: number;
}

const INCH = 25.4;

/** Sheets that are sold everywhere; their measures are from memory, so that one sheet is tried on plain paper first. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  {
    id: 'a4-2x7',
    name: 'A4, 14 labels of 99 × 38 mm',
    page: 'A4',
    columns: 2,
    rows: 7,
    widthMm: 99.1,
    heightMm: 38.1,
    topMm: 15.1,
    leftMm: 4.7,
    gapMm: 2.5,
  },
  {
    id: 'a4-3x7',
    name: 'A4, 21 labels of 63.5 × 38 mm',
    page: 'A4',
    columns: 3,
    rows: 7,
    widthMm: 63.5,
    heightMm: 38.1,
    topMm: 15.1,
    leftMm: 7.2,
    gapMm: 2.5,
  },
  {
    id: 'letter-2x5',
    name: 'US Letter, 10 labels of 4 × 2 in',
    page: 'letter',
    columns: 2,
    rows: 5,
    widthMm: 4 * INCH,
    heightMm: 2 * INCH,
    topMm: 0.5 * INCH,
    leftMm: 0.156 * INCH,
    gapMm: 0.188 * INCH,
  },
  {
    id: 'letter-3x10',
    name: 'US Letter, 30 labels of 2⅝ × 1 in',
    page: 'letter',
    columns: 3,
    rows: 10,
    widthMm: 2.625 * INCH,
    heightMm: INCH,
    topMm: 0.5 * INCH,
    leftMm: 0.1875 * INCH,
    gapMm: 0.125 * INCH,
  },
];

/** Width and height of the pages, in millimetres (ISO 216; ANSI letter). */
export const PAGE_MM = { A4: [210, 297], letter: [8.5 * INCH, 11 * INCH] } as const;
