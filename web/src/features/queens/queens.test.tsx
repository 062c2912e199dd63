import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { QueenPage } from './QueenPage.tsx';
import { QueensPage } from './QueensPage.tsx';
import { QueenTagsPage } from './QueenTagsPage.tsx';

withoutNetwork();

function open(at: string) {
  const store = demoStore();
  renderView(
    <Routes>
      <Route path="/queens" element={<QueensPage />} />
      <Route path="/queens/tags" element={<QueenTagsPage />} />
      <Route path="/queens/:queenId" element={<QueenPage />} />
    </Routes>,
    store,
    at,
  );
  return () => store.getState().mirror.apiary;
}
const idOf = (name: string) =>
  Object.values(demoStore().getState().mirror.apiary.queen).find((q) => q.name === name)?.id ?? '';
const click = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('the register of queens', () => {
  it('says whom to mark in which colour, whom to replace, and who waits in a cage', () => {
    open('/queens');
    expect(screen.getByText('To mark').parentElement?.textContent).toMatch(/white|yellow|red|green|blue/);
    expect(screen.getByText('Burnet', { selector: 'a' })).toBeTruthy();
    expect(screen.getByText(/caged since Tue 12 May/)).toBeTruthy();
  });

  it('takes a queen into stock', async () => {
    const records = open('/queens');
    click('Add a queen');
    fireEvent.change(screen.getByLabelText('Name or number'), { target: { value: 'Merry' } });
    fireEvent.click(screen.getAllByRole('button', { name: 'Add the queen' })[0]!);
    await waitFor(() =>
      expect(Object.values(records().queen).find((q) => q.name === 'Merry')).toMatchObject({
        whereabouts: { known: 'stock' },
        cagedSince: '2026-05-15',
      }),
    );
  });

  it('prints a tag for each queen whose colony is known', () => {
    open('/queens/tags');
    const tags = screen.getAllByRole('listitem');
    expect(tags.length).toBeGreaterThan(8);
    expect(within(tags[0]!).getByText('Born')).toBeTruthy();
  });
});

describe('one queen', () => {
  it('is marked in the colour of her year, which is offered', async () => {
    const id = idOf('Thrift');
    const records = open(`/queens/${id}`);
    expect(screen.getByText(/Queens of 2026 wear white/)).toBeTruthy();
    click('Mark her');
    fireEvent.change(screen.getByLabelText('Number'), { target: { value: '17' } });
    fireEvent.click(screen.getAllByRole('button', { name: 'Save' })[0]!);
    await waitFor(() => expect(records().queen[id]).toMatchObject({ dot: 'white', number: '17' }));
  });

  it('is not put where another lives: what is wrong is said, and nothing changes', async () => {
    const id = idOf('Thrift');
    const records = open(`/queens/${id}`);
    click('Put her into a colony');
    const burnet = Object.values(records().colony).find((c) => c.name === 'Burnet');
    fireEvent.change(screen.getByLabelText('Colony'), { target: { value: burnet?.id } });
    fireEvent.click(screen.getAllByRole('button', { name: 'Save' })[0]!);
    expect((await screen.findByRole('alert')).textContent).toContain('Burnet already has a queen, Wren');
    expect(records().queen[id]?.whereabouts).toEqual({ known: 'stock' });
  });

  it('shows her line, and what is known of her can be corrected', async () => {
    const id = idOf('Thrift');
    const records = open(`/queens/${id}`);
    expect(within(screen.getByRole('region', { name: 'Line of queens' })).getAllByRole('link')).toHaveLength(
      2,
    );
    fireEvent.click(screen.getByText('What is known of her'));
    fireEvent.change(screen.getByLabelText('Born in'), { target: { value: '' } });
    fireEvent.change(screen.getByLabelText('Born in this year or before'), { target: { value: '2025' } });
    fireEvent.click(screen.getAllByRole('button', { name: 'Save' }).at(-1)!);
    await waitFor(() =>
      expect(records().queen[id]).toMatchObject({
        birthYear: null,
        bornWithin: { from: null, to: 2025 },
        line: 'Downland',
      }),
    );
  });
});
