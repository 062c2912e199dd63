import { demoScenario } from '@incremen/core/demo';
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { ComparePage } from './ComparePage.tsx';

withoutNetwork();

const { apiary } = demoScenario();
const idOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';
const at = (...names: string[]) => `/compare?${names.map((n) => `c=${idOf(n)}`).join('&')}`;

describe('colonies side by side', () => {
  it('are named in the title, drawn, and each leads to its own view', () => {
    renderView(<ComparePage />, demoStore(), at('Tansy', 'Mallow'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Tansy · Mallow');
    const table = screen.getByRole('region', { name: 'Comparison' });
    for (const name of ['Tansy', 'Mallow']) {
      expect(within(table).getByRole('link', { name }).getAttribute('href')).toBe(`/colonies/${idOf(name)}`);
      expect(within(table).getByRole('img', { name: new RegExp(`^${name}: `) })).toBeTruthy();
    }
  });

  it('are four at most', () => {
    renderView(<ComparePage />, demoStore(), at('Tansy', 'Mallow', 'Burnet', 'Sorrel', 'Yarrow'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Tansy · Mallow · Burnet · Sorrel');
  });

  it.each([
    ['none', []],
    ['one', ['Tansy']],
  ])('are asked for when there is %s', (_many, names) => {
    renderView(<ComparePage />, demoStore(), at(...names));
    expect(screen.getByRole('button', { name: 'Pick two to four' })).toHaveProperty('disabled', true);
    const table = screen.getByRole('table', { name: 'Colonies' });
    for (const name of ['Tansy', 'Mallow'].filter((n) => !names.includes(n)))
      fireEvent.click(within(table).getByRole('checkbox', { name: `Compare ${name}` }));
    fireEvent.click(screen.getByRole('link', { name: 'Compare these 2' }));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(
      /^(Tansy · Mallow|Mallow · Tansy)$/,
    );
  });

  it('are all of them in one table, sorted by a heading and narrowed by a word', () => {
    renderView(<ComparePage />, demoStore(), '/compare');
    const names = () =>
      within(screen.getByRole('table', { name: 'Colonies' }))
        .getAllByRole('rowheader')
        .map((h) => h.textContent);
    const all = names();
    expect(all.length).toBeGreaterThan(10);
    expect(all).toEqual(
      all.toSorted((a, b) => (a ?? '').localeCompare(b ?? '', undefined, { numeric: true })),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Bees' }));
    expect(screen.getByRole('columnheader', { name: 'Bees' }).getAttribute('aria-sort')).toBe('descending');
    const bees = () =>
      within(screen.getByRole('table', { name: 'Colonies' }))
        .getAllByRole('row')
        .flatMap((r) => r.querySelector('td[data-title="Bees"]')?.textContent ?? [])
        .filter((t) => t !== '–')
        .map(Number);
    expect(bees()).toEqual(bees().toSorted((a, b) => b - a));
    fireEvent.change(screen.getByRole('searchbox', { name: 'Find a colony' }), { target: { value: 'tans' } });
    expect(names()).toEqual(all.filter((n) => n?.startsWith('Tans')));
  });

  it('pass over one that is gone', () => {
    renderView(<ComparePage />, demoStore(), `${at('Tansy', 'Mallow')}&c=gone`);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Tansy · Mallow');
  });

  it('are compared in bees, brood, stores and queen', () => {
    renderView(<ComparePage />, demoStore(), at('Tansy', 'Burnet'));
    const words = screen.getByRole('region', { name: 'Comparison' }).textContent ?? '';
    for (const row of ['Bees', 'Brood', 'Stores', 'Queen']) expect(words).toContain(row);
  });
});
