import { coloniesOfYard } from '@incremen/core/records';
import { colonyState } from '@incremen/core/colony';
import { DEMO_DAY, demoScenario } from '@incremen/core/demo';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { BoardDay, PastNote } from '../../shared/colonies/BoardDay.tsx';
import { boardReducer, MOST_COMPARED, pickToggled, viewed } from '../../state/boardSlice.ts';
import { BoardTools } from './BoardTools.tsx';
import { ColonyCard } from '../../shared/colonies/ColonyCard.tsx';

const { apiary } = demoScenario();
const [yard] = Object.values(apiary.yard);
const states = coloniesOfYard(apiary, yard!.id).map((c) => colonyState(apiary, c, DEMO_DAY));
const stateOf = (name: string) => states.find((s) => s.colony.name === name)!;

describe('the day of the board', () => {
  it('is said in words, back and ahead, and leads back to today', async () => {
    const user = userEvent.setup();
    const { store } = renderView(<BoardDay />);
    const slider = screen.getByRole('slider', { name: 'Day that the board shows' });
    expect(slider.getAttribute('aria-valuetext')).toBe('Fri 15 May, today');
    fireEvent.change(slider, { target: { value: '28' } });
    expect(screen.getByText('Fri 12 Jun, in 28 days')).toBeTruthy();
    fireEvent.change(slider, { target: { value: '-1' } });
    expect(screen.getByText('Thu 14 May, 1 day ago')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'back to today' }));
    expect(store.getState().board.offset).toBe(0);
    await user.click(screen.getByRole('button', { name: 'As counted' }));
    expect(store.getState().board.offset).toBeNull();
    expect(screen.getByText('each on its own day')).toBeTruthy();
  });

  it('says why the past cannot be shown, and that it is on its way', () => {
    renderView(<PastNote past="away" day="2026-05-01" />);
    expect(screen.getByRole('status').textContent).toContain('out of reach');
    cleanup();
    renderView(<PastNote past="fetching" day="2026-05-01" />);
    expect(screen.getByRole('status').textContent).toBe('Fetching the counts of Fri 1 May…');
    cleanup();
    expect(renderView(<PastNote past="here" day={null} />).container.textContent).toBe('');
  });
});

describe('picking colonies to compare', () => {
  const pick = (...ids: string[]) =>
    ids.reduce((s, id) => boardReducer(s, pickToggled(id)), boardReducer(undefined, viewed({ picked: [] })))
      .picked;

  it('toggles, and keeps the latest four', () => {
    expect(pick('a', 'b', 'a')).toEqual(['b']);
    expect(pick('a', 'b', 'c', 'd', 'e')).toEqual(['b', 'c', 'd', 'e']);
    expect(pick('a', 'b', 'c', 'd', 'e')).toHaveLength(MOST_COMPARED);
  });

  it('goes from the tools over the cards to the comparison, and can be stopped', async () => {
    const user = userEvent.setup();
    const store = demoStore();
    function Board() {
      return (
        <>
          <BoardTools />
          {['Tansy', 'Mallow'].map((n) => (
            <ColonyCard
              key={n}
              state={stateOf(n)}
              picked={store.getState().board.picked?.includes(stateOf(n).colony.id) ?? null}
            />
          ))}
        </>
      );
    }
    renderView(<Board />, store);
    await user.click(screen.getByRole('button', { name: 'Compare' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Pick two to four' }).disabled).toBe(true);
    cleanup();
    store.dispatch(pickToggled(stateOf('Tansy').colony.id));
    store.dispatch(pickToggled(stateOf('Mallow').colony.id));
    renderView(<Board />, store);
    expect(screen.getByRole('button', { name: 'Compare Tansy' }).getAttribute('aria-pressed')).toBe('true');
    const to = screen.getByRole('link', { name: 'Compare these 2' }).getAttribute('href');
    expect(to).toBe(`/compare?c=${stateOf('Tansy').colony.id}&c=${stateOf('Mallow').colony.id}`);
    await user.click(screen.getByRole('button', { name: 'Stop picking' }));
    expect(store.getState().board.picked).toBeNull();
  });
});

describe('a card', () => {
  it('leads to its colony and says age of count, strength and reason in words', () => {
    renderView(<ColonyCard state={stateOf('Sorrel')} picked={null} />);
    const card = screen.getByRole('link');
    expect(card.getAttribute('href')).toBe(`/colonies/${stateOf('Sorrel').colony.id}`);
    expect(card.textContent).toMatch(
      /^Sorrel1 d.*frames of bees.*frames of brood.*frames of stores.*Swarm cells/,
    );
  });
});
