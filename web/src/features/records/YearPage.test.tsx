import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { YearPage } from './YearPage.tsx';

withoutNetwork();

function open() {
  const store = demoStore();
  renderView(
    <Routes>
      <Route path="/records/year/:year" element={<YearPage />} />
    </Routes>,
    store,
    '/records/year/2026',
  );
  return () => Object.values(store.getState().mirror.apiary.expense);
}
const spent = () => within(screen.getByRole('region', { name: 'Spent' }));

describe('what a year cost', () => {
  it('is added up line by line, and a line can be taken off', async () => {
    const expenses = open();
    const before = expenses().length;
    fireEvent.click(spent().getByRole('button', { name: 'Add what was spent' }));
    fireEvent.change(spent().getByLabelText('What for'), { target: { value: 'A smoker' } });
    fireEvent.change(spent().getByLabelText(/^How much, in/), { target: { value: '27,50' } });
    fireEvent.click(spent().getByRole('button', { name: 'Save amount' }));
    expect(await spent().findByText('€27.50')).toBeTruthy();
    expect(expenses()).toHaveLength(before + 1);
    expect(expenses().find((e) => e.what === 'A smoker')).toMatchObject({
      amount: 27.5,
      day: '2026-05-15',
    });
    fireEvent.click(spent().getByRole('button', { name: 'Take A smoker off' }));
    await waitFor(() => expect(expenses()).toHaveLength(before));
  });

  it('wants to know what for, and a number', async () => {
    const expenses = open();
    const before = expenses();
    fireEvent.click(spent().getByRole('button', { name: 'Add what was spent' }));
    fireEvent.change(spent().getByLabelText(/^How much, in/), { target: { value: 'a lot' } });
    fireEvent.click(spent().getByRole('button', { name: 'Save amount' }));
    expect(await spent().findByText('Say what it was for.')).toBeTruthy();
    expect(spent().getByText(/Write how much it was as a number/)).toBeTruthy();
    expect(expenses()).toEqual(before);
  });
});
