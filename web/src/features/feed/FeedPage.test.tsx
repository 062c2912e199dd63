import { demoScenario } from '@incremen/core/demo';
import type { Apiary } from '@incremen/core/records';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { FeedPage } from './FeedPage.tsx';

withoutNetwork();

const { apiary } = demoScenario();

/** The demonstration without the counts of these colonies. */
function withoutCounts(isGone: (name: string) => boolean): Apiary {
  const gone = new Set(
    Object.values(apiary.visit)
      .filter((v) => isGone(apiary.colony[v.colonyId ?? '']?.name ?? ''))
      .map((v) => v.id),
  );
  const readings = Object.entries(apiary.reading).filter(([, r]) => !gone.has(r.visitId ?? ''));
  return { ...apiary, reading: Object.fromEntries(readings) };
}

describe('the feed round', () => {
  it('says that nobody needs feed only where something is known of everybody', () => {
    renderView(<FeedPage />);
    expect(screen.getByText('Nobody needs feed.')).toBeTruthy();
  });

  it('gives no all-clear for colonies that nobody has counted', () => {
    renderView(
      <FeedPage />,
      demoStore(
        [],
        withoutCounts((name) => name === 'Tansy'),
      ),
    );
    expect(
      screen.getByText(
        'Of those that are counted, none needs feed. 1 colony not counted: lift or look first.',
      ),
    ).toBeTruthy();
  });

  it('says what to do where none is counted', () => {
    renderView(
      <FeedPage />,
      demoStore(
        [],
        withoutCounts(() => true),
      ),
    );
    expect(
      screen.getByText('None is counted: lift each at the back, or look, before you feed.'),
    ).toBeTruthy();
    expect(screen.queryByText(/needs feed/)).toBeNull();
  });
});
