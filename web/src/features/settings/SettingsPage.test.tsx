import { operationOf } from '@incremen/core/records';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { renderView } from '../../testing/renderView.tsx';
import { SettingsPage } from './SettingsPage.tsx';

withoutNetwork();

it('changes units, seasons, the frame of totals and the look at once', async () => {
  const user = userEvent.setup();
  const { store } = renderView(<SettingsPage />);
  await user.click(screen.getByText('Pounds, quarts, miles, °F'));
  await user.click(screen.getByText('Southern'));
  await user.selectOptions(screen.getByLabelText('Show totals in frames of'), 'national-deep');
  expect(operationOf(store.getState().mirror.apiary)).toMatchObject({
    units: 'imperial',
    hemisphere: 'south',
    referenceSize: 'national-deep',
  });
  await user.click(screen.getByText('Sunlight'));
  expect(store.getState().look.name).toBe('sunlight');
  expect(screen.getByRole('link', { name: 'House rules' }).getAttribute('href')).toBe('/rules');
});

it('keeps the words of a region, and begins weeks on a day of one’s own', async () => {
  const user = userEvent.setup();
  const { store } = renderView(<SettingsPage />);
  await user.click(screen.getByText('UK and Commonwealth: sealed, crown board'));
  await user.click(screen.getByText('Sunday'));
  await user.selectOptions(screen.getByLabelText('Currency'), 'NZD');
  await waitFor(() =>
    expect(operationOf(store.getState().mirror.apiary)).toMatchObject({
      words: 'commonwealth',
      weekStart: 'sunday',
      currency: 'NZD',
    }),
  );
});
