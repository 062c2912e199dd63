import { demoScenario } from '@incremen/core/demo';
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { SparesPage } from './SparesPage.tsx';

withoutNetwork();

const chanceOf = (nucs: string) =>
  Number(
    within(screen.getByRole('region', { name: 'Odds by nucs' }))
      .getByText(nucs)
      .nextElementSibling?.textContent?.replace(/\D/g, ''),
  );

describe('spares for the winter', () => {
  it('answers in a sentence, and more certainty takes more nucs', () => {
    renderView(<SparesPage />);
    const answer = () => Number(/Winter (\d+) nuc/.exec(screen.getByRole('status').textContent ?? '')?.[1]);
    const usual = answer();
    fireEvent.click(screen.getByText('In nine of ten'));
    expect(answer()).toBeGreaterThan(usual);
    fireEvent.click(screen.getByText('In every second winter'));
    expect(answer()).toBeLessThan(usual);
    expect(chanceOf('0 nucs')).toBeLessThan(chanceOf('2 nucs'));
    expect(chanceOf('2 nucs')).toBeLessThan(chanceOf('6 nucs'));
  });

  it('says after a winter how many nucs are short of the dead', () => {
    const { apiary } = demoScenario();
    const [operation] = Object.values(apiary.operation);
    const full = Object.values(apiary.colony).filter((c) => c.endedOn === null && c.origin.how === 'entered');
    const dead = Object.fromEntries(
      full.slice(0, 5).map((c) => [
        c.id,
        {
          ...c,
          startedOn: '2025-04-01',
          endedOn: '2026-02-10',
          hiveId: null,
          end: { v: 1 as const, how: 'dead' as const, cause: 'unknown' as const, words: '' },
        },
      ]),
    );
    const after = {
      ...apiary,
      operation: { [operation!.id]: { ...operation!, fixedToday: '2026-04-02' } },
      colony: { ...apiary.colony, ...dead },
    };
    renderView(<SparesPage />, demoStore([], after));
    expect(screen.getByRole('note').textContent).toMatch(
      /^5 colonies died this winter; \d+ nucs? could take their place/,
    );
    expect(screen.getByText(/Of your full colonies, 0 came through a winter and 5 did not\./)).toBeTruthy();
  });
});
