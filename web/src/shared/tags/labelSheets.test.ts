import { expect, it } from 'vitest';
import { LABEL_SHEETS, PAGE_MM } from './labelSheets.ts';

it.each(LABEL_SHEETS)('$name fits on its page, with the same edge left and right', (s) => {
  const [width, height] = PAGE_MM[s.page];
  const across = s.columns * s.widthMm + (s.columns - 1) * s.gapMm;
  expect(s.leftMm + across).toBeLessThan(width);
  expect(Math.abs(width - across - 2 * s.leftMm)).toBeLessThan(1);
  expect(s.topMm + s.rows * s.heightMm).toBeLessThan(height);
});
