import { applyChanges } from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { demoScenario } from '@incremen/core/demo';
import { makePlan } from '@incremen/core/split';
import { cleanup, screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { TagsPage } from './TagsPage.tsx';

withoutNetwork();
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function open(workId?: string) {
  const { apiary } = demoScenario();
  const tansy = Object.values(apiary.colony).find((c) => c.name === 'Tansy')!;
  const made = makePlan(
    apiary,
    { colonyId: tansy.id, methodId: 'queen-to-nuc', day: '2026-05-15', newName: 'Tansy II', options: {} },
    () => crypto.randomUUID(),
  );
  if (!made.ok) throw new Error('no plan');
  const kept = decide(apiary, made.value.command);
  if (!kept.ok) throw new Error('not kept');
  const { work } = made.value.command;
  renderView(
    <Routes>
      <Route path="/worksheet/:workId/tags" element={<TagsPage />} />
    </Routes>,
    demoStore([], applyChanges(apiary, kept.value)),
    `/worksheet/${workId ?? work.id}/tags`,
  );
  return work;
}

describe('hive tags', () => {
  it('say day, mother, queen with her year and colour, and what to do, with a code each', () => {
    open();
    const tags = screen.getAllByRole('listitem');
    expect(tags).toHaveLength(2);
    const nuc = tags.find((t) => t.textContent?.includes('Tansy II'))!;
    // Ottoline was born in 2025: blue, by the international colour code.
    expect(nuc.textContent).toContain('Fri 15 May 2026');
    expect(nuc.textContent).toContain('old queen of Tansy, 2025 blue');
    expect(within(nuc).getByTitle('Code that leads to Tansy II')).toBeTruthy();
    const old = tags.find((t) => t !== nuc)!;
    expect(old.textContent).toContain('raising, not mated yet, 2026');
    expect(old.textContent).toMatch(/Hands off \w+ \d+ May to \w+ \d+ Jun/);
  });

  it('are printed when asked', () => {
    open();
    const print = vi.fn<() => void>();
    vi.stubGlobal('print', print);
    screen.getByRole('button', { name: 'Print' }).click();
    expect(print).toHaveBeenCalledOnce();
  });

  it('of a plan that is gone are missing', () => {
    open('00000000-0000-4000-8000-000000000000');
    expect(screen.queryByRole('button', { name: 'Print' })).toBeNull();
  });
});
