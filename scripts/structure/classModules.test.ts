import { describe, expect, it } from 'vitest';
import { classesIn, classFaults, coloursByHand, styleSheetsOf } from './classModules.ts';
import { sourcesOf } from './sources.ts';

describe('classes of the pages', () => {
  it('come from a module beside their component, and each is there and taken', () => {
    expect(classFaults(sourcesOf('web'), styleSheetsOf('web'))).toEqual([]);
  });

  it('are found in rules, not in comments, numbers and quotes', () => {
    const css = `/* .old { } */ .a:not(.b) > p { margin: .5em; background: url("x.svg") } @media print { .c { } }`;
    expect([...classesIn(css)]).toEqual(['a', 'b', 'c']);
  });

  it('that are planted wrongly are found', () => {
    const page = {
      path: 'web/src/ui/Page.tsx',
      text: `import styles from './Page.module.css';\n<p className={styles.gone} /><p className="loose" />`,
    };
    const sheets = new Map([
      ['web/src/ui/Page.module.css', '.kept { color: red }'],
      ['web/src/ui/all.css', 'body { margin: 0 }'],
      ['web/src/ui/fonts.css', "/* Why. */ @font-face { font-family: 'A'; src: url('a.woff2') }"],
    ]);
    expect(classFaults([page], sheets)).toEqual([
      'web/src/ui/Page.tsx writes a class as text: take it from its module',
      'web/src/ui/Page.tsx takes .gone, which web/src/ui/Page.module.css does not have',
      'web/src/ui/Page.module.css: nobody takes .kept',
      'web/src/ui/all.css holds for the whole page: make it a module',
    ]);
  });
});

describe('colours of the pages', () => {
  it('are tokens of the theme, so that every look has them', () => {
    const texts = sourcesOf('web')
      .filter((s) => s.path !== 'web/src/app/theme.ts')
      .map((s) => [s.path, s.text] as const);
    expect(coloursByHand(new Map([...texts, ...styleSheetsOf('web')]))).toEqual([]);
  });

  it('that are written by hand are found', () => {
    const text = `<path fill="#D99A1E" href="#a" />\nconst C = '#fff';\ncolor: rgb(1 2 3);\n<use href={\`#step\`} />`;
    expect(coloursByHand(new Map([['web/src/P.tsx', text]]))).toEqual([
      'web/src/P.tsx:1: #D99A1E',
      'web/src/P.tsx:2: #fff',
      'web/src/P.tsx:3: rgb(',
    ]);
  });
});
