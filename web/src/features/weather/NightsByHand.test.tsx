import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { renderView } from '../../testing/renderView.tsx';
import { nightsSaid, sayNights } from '../../shared/weather/nightsSaid.ts';
import { NightsForetold } from '../../shared/weather/NightsForetold.tsx';
import { WeatherPage } from './WeatherPage.tsx';

withoutNetwork();
beforeEach(() => localStorage.clear());

it('lets the keeper say how cold the nights will be where no station does, and plans go by it', async () => {
  const user = userEvent.setup();
  renderView(
    <>
      <WeatherPage />
      <NightsForetold nights="mild" onChange={() => undefined} />
    </>,
  );
  const coldest = await screen.findByLabelText('Coldest night, °C');
  await user.clear(coldest);
  await user.type(coldest, '3');
  await user.tab();
  await user.click(screen.getByRole('button', { name: 'Go by this' }));
  expect(
    await screen.findByText(/^3 °C, as you said on Fri 15 May: plans allow for cold nights\.$/),
  ).toBeTruthy();
  expect(nightsSaid('2026-05-15')).toEqual({ day: '2026-05-15', minC: 3 });
  await user.click(screen.getByRole('button', { name: 'Forget it' }));
  expect(nightsSaid('2026-05-15')).toBeNull();
});

it('holds what was said for as long as a forecast does, and what is no such thing not at all', () => {
  sayNights({ day: '2026-05-15', minC: -2 });
  expect(nightsSaid('2026-05-19')?.minC).toBe(-2);
  expect(nightsSaid('2026-05-20')).toBeNull();
  expect(nightsSaid('2026-05-14')).toBeNull();
  localStorage.setItem('incremen.nights', '{"minC":"cold"}');
  expect(nightsSaid('2026-05-15')).toBeNull();
});
