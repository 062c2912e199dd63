import { describe, expect, it } from 'vitest';
import { CORE_MAP, faultsOf, WEB_MAP, type HouseMap } from './floors.ts';
import { arrowsOf } from './importGraph.ts';
import { parseSource, sourcesOf } from './sources.ts';

const faultsIn = (map: HouseMap, path: string, text: string) =>
  faultsOf(map, arrowsOf(parseSource(path, text)));

describe('the floors', () => {
  it('of the core hold', () => {
    const sources = sourcesOf('core').filter((s) => !s.path.startsWith('core/src/testing/'));
    expect(sources.length).toBeGreaterThan(200);
    expect(faultsOf(CORE_MAP, sources.flatMap(arrowsOf))).toEqual([]);
  });

  it('of the web client hold', () => {
    const sources = sourcesOf('web');
    expect(sources.length).toBeGreaterThan(150);
    expect(faultsOf(WEB_MAP, sources.flatMap(arrowsOf))).toEqual([]);
  });
});

describe('a planted fault is found:', () => {
  it('an import of a type from a floor above', () => {
    expect(
      faultsIn(
        CORE_MAP,
        'core/src/records/planted.ts',
        "import type { MethodPlan } from '../split/index.ts';",
      ),
    ).toEqual(['core/src/records/planted.ts imports core/src/split/index.ts: split is above records']);
  });

  it('a door that hands on what is above', () => {
    expect(faultsIn(CORE_MAP, 'core/src/comb/index.ts', "export * from '../records/index.ts';")).toHaveLength(
      1,
    );
  });

  it('a way around the door', () => {
    expect(
      faultsIn(CORE_MAP, 'core/src/decide/planted.ts', "import { padState } from '../callout/padState.ts';"),
    ).toEqual([
      'core/src/decide/planted.ts imports core/src/callout/padState.ts: callout is entered by its index.ts',
    ]);
  });

  it('two rooms of one floor that import each other, by way of a third too', () => {
    const arrow = (from: string, to: string) => ({
      from: `core/src/${from}/a.ts`,
      to: `core/src/${to}/index.ts`,
    });
    expect(faultsOf(CORE_MAP, [arrow('queen-verdict', 'feed'), arrow('feed', 'work')])).toEqual([]);
    expect(
      faultsOf(CORE_MAP, [
        arrow('queen-verdict', 'feed'),
        arrow('feed', 'work'),
        arrow('work', 'queen-verdict'),
      ]),
    ).toEqual(['rooms that import each other: queen-verdict → feed → work → queen-verdict']);
  });

  it('a room that is on no floor', () => {
    expect(
      faultsIn(CORE_MAP, 'core/src/annex/a.ts', "import { addDays } from '../basics/index.ts';"),
    ).toEqual(['annex is on no floor: put it on the map in scripts/structure/floors.ts']);
  });

  it('an inner room that looks up', () => {
    expect(
      faultsIn(
        CORE_MAP,
        'core/src/yardplan/rules/planted.ts',
        "import { YardSearch } from '../search/searchYard.ts';",
      ),
    ).toHaveLength(1);
  });

  it('a view that imports another view, at once or when it is needed', () => {
    const path = 'web/src/features/count/planted.tsx';
    for (const text of [
      "import { LookPage } from '../look/LookPage.tsx';",
      "const page = () => import('../look/LookPage.tsx');",
    ]) {
      expect(faultsIn(WEB_MAP, path, text)).toHaveLength(1);
    }
  });
});
