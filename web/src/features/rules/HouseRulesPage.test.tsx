import { HOUSE_RULES, houseRules } from '@incremen/core/rules';
import { operationOf } from '@incremen/core/records';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { HouseRulesPage } from './HouseRulesPage.tsx';

withoutNetwork();

const floor = HOUSE_RULES.donorFloorBrood;

function open() {
  const { store } = renderView(<HouseRulesPage />, demoStore());
  const now = () => operationOf(store.getState().mirror.apiary);
  const field = () => screen.getByLabelText<HTMLInputElement>(new RegExp(`^${floor.label}(?! in)`));
  const type = (value: string) => fireEvent.change(field(), { target: { value } });
  const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save changes' });
  return { user: userEvent.setup(), now, field, type, keep };
}

describe('house rules', () => {
  it('are kept when changed, a comma being as good as a point, and forgotten at their default', async () => {
    const { user, now, type, keep } = open();
    expect(keep().disabled).toBe(true);
    type('4,5');
    await user.click(keep());
    expect(await screen.findByText(`default ${floor.default}`)).toBeTruthy();
    expect(houseRules(now().houseRules.changes).donorFloorBrood).toBe(4.5);
    // It is shown before it is sent: until then the button has no words.
    await waitFor(() => expect(keep().disabled).toBe(true));
    type(String(floor.default));
    await user.click(keep());
    await waitFor(() => expect(keep().disabled).toBe(true));
    expect(now().houseRules.changes).not.toHaveProperty('donorFloorBrood');
  });

  it('say what is wrong with a number beside it', async () => {
    const { user, field, type, keep, now } = open();
    type('many');
    expect(screen.getByText(`Enter a number from ${floor.min} to ${floor.max}.`)).toBeTruthy();
    expect(keep().disabled).toBe(true);
    type('99999');
    await user.click(keep());
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(field().value).toBe('99999');
    expect(houseRules(now().houseRules.changes).donorFloorBrood).toBe(floor.default);
  });

  it('stand in groups, can be searched, and those that were changed come first', async () => {
    const { user, type, keep } = open();
    expect(screen.getByRole('region', { name: 'Food and winter' })).toBeTruthy();
    type('4');
    await user.click(keep());
    const own = await screen.findByRole('region', { name: 'Changed by you' });
    expect(own.textContent).toContain(floor.label);
    const search = screen.getByRole('searchbox', { name: 'Search the rules' });
    await user.type(search, 'price mated');
    expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
      expect.stringContaining(HOUSE_RULES.priceMatedQueen.label),
    ]);
    await user.type(search, ' zebra');
    expect(screen.getByText('No rule has these words.')).toBeTruthy();
  });

  it('are drawn where a picture helps, and the picture follows what is typed', () => {
    const { type } = open();
    expect(screen.getByRole('img', { name: `${floor.default.toFixed(1)} frames of brood` })).toBeTruthy();
    type('4');
    expect(screen.getByRole('img', { name: '4.0 frames of brood' })).toBeTruthy();
    expect(screen.getByRole('img', { name: 'of ten bees 7 stay' })).toBeTruthy();
    type('much');
    expect(screen.queryByRole('img', { name: '4.0 frames of brood' })).toBeNull();
  });
});
