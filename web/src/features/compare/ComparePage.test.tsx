import { demoScenario } from '@incremen/core/demo';
import { screen, within } from '@testing-library/react';
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
    expect(screen.getByText('Pick two to four colonies on the board.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Open the yard' }).getAttribute('href')).toBe('/yard');
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
