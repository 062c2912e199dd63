import type { Source } from '../structure/sources.ts';
import { textUnits, type TextUnit } from './textUnits.ts';

/** What is said in another language; undefined where it has no words for it yet. */
export type Speaks = (message: string) => string | undefined;

/**
 * A source with its texts in another language. What has no translation stays as it is; what a translation leaves out of what is
 * worked out is not shown, and in which order it stands is the translation's affair.
 *
 * @throws Error for a translation with a number in braces that the text does not have
 */
export function spoken(source: Source, speaks: Speaks): string {
  const { text } = source;
  const units = textUnits(source);
  const written = (from: number, to: number): string => {
    let out = '';
    let at = from;
    for (const unit of units) {
      // What lies in one that was written already is written with it.
      if (unit.start < at || unit.end > to) continue;
      const said = speaks(unit.message);
      if (said === undefined) continue;
      out += text.slice(at, unit.start) + inItsShape(unit, said, written);
      at = unit.end;
    }
    return out + text.slice(at, to);
  };
  return written(0, text.length);
}

function inItsShape(unit: TextUnit, said: string, written: (from: number, to: number) => string): string {
  // Odd places are the numbers of what is worked out.
  const parts = said.split(/\{(\d+)\}/);
  const hole = (number: string) => {
    const at = unit.holes[Number(number)];
    if (!at) throw new Error(`“${said}” has a {${number}} that “${unit.message}” does not have.`);
    return written(at.start, at.end);
  };
  switch (unit.shape) {
    case 'quoted':
      return JSON.stringify(said);
    case 'attribute':
      return `{${JSON.stringify(said)}}`;
    case 'template':
      return `\`${parts.map((p, i) => (i % 2 ? `\${${hole(p)}}` : p.replace(/[\\`]|\$(?=\{)/g, '\\$&'))).join('')}\``;
    case 'children':
      return parts.map((p, i) => (i % 2 ? hole(p) : p === '' ? '' : `{${JSON.stringify(p)}}`)).join('');
  }
}
