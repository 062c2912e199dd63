import { openFollowUps } from '@incremen/core/records';
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { FollowUpsPage } from '../followups/FollowUpsPage.tsx';
import { LookPage } from './LookPage.tsx';

withoutNetwork();

function open(at: string) {
  const views = (
    <Routes>
      <Route path="/inspections" element={<FollowUpsPage />} />
      <Route path="/look/:followUpId" element={<LookPage />} />
    </Routes>
  );
  return { ...renderView(views, demoStore(), at), user: userEvent.setup() };
}
const whichPart = () =>
  openFollowUps(demoStore().getState().mirror.apiary).find((f) => f.topic === 'which-part')!;
const inGroup = (name: string) => within(screen.getByRole('group', { name }));

describe('follow-ups', () => {
  it('stand by day and yard, today first, then rest', () => {
    open('/inspections');
    const headings = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent ?? '');
    expect(headings[0]).toMatch(/^Today, /);
    expect(headings).toContain('Hands off');
    expect(screen.getByText(/^best Fri 15 May/)).toBeTruthy();
    expect(
      screen
        .getAllByRole('link', { name: 'Record the inspection of Campion and Campion II' })
        .map((l) => l.textContent),
    ).toEqual(['Record', 'Open']);
  });
});

describe('a look at both halves', () => {
  it('forms its verdict while one answers, is kept for both, and settles which half has the queen', async () => {
    const { user, store, router } = open(`/look/${whichPart().id}`);
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Save inspection' });
    expect(keep.disabled).toBe(true);
    expect(screen.getByText(/verdict appears here/)).toBeTruthy();
    await user.click(inGroup('Campion: eggs').getByText('Found'));
    await user.click(inGroup('Campion: frames read').getByText(/^All/));
    await user.click(inGroup('Campion II: eggs').getByText('None'));
    await user.click(inGroup('Campion II: frames read').getByText(/^All/));
    const verdict = within(screen.getByRole('region', { name: 'Verdict' }));
    // Eggs a week after the split can only have been laid since: common practice, no source.
    expect(verdict.getByRole('heading', { level: 2 }).textContent).toMatch(/queen.*Campion\b/i);
    // At a glance: the next thing for each part; the chances are folded away.
    for (const fold of verdict.getAllByText(/how likely it is/i)) await user.click(fold);
    // The chances weigh this look with what was known before.
    const chances = within(await screen.findByRole('region', { name: 'Chances for Campion' }));
    expect(chances.getAllByRole('listitem')[0]?.textContent).toMatch(/^a mated queen lays(9\d|100) %$/);
    expect(screen.getByRole('region', { name: 'Chances for Campion II' }).textContent).toContain(
      'would settle it best',
    );
    await user.click(keep);
    expect(await screen.findByRole('heading', { level: 1, name: 'Inspections' })).toBeTruthy();
    expect(router.state.location.pathname).toBe('/inspections');
    const [entry] = store.getState().mirror.outbox;
    expect(entry?.command).toMatchObject({ type: 'recordLook', day: '2026-05-15' });
    expect(store.getState().mirror.apiary.followUp[whichPart().id]?.status).toBe('done');
  });

  it('keeps "not looked" apart from "none": one part alone can be recorded', async () => {
    const { user, store } = open(`/look/${whichPart().id}`);
    await user.click(inGroup('Campion II: eggs').getByText('None'));
    expect(screen.getByText('not opened yet')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save inspection' }));
    await screen.findByRole('heading', { level: 1, name: 'Inspections' });
    const command = store.getState().mirror.outbox[0]?.command;
    expect(command?.type === 'recordLook' && command.parts).toHaveLength(1);
  });

  it('cannot be dated before the split nor in days to come; what was answered stays', async () => {
    const { user, store } = open(`/look/${whichPart().id}`);
    await user.click(inGroup('Campion: eggs').getByText('Found'));
    const day = screen.getByLabelText(/^Day of the inspection/);
    const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save inspection' });
    fireEvent.change(day, { target: { value: '2027-05-15' } });
    expect(screen.getByRole('alert').textContent).toContain('dated 2027-05-15; today is 2026-05-15');
    expect(keep().disabled).toBe(true);
    fireEvent.change(day, { target: { value: '2026-05-01' } });
    await user.click(keep());
    expect((await screen.findByRole('alert')).textContent).toContain('Correct the day of the inspection.');
    expect(store.getState().mirror.outbox).toHaveLength(0);
    expect(inGroup('Campion: eggs').getByRole<HTMLInputElement>('radio', { name: 'Found' }).checked).toBe(
      true,
    );
  });

  it('that is done already says so', () => {
    const done = Object.values(demoStore().getState().mirror.apiary.followUp).find(
      (f) => f.kind === 'look' && f.status !== 'open',
    );
    open(`/look/${done?.id ?? ''}`);
    expect(screen.getByText(/done, or a later one/)).toBeTruthy();
  });
});
