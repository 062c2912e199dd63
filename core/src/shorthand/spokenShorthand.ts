/** Words of numbers up to ten; more tenths than that no side has. */
const NUMBERS: Readonly<Record<string, number>> = Object.fromEntries(
  [
    ['zero', 'no', 'none'],
    ['one', 'won'],
    ['two', 'to', 'too'],
    ['three'],
    ['four', 'for'],
    ['five'],
    ['six'],
    ['seven'],
    ['eight', 'ate'],
    ['nine'],
    ['ten'],
  ].flatMap((words, n) => words.map((w) => [w, n])),
);

/** What is said, and what it is written as. Several words for one thing, as they are said in the yard. */
const SAID: Readonly<Record<string, string>> = {
  honey: 'h',
  stores: 'h',
  nectar: 'n',
  pollen: 'b',
  bread: 'b',
  eggs: 'g',
  egg: 'g',
  open: 'o',
  larvae: 'o',
  larva: 'o',
  capped: 'c',
  sealed: 'c',
  emerging: 'e',
  drone: 'd',
  drones: 'd',
  empty: 'x',
  drawn: 'x',
  foundation: 'f',
  mixed: 'm',
  bees: '*',
  queen: 'q',
  next: ';',
  frame: ';',
  same: '=',
  skip: '-',
  box: '//',
};

/** Said along, and nothing by themselves: "capped brood", "empty comb", "eight tenths". */
const SILENT = new Set(['brood', 'comb', 'of', 'and', 'tenths', 'tenth', 'a', 'the', 'with', 'seen', 'bee']);

/**
 * What was said at the hive as a line of shorthand: "honey three capped bees eight, next" for `h3 c *8; `. A word that means nothing
 * here stays as it is, so that it is marked where it stands.
 *
 * @example spokenShorthand('honey three capped bees eight next mixed bees nine queen') // => 'h3 c *8; m *9 q'
 */
export function spokenShorthand(said: string): string {
  const words = said.toLowerCase().match(/[\p{L}]+|\d+(?:[.,]5)?/gu) ?? [];
  let line = '';
  words.forEach((word, i) => {
    const number = /^\d/.test(word) ? word.replace(',', '.') : NUMBERS[word];
    if (word === 'half' && /\d$/.test(line)) line += '.5';
    else if (number !== undefined) line += /[a-z*]$/.test(line) ? String(number) : ` ${number}`;
    else if (SAID[word] !== undefined) {
      const token = SAID[word];
      // "Next frame" is one end, and so is "box" after it.
      if (token === ';') line = line.endsWith(';') || line === '' ? line : `${line};`;
      else if (token === '//') line = `${line.replace(/;$/, '')} //`;
      else line += line === '' ? token : ` ${token}`;
    } else if (!SILENT.has(word) || (word === 'half' && i === 0)) line += `${line === '' ? '' : ' '}${word}`;
  });
  return line;
}
