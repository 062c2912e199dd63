import { describe, expect, it } from 'vitest';
import { classesIn, classFaults, styleSheetsOf } from './classModules.ts';
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
      ['web/src/ui/all.css', ''],
    ]);
    expect(classFaults([page], sheets)).toEqual([
      'web/src/ui/Page.tsx writes a class as text: take it from its module',
      'web/src/ui/Page.tsx takes .gone, which web/src/ui/Page.module.css does not have',
      'web/src/ui/Page.module.css: nobody takes .kept',
      'web/src/ui/all.css holds for the whole page: make it a module',
    ]);
  });
});
