import { demoScenario } from '@incremen/core/demo';
import { openFollowUps, type Apiary, type FollowUp } from '@incremen/core/records';
import { topicInWords } from '@incremen/core/followup';
import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { FollowUpsPage } from './FollowUpsPage.tsx';

withoutNetwork();

const { apiary } = demoScenario();
const campion = Object.values(apiary.colony).find((c) => c.name === 'Campion')?.id ?? '';
const TODAY = '2026-05-15';
const section = (title: string) =>
  screen.queryByRole('heading', { level: 2, name: title })?.closest('section');

/** The demonstration with only these of its follow-ups, changed. */
function only(change: (f: FollowUp) => Partial<FollowUp>): Apiary {
  const first = openFollowUps(apiary).find((f) => f.kind === 'look' && f.colonyIds.includes(campion));
  if (!first) throw new Error('nothing is open in the demonstration');
  return { ...apiary, followUp: { [first.id]: { ...first, ...change(first) } } };
}
const windowed = (earliest: string, likely: string, latest: string) => ({ earliest, likely, latest });

describe('follow-ups', () => {
  it('are listed once each, with who, what and when', () => {
    renderView(<FollowUpsPage />);
    const open = openFollowUps(apiary);
    const lists = screen.getAllByRole('list').flatMap((l) => within(l).getAllByRole('listitem'));
    expect(lists.length).toBeGreaterThanOrEqual(open.length);
    for (const f of open) expect(screen.getAllByText(topicInWords(f.topic)).length).toBeGreaterThan(0);
    expect(screen.getByText('Today is Fri 15 May')).toBeTruthy();
  });

  it.each([
    ['Today', 'Overdue: best Sun 3 May', windowed('2026-05-01', '2026-05-03', '2026-05-05')],
    ['Today', 'best Fri 15 May', windowed('2026-05-14', '2026-05-15', '2026-05-16')],
    ['Tue 2 Jun', 'best Tue 2 Jun', windowed('2026-06-01', '2026-06-02', '2026-06-03')],
  ])('of a look stand under %s, %s', (day, words, window) => {
    renderView(
      <FollowUpsPage />,
      demoStore(
        [],
        only(() => ({ kind: 'look', window })),
      ),
    );
    const own = screen.getByText(new RegExp(`^${words}`)).closest('section');
    const heading = within(own as HTMLElement).getByRole('heading', { level: 2 });
    expect(heading.textContent).toMatch(new RegExp(`^${day}`));
  });

  it('of hands-off days stand apart, and cannot be recorded', () => {
    renderView(
      <FollowUpsPage />,
      demoStore(
        [],
        only(() => ({
          kind: 'hands-off',
          topic: 'rest',
          window: windowed('2026-05-10', '2026-05-10', '2026-05-20'),
        })),
      ),
    );
    const rest = section('Hands off');
    expect(rest).toBeTruthy();
    expect(within(rest as HTMLElement).queryByRole('link', { name: /^Record/ })).toBeNull();
  });

  it('of looks lead to the look; those that are due ask for it', () => {
    renderView(<FollowUpsPage />);
    const looks = openFollowUps(apiary).filter((f) => f.kind === 'look');
    for (const f of looks) {
      const link = screen.getAllByRole('link').find((l) => l.getAttribute('href') === `/look/${f.id}`);
      expect(link?.textContent).toBe(f.window.earliest <= TODAY ? 'Record' : 'Open');
    }
    expect(looks.some((f) => f.window.earliest <= TODAY)).toBe(true);
  });

  it('draw a lane for every colony that waits', () => {
    renderView(<FollowUpsPage />);
    const lanes = screen.getByRole('region', { name: 'Lanes by colony' });
    const waiting = new Set(openFollowUps(apiary).flatMap((f) => f.colonyIds));
    expect(within(lanes).getAllByRole('link')).toHaveLength(waiting.size);
  });

  it('show every queen on its way: her dates, and plan B with its day', () => {
    renderView(<FollowUpsPage />);
    const coming = screen.getByRole('region', { name: 'Queens on their way' });
    const [first] = within(coming).getAllByRole('article');
    expect(within(first as HTMLElement).getByText(/^Decide by /)).toBeTruthy();
    expect(
      within(first as HTMLElement)
        .getByRole('img')
        .getAttribute('aria-label'),
    ).toContain('First eggs');
  });

  it('have what a colony needs though nobody filed it, in the words of the board', () => {
    renderView(<FollowUpsPage />);
    const need = screen.getByText('Swarm cells: act by Sat 16 May').closest('li');
    expect(within(need as HTMLElement).getByRole('link', { name: 'See Sorrel' })).toBeTruthy();
    const day = need?.closest('section');
    expect(within(day as HTMLElement).getByRole('heading').textContent).toMatch(/^Sat 16 May/);
  });

  it('point out a look that falls into days of rest', () => {
    renderView(
      <FollowUpsPage />,
      demoStore(
        [],
        only(() => ({
          kind: 'look',
          topic: 'rhythm',
          colonyIds: [campion],
          window: windowed('2026-05-26', '2026-05-27', '2026-05-28'),
        })),
      ),
    );
    expect(screen.getByText(/falls into its days of rest/)).toBeTruthy();
  });

  it('say how they come about when there are none', () => {
    renderView(<FollowUpsPage />, demoStore([], { ...apiary, colony: {}, followUp: {} }));
    expect(screen.getByText(/^Nothing is due\./)).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Lanes by colony' })).toBeNull();
  });
});
