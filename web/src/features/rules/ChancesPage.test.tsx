import { operationOf } from '@incremen/core/records';
import { USUAL_TABLE } from '@incremen/core/queen-odds';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { ChancesPage } from './ChancesPage.tsx';

withoutNetwork();

const PLACE = 'pollen coming in: laying workers';

function open() {
  const { store } = renderView(<ChancesPage />, demoStore());
  const kept = () => operationOf(store.getState().mirror.apiary).houseRules.likelihoods;
  const field = (name = PLACE) => screen.getByLabelText<HTMLInputElement>(name);
  const type = (value: string, name = PLACE) => fireEvent.change(field(name), { target: { value } });
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
  const isOff = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name }).disabled;
  return { kept, field, type, press, isOff };
}

describe('the table of chances', () => {
  it('stands as shipped, every place with its words', () => {
    const { field, isOff } = open();
    expect(field().value).toBe(String(100 * USUAL_TABLE.signs.pollen['laying-workers']));
    expect(field('taken for it where it is not: eggs').value).toBe('1.5');
    expect(field('flat caps: brood of a mated queen').value).toBe('90');
    expect(field('a queen was lost unseen: how often').value).toBe('3');
    // How well eggs are found is a house rule.
    expect(screen.getByText('house rule')).toBeTruthy();
    expect([isOff('Keep the changes'), isOff('All as shipped')]).toEqual([true, true]);
  });

  it('keeps what is changed beside what was shipped, and lets it go again', async () => {
    const { kept, field, type, press, isOff } = open();
    type('12,5');
    type('8', 'a queen was lost unseen: how often');
    press('Keep the changes');
    await waitFor(() => expect(kept()).toEqual({ 'pollen.laying-workers': 0.125, 'fate.lost': 0.08 }));
    expect(await screen.findByText('shipped 30')).toBeTruthy();
    await waitFor(() => expect(field().value).toBe('12.5'));
    // Back at what was shipped it is no change any more.
    type('30');
    press('Keep the changes');
    await waitFor(() => expect(kept()).toEqual({ 'fate.lost': 0.08 }));
    await waitFor(() => expect(isOff('All as shipped')).toBe(false));
    press('All as shipped');
    await waitFor(() => expect(kept()).toEqual({}));
    expect(field('a queen was lost unseen: how often').value).toBe('3');
  });

  it.each(['0', '100', 'often', ''])('does not take %j, and says why', (value) => {
    const { kept, field, type, isOff } = open();
    type(value);
    expect(screen.getByRole('alert').textContent).toContain('from 0.1 to 99.9 per cent');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(isOff('Keep the changes')).toBe(true);
    expect(kept()).toBeUndefined();
  });
});
