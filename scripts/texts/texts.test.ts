import { existsSync, mkdtempSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { parseSource } from '../structure/sources.ts';
import { catalogues, featureOf, inWriting, languageIn, TEXTS } from './catalogues.ts';
import { spoken } from './spoken.ts';
import { textUnits } from './textUnits.ts';

const source = (text: string) => parseSource('web/src/features/count/View.tsx', text);
const messages = (text: string) => textUnits(source(text)).map((u) => u.message);
const said = (text: string, language: Record<string, string>) => spoken(source(text), (m) => language[m]);

describe('the texts in a source', () => {
  it('are what stands between tags, as it is shown, with what is worked out as numbers in braces', () => {
    expect(
      messages(`const a = <p>
        Signed in as <b>{name}</b>,
        and {n} wait{n === 1 ? 's' : ''}.
        {/* not shown */}
      </p>;`),
    ).toEqual(['Signed in as {0}, and {1} wait{2}.']);
    expect(messages(`const a = <p>{'One'}{' '}<b>two words</b></p>;`)).toEqual(['One', 'two words']);
  });

  it('are labels, sentences in quotes and in back quotes, and nouns that are counted', () => {
    expect(messages(`const a = <Box aria-label="Hives of the day" className="wide row" maxW="60ch" />;`)).toEqual([
      'Hives of the day',
    ]);
    expect(messages('const a = `Leave it shut until ${dayInWords(d)}.`;')).toEqual(['Leave it shut until {0}.']);
    expect(messages("const a = count(n, 'frame');")).toEqual(['frame']);
    expect(messages("const a = <p>{open ? 'today' : other}</p>;")).toEqual(['today']);
    expect(messages("const a = { label: 'weak', id: 'weak' };")).toEqual(['weak']);
    expect(messages("const STAGE_WORDS = { a: 'open', b: 'ripe' } as const;")).toEqual(['open', 'ripe']);
    expect(messages("const a = 'Bees cover brood; a little slack is kept.';")).toHaveLength(1);
  });

  it('are not what machines read', () => {
    for (const code of [
      "import x from './Some Thing.ts';",
      "type A = 'Not looked' | 'Found it';",
      "if (e.key === 'Escape') go();",
      "switch (k) { case 'Enter': go(); }",
      "el.addEventListener('Some Event', f);",
      "const a = el.querySelector('main button');",
      'const a = `/colonies/${id}/count`;',
      'const a = <Box gridTemplateColumns="1fr auto" to="/yard" key="A b" />;',
      "const a = '1px solid red', b = 'queen-due', c = 'https://somewhere there';",
    ])
      expect({ code, texts: messages(code) }).toEqual({ code, texts: [] });
  });
});

describe('another language', () => {
  it('has its own order, also of tags and of what is worked out', () => {
    expect(
      said('const a = <p>Signed in as <b>{name}</b>, {n} wait.</p>;', {
        'Signed in as {0}, {1} wait.': 'Es warten {1}, angemeldet als {0}.',
      }),
    ).toBe('const a = <p>{"Es warten "}{n}{", angemeldet als "}<b>{name}</b>{"."}</p>;');
    expect(said('const a = `${one(n)} of ${m} frames`;', { '{0} of {1} frames': 'von {1} Waben {0}' })).toBe(
      'const a = `von ${m} Waben ${one(n)}`;',
    );
  });

  it('reaches what stands in what another text leaves open', () => {
    expect(
      said("const a = <p>Open <b aria-label=\"The hive\">{x ? 'not now' : 'Now'}</b></p>;", {
        'Open {0}': 'Öffne {0}',
        'The hive': 'Das Volk',
        'not now': 'nicht jetzt',
        Now: 'jetzt',
      }),
    ).toBe('const a = <p>{"Öffne "}<b aria-label={"Das Volk"}>{x ? "nicht jetzt" : "jetzt"}</b></p>;');
    // Also where the text around it has no words yet.
    expect(said("const a = <p>Open {x ? 'not now' : y}</p>;", { 'not now': 'nicht jetzt' })).toBe(
      'const a = <p>Open {x ? "nicht jetzt" : y}</p>;',
    );
  });

  it('leaves what it has no words for as it is, and code in back quotes whole', () => {
    const text = "const a = <p>Count {name}</p>, b = 'Not looked';";
    expect(said(text, {})).toBe(text);
    expect(said('const a = `Say ${n}`;', { 'Say {0}': 'Sag `{0}` für ${x}' })).toBe(
      'const a = `Sag \\`${n}\\` für \\${x}`;',
    );
  });

  it('is refused where it asks for something that is not there', () => {
    expect(() => said('const a = `Say ${n}`;', { 'Say {0}': 'Sag {1}' })).toThrow('{1}');
  });

  it('is read from one file a feature', () => {
    const folder = mkdtempSync(join(tmpdir(), 'incremen-texts-'));
    try {
      mkdirSync(join(folder, 'web/features'), { recursive: true });
      writeFileSync(join(folder, 'web/features/count.json'), '{"Eggs": "Eier"}');
      const catalogueOf = languageIn(folder);
      expect(catalogueOf('web/src/features/count/QuickMode.tsx')).toEqual({ Eggs: 'Eier' });
      expect(catalogueOf('web/src/features/today/TodayPage.tsx')).toEqual({});
      expect(catalogueOf('node_modules/x/index.ts')).toEqual({});
    } finally {
      rmSync(folder, { recursive: true });
    }
    expect(featureOf('web/src/main.tsx')).toBe('web/start');
    expect(featureOf('core/src/split/methods/x.ts')).toBe('core/split');
  });
});

describe('the catalogues', () => {
  it('hold the texts of the code as it is: write them anew with `npm run texts`', () => {
    const now = catalogues();
    for (const [feature, catalogue] of now) {
      const file = join(TEXTS, `${feature}.json`);
      const kept = existsSync(file) ? readFileSync(file, 'utf8') : null;
      expect({ feature, kept }).toEqual({ feature, kept: inWriting(catalogue) });
    }
    expect(now.get('web/features/today')).toMatchObject({ 'Must not open': 'HivesToday.tsx' });
  });
});
