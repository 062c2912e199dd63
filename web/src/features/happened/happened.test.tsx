import { yearReview } from '@incremen/core/colony';
import { colonyOn } from '@incremen/core/forecast';
import { fireEvent, screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { HappenedPage } from './HappenedPage.tsx';

withoutNetwork();

function open(name: string, what: string) {
  const store = demoStore();
  const records = () => store.getState().mirror.apiary;
  const colony = Object.values(records().colony).find((c) => c.name === name)!;
  renderView(
    <Routes>
      <Route path="/colonies/:colonyId/happened" element={<HappenedPage />} />
      <Route path="/colonies/:colonyId" element={<h1>Colony</h1>} />
    </Routes>,
    store,
    `/colonies/${colony.id}/happened?what=${what}`,
  );
  return { records, colony };
}
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const done = () => screen.findByRole('heading', { name: 'Colony' });

describe('what happened', () => {
  it('is chosen by one tap, and only then asks', () => {
    open('Tansy', '');
    expect(screen.queryByRole('form')).toBeNull();
    click('It swarmed');
    expect(screen.getByRole('form', { name: 'It swarmed' })).toBeTruthy();
  });

  it('feed is weighed in the units of the keeper, a comma being as good as a point', async () => {
    const { records, colony } = open('Tansy', 'feed');
    fireEvent.change(screen.getByLabelText('How much, in kg'), { target: { value: '1,5' } });
    click('It has it');
    await done();
    expect(Object.values(records().given).filter((g) => g.colonyId === colony.id)).toMatchObject([
      { body: { kind: 'feed', what: 'syrup-thick', kg: 1.5 } },
    ]);
  });

  it('honey that was taken counts for the year, and is in the hive no more', async () => {
    const { records, colony } = open('Tansy', 'harvest');
    click('Save harvest');
    expect(await screen.findByText(/Write how much it was as a number/)).toBeTruthy();
    const before = colonyOn(records(), colony, '2026-05-15').model?.foodKg ?? 0;
    fireEvent.change(screen.getByLabelText('How much, in kg'), { target: { value: '6' } });
    click('Save harvest');
    await done();
    expect(Object.values(records().event).filter((e) => e.body.what === 'harvested')).toMatchObject([
      { colonyId: colony.id, body: { kg: 6 } },
    ]);
    expect(yearReview(records(), 2026).harvestedKg).toBe(6);
    expect(colonyOn(records(), colony, '2026-05-16').model?.foodKg).toBeLessThan(before - 4.5);
  });

  it.each([
    ['feed', 'How much, in kg', 'much', 'It has it', /Write how much it was as a number/],
    ['feed', 'How much, in kg', '900', 'It has it', /Between 0.05 and 100/],
    ['treatment', 'Pieces', '2', 'It is in', /Say what it is/],
    ['moved', 'Name of the stand', ' ', 'Tansy stands there now', /Give the new stand a name/],
    ['origin', 'Here since', '', 'Save', /Say since when/],
  ])(
    '%s: %s “%s” is refused under its field, and nothing is told',
    async (what, field, typed, verb, words) => {
      const { records } = open('Tansy', what);
      const before = records();
      fireEvent.change(screen.getByLabelText(field), { target: { value: typed } });
      click(verb);
      expect(await screen.findByText(words)).toBeTruthy();
      expect(records()).toBe(before);
    },
  );

  it('two families are set on each other and taken down again', async () => {
    const { records, colony } = open('Tansy', 'stacked');
    click('They stand so now');
    await done();
    expect(records().colony[colony.id]?.hiveId).not.toBe(colony.hiveId);
  });

  it('a move by day within the yard is warned of; at dusk to another it is not', () => {
    open('Tansy', 'moved');
    const notes = () => within(screen.getByRole('list', { name: 'What the move does' }));
    fireEvent.click(screen.getByText('By day'));
    expect(notes().getByText(/Field bees fly back/)).toBeTruthy();
    fireEvent.click(screen.getByText('At dusk, all at home'));
    expect(notes().queryByText(/Field bees fly back/)).toBeNull();
  });

  it('combs of a colony that died of nobody knows what cannot go to the store', () => {
    open('Burnet', 'ended');
    const combs = within(screen.getByRole('group', { name: 'Its combs' }));
    expect(combs.queryByLabelText('Clean, to the store')).toBeNull();
    fireEvent.click(screen.getByText(/not infectious/));
    expect(combs.getByLabelText('Clean, to the store')).toBeTruthy();
  });

  it('a treatment of a part without a queen is told when there is no capped brood', () => {
    open('Campion II', 'treatment');
    expect(screen.getByText(/No capped brood is expected/)).toBeTruthy();
  });

  it('what the hive wears is kept with the day on which it goes', async () => {
    const { records, colony } = open('Tansy', 'wears');
    click('mouse guard');
    fireEvent.change(screen.getByLabelText('mouse guard: take off on'), { target: { value: '2026-05-20' } });
    click('Save');
    await done();
    expect(records().hive[colony.hiveId ?? '']?.wears).toEqual([
      { what: 'mouse-guard', since: '2026-05-15', until: '2026-05-20' },
    ]);
  });
});
