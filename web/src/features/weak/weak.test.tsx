import { demoScenario } from '@incremen/core/demo';
import type { FollowUp } from '@incremen/core/records';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { ActionPage } from './ActionPage.tsx';
import { ActPage } from './ActPage.tsx';
import { WeakPage } from './WeakPage.tsx';

withoutNetwork();

const { apiary } = demoScenario();
const id = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';

function open(at: string, records = apiary) {
  return renderView(
    <Routes>
      <Route path="/weak" element={<WeakPage />} />
      <Route path="/colonies/:colonyId/act" element={<ActPage />} />
      <Route path="/colonies/:colonyId/act/:actionId" element={<ActionPage />} />
      <Route path="/worksheet/:workId" element={<p>the work</p>} />
    </Routes>,
    demoStore([], records),
    at,
  );
}

describe('the desk for weak units', () => {
  it('says which unit is weak, why, and what comes first', async () => {
    open('/weak');
    const list = await screen.findByRole('list', { name: 'Weak colonies' });
    expect(within(list).getByRole('heading', { name: 'Burnet' })).toBeTruthy();
    expect(within(list).getByRole('list', { name: 'Why it is weak' }).textContent).toContain(
      'frames of bees',
    );
    expect(within(list).getByText('First choice')).toBeTruthy();
  });

  it('says that none is weak where nothing is', async () => {
    open('/weak', { ...apiary, colony: {} });
    expect(await screen.findByText(/^No colony is weak or in doubt/)).toBeTruthy();
  });

  it('names pairs to unite when fewer colonies are wanted', async () => {
    open('/weak');
    const many = await screen.findByRole('region', { name: 'How many colonies' });
    expect(within(many).queryAllByRole('link')).toHaveLength(0);
    fireEvent.click(within(many).getByRole('button', { name: 'Less: colonies wanted' }));
    expect(await within(many).findAllByRole('link', { name: /^Unite / })).toHaveLength(1);
  });
});

describe('the watch list', () => {
  // The demonstration's Burnet was counted on 13 May.
  const watch = (change: Partial<NonNullable<FollowUp['test']>>, earliest = '2026-05-12') => {
    const followUp: FollowUp = {
      id: '0197f000-0000-7000-8000-000000000001',
      workId: null,
      colonyIds: [id('Burnet')],
      kind: 'look',
      topic: 'watch',
      window: { earliest, likely: '2026-05-15', latest: '2026-05-22' },
      expect: 'More brood.',
      status: 'open',
      test: { since: '2026-05-01', brood: 0.1, bees: 40, ...change },
    };
    const view = open('/weak', { ...apiary, followUp: { ...apiary.followUp, [followUp.id]: followUp } });
    return { ...view, list: () => screen.findByRole('region', { name: 'Watch list' }) };
  };

  it('says what stood its test by the last count, and lets it off', async () => {
    const { list, store } = watch({});
    expect((await list()).textContent).toContain('Stood its test:');
    fireEvent.click(within(await list()).getByRole('button', { name: 'Off the list' }));
    await waitFor(() =>
      expect(
        Object.values(store.getState().mirror.apiary.followUp).filter(
          (f) => f.topic === 'watch' && f.status === 'open',
        ),
      ).toHaveLength(0),
    );
    expect(await screen.findByText(/^Nothing is watched/)).toBeTruthy();
  });

  it('says what failed, and where to decide', async () => {
    const { list } = watch({ brood: 30 });
    expect((await list()).textContent).toContain('Failed its test:');
    expect(
      within(await list())
        .getByRole('link', { name: 'Decide now' })
        .getAttribute('href'),
    ).toBe(`/colonies/${id('Burnet')}/act`);
  });

  it('waits for its day, and for a count', async () => {
    const early = watch({ brood: 30 }, '2026-05-15');
    expect((await early.list()).textContent).toContain('Not yet:');
    cleanup();
    const uncounted = watch({ since: '2026-05-15' }, '2026-05-15');
    expect(within(await uncounted.list()).getByRole('link', { name: 'Count' })).toBeTruthy();
  });
});

describe('what to do about a unit', () => {
  it('puts it on watch with a test and a date', async () => {
    const { store } = open(`/colonies/${id('Burnet')}/act`);
    fireEvent.click(await screen.findByRole('button', { name: 'Put on watch' }));
    await waitFor(() => {
      const watches = Object.values(store.getState().mirror.apiary.followUp).filter(
        (f) => f.topic === 'watch',
      );
      expect(watches).toMatchObject([{ status: 'open', window: { likely: '2026-05-22' } }]);
    });
    expect(await screen.findByRole('button', { name: 'On watch' })).toHaveProperty('disabled', true);
  });

  it('is another matter on cold nights', async () => {
    open(`/colonies/${id('Burnet')}/act`);
    await screen.findByRole('list', { name: 'What can be done' });
    fireEvent.click(screen.getByRole('radio', { name: 'Cold' }));
    expect(screen.getByRole('radio', { name: 'Cold' })).toHaveProperty('checked', true);
    expect(await screen.findByText(/^Not now, and why/)).toBeTruthy();
  });

  it('a colony that is no more has nothing to be done about it', () => {
    const ended = { ...apiary.colony[id('Burnet')]!, endedOn: '2026-05-10', hiveId: null };
    open(`/colonies/${ended.id}/act`, { ...apiary, colony: { ...apiary.colony, [ended.id]: ended } });
    expect(screen.getByText(/nothing is to be done/)).toBeTruthy();
  });
});

describe('an action worked out', () => {
  it('takes further units into the union, and leaves them out again', async () => {
    open(`/colonies/${id('Burnet')}/act/combine`);
    const units = () => screen.getByRole('list', { name: 'Before and after' });
    await screen.findByRole('list', { name: 'Before and after' });
    expect(within(units()).getAllByRole('listitem')).toHaveLength(2);
    const more = screen.getByLabelText<HTMLSelectElement>('And with');
    const third = [...more.options].find((o) => o.text !== 'and nobody else')!;
    fireEvent.change(more, { target: { value: third.value } });
    await waitFor(() => expect(within(units()).getAllByRole('listitem')).toHaveLength(3));
    fireEvent.click(screen.getByRole('button', { name: /^Without / }));
    await waitFor(() => expect(within(units()).getAllByRole('listitem')).toHaveLength(2));
  });

  it('is drawn before and after, and begun as work', async () => {
    const { store } = open(`/colonies/${id('Burnet')}/act/combine`);
    const units = await screen.findByRole('list', { name: 'Before and after' });
    expect(within(units).getAllByRole('img').length).toBeGreaterThanOrEqual(3);
    expect(within(units).getByText('no longer a separate colony')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Start the work' }));
    expect(await screen.findByText('the work')).toBeTruthy();
    const plans = Object.values(store.getState().mirror.apiary.work);
    expect(plans.some((p) => p.name.startsWith('unite '))).toBe(true);
  });

  it('a given queen is asked for her year and dot', async () => {
    open(`/colonies/${id('Burnet')}/act/give-queen`);
    expect(await screen.findByLabelText('Her year')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'blue' }));
    expect(screen.getByRole('radio', { name: 'blue' })).toHaveProperty('checked', true);
    expect(screen.getByText(/Hang the cage between two brood combs/)).toBeTruthy();
  });

  it('an action that is none is not found', () => {
    open(`/colonies/${id('Burnet')}/act/dance`);
    expect(screen.queryByRole('button', { name: 'Start the work' })).toBeNull();
  });
});
