import { STORE_KEY } from '@incremen/core/records';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import {
  about,
  apiary,
  atTheBench,
  choose,
  click,
  hive,
  idOf,
  openBench,
  planned,
  withNucs,
} from '../../testing/onBench.tsx';
import { proverSays } from '../../testing/plannerHere.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { asked, framePlaced } from '../../state/plannerSlice.ts';
import { YardPlanPage } from './YardPlanPage.tsx';

atTheBench();

/** Plans for yards that are kept: the demonstration has splits too. */
const keptYardWork = (store: ReturnType<typeof demoStore>) =>
  Object.values(store.getState().mirror.apiary.work).filter((w) => w.body.asked.source === 'yard');

describe('the plan bench, empty', () => {
  it('says what could be wanted, and begins with what is chosen', async () => {
    const { request } = openBench();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Plan for Sallow Bank');
    expect(screen.getByRole('button', { name: 'Start the work' })).toHaveProperty('disabled', true);
    for (const goal of ['Make nucs', 'Level the yard', 'Raise the weak', 'Unite two colonies']) {
      expect(screen.getByRole('button', { name: new RegExp(`^${goal}`) })).toBeTruthy();
    }
    click(/^Level the yard/);
    await planned();
    expect(request().goals).toMatchObject([{ kind: 'level', by: 'capped' }]);
  });

  it('is begun by a view that asks for something, once', async () => {
    const { request, store } = openBench(`/plan?goal=hiveUp&colony=${idOf('Clary')}`);
    await planned();
    expect(request().goals).toMatchObject([
      { kind: 'hiveUp', colonyId: idOf('Clary') },
      { kind: 'relieve', colonyIds: [] },
    ]);
    click('Remove: Free honey-bound nests');
    await waitFor(() => expect(request().goals).toHaveLength(1));
    // Drawn again at the same address, it keeps what was changed.
    act(() => void store.dispatch({ type: 'nothing' }));
    expect(request().goals).toHaveLength(1);
  });

  it('leads a new user to setting up', () => {
    const empty = { ...apiary, yard: {}, stand: {}, hive: {}, colony: {}, box: {}, frame: {} };
    renderView(<YardPlanPage />, demoStore([], empty as typeof apiary), '/plan');
    expect(screen.getByRole('link', { name: 'Set up a yard' })).toBeTruthy();
  });
});

describe('goals', () => {
  it('of nucs are set by number, queen, place and recipe', async () => {
    const { request } = await withNucs();
    const nucs = () => {
      const [goal] = request().goals;
      if (goal?.kind !== 'makeNucs') throw new Error('no nucs');
      return goal;
    };
    click('More: how many');
    expect(nucs().count).toBe(3);
    click('most');
    expect(nucs().count).toBeNull();
    expect(screen.getByText('as many as possible')).toBeTruthy();
    click('most');
    expect(nucs().count).toBe(2);
    choose('Queen of a nuc', 'mated');
    choose('Where nucs go', 'away');
    expect(nucs().recipe).toMatchObject({ queen: 'mated', distance: 'away', slots: 5 });
    choose('Recipe', 'four');
    // The combs change, the queen and the place stay.
    expect(nucs().recipe).toMatchObject({ queen: 'mated', distance: 'away', slots: 4, storesCombs: 2 });
    click('More: frames in its box');
    expect(screen.getByText('Recipe of your own')).toBeTruthy();
    choose('How much it matters: Make nucs', '3');
    expect(nucs().importance).toBe(3);
  });

  it('of every kind can be added, set and taken away', async () => {
    const { request } = await withNucs();
    const last = () => request().goals.at(-1);
    for (const kind of ['level', 'raise', 'calm', 'shrink', 'relieve', 'provision'] as const) {
      choose('Add a goal', kind);
      expect(last()?.kind).toBe(kind);
    }
    choose('Level by', 'brood');
    choose('Counted in', 'brood');
    about('Raise the weak', 'Mallow', 'Tansy', 'Burnet', 'Tansy');
    about('Take swarm pressure off', 'Sorrel');
    choose('Colony to bring down', idOf('Tansy'));
    about('Provision', 'Mallow', 'Sorrel');
    click('More: stores');
    expect(request().goals.slice(1)).toMatchObject([
      { kind: 'level', by: 'brood' },
      { kind: 'raise', by: 'brood', colonyIds: [idOf('Mallow'), idOf('Burnet')] },
      { kind: 'calm', colonyIds: expect.arrayContaining([idOf('Sorrel')]) as unknown },
      { kind: 'shrink', colonyId: idOf('Tansy'), boxes: 1 },
      { kind: 'relieve', colonyIds: [] },
      { kind: 'provision', colonyIds: [idOf('Mallow'), idOf('Sorrel')], storesKg: 13 },
    ]);
    click('Remove: Level the yard');
    expect(request().goals.map((g) => g.kind)).not.toContain('level');
    // Each has an id of its own, whatever was taken away before.
    choose('Add a goal', 'level');
    expect(new Set(request().goals.map((g) => g.id)).size).toBe(request().goals.length);
  });

  it('to unite name the two', async () => {
    const { request } = openBench();
    click(/^Unite two colonies/);
    choose('Colony that ends', idOf('Burnet'));
    choose('Colony that stays', idOf('Yarrow'));
    expect(request().goals).toMatchObject([{ fromId: idOf('Burnet'), intoId: idOf('Yarrow') }]);
    expect(await screen.findByText(/Burnet as it stands → Yarrow/)).toBeTruthy();
    expect(screen.getByText(/^1 colony united/)).toBeTruthy();
    // Two hives before, one after with the combs of both.
    const combs = (name: string, when: string) => within(hive(name, when)).getAllByRole('option').length;
    expect(combs('Yarrow', 'after the work')).toBe(combs('Yarrow', 'before') + combs('Burnet', 'before'));
    expect(screen.queryByText(/Nothing has to be moved/)).toBeNull();
  });

  it('that cannot be are named with the remedy, and nothing else is lost', async () => {
    const { request } = await withNucs();
    click('More: combs of honey');
    click('More: combs of honey');
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('The recipe asks for 6 combs');
    expect(alert.textContent).toContain('Take a box of 6 frames, or leave out 1.');
    click('Undo');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(request().goals).toHaveLength(1);
  });

  it('stand under circumstances that can be changed', async () => {
    const { request } = await withNucs();
    fireEvent.click(screen.getByLabelText('Below 10 °C (50 °F)'));
    fireEvent.click(screen.getByLabelText('Midsummer, dearth'));
    fireEvent.click(screen.getByLabelText('As they hang'));
    choose('Day of the work', '2026-05-20');
    const hives = screen.getByLabelText('Hives opened at most');
    fireEvent.change(hives, { target: { value: '2' } });
    fireEvent.blur(hives);
    fireEvent.click(screen.getByLabelText('Ferry Field'));
    expect(request()).toMatchObject({
      nights: 'cold',
      season: 'dearth',
      order: 'keep',
      day: '2026-05-20',
      limits: { hives: 2, frames: null },
    });
    expect(request().yardIds).toHaveLength(2);
    const none = screen.getByLabelText('Hives opened at most');
    fireEvent.change(none, { target: { value: 'few' } });
    fireEvent.blur(none);
    expect(screen.getByText(/^Enter a whole number from 1 to 400/)).toBeTruthy();
    expect(request().limits.hives).toBe(2);
    fireEvent.change(none, { target: { value: '' } });
    fireEvent.blur(none);
    expect(request().limits.hives).toBeNull();
    expect(screen.queryByText(/^Enter a whole number/)).toBeNull();
    const day = screen.getByLabelText<HTMLInputElement>('Day of the work');
    fireEvent.change(day, { target: { value: '2026-05-01' } });
    fireEvent.blur(day);
    expect(screen.getByText('Fri 1 May is past. Choose Fri 15 May or a day after it.')).toBeTruthy();
    expect(request().day).toBe('2026-05-20');
    expect(day.value).toBe('Wed 20 May 2026');
  });
});

describe('a plan on the bench', () => {
  it('shows hives before and after, moves with reasons, rules, and who is left alone', async () => {
    await withNucs();
    expect(within(hive('Tansy', 'before')).getAllByRole('option')).toHaveLength(20);
    expect(within(hive('Nuc 1', 'after the work')).getAllByRole('option')).toHaveLength(5);
    const moves = within(screen.getByRole('list', { name: 'Moves' }));
    expect(moves.getAllByText(/→ Nuc [12], slot \d/).length).toBeGreaterThanOrEqual(4);
    expect(moves.getAllByText(/keeps [\d.]+ of [\d.]+ brood/).length).toBeGreaterThan(0);
    expect(screen.getByText(/rules? met with room to spare/)).toBeTruthy();
    expect(screen.getByText('Campion II').parentElement?.textContent).toContain('Inspect today');
  });

  it('tells of a frame what is on it and where it goes; it can be held, ruled out, sent elsewhere', async () => {
    const { request, placed } = await withNucs();
    const [first] = within(screen.getByRole('list', { name: 'Moves' })).getAllByRole('button', {
      name: /^Tansy.*→ Nuc/,
    });
    fireEvent.click(first!);
    const inHand = () => within(screen.getByRole('region', { name: 'Frame in hand' }));
    expect(inHand().getByText(/goes to Nuc/)).toBeTruthy();
    fireEvent.click(inHand().getByRole('button', { name: 'Hold' }));
    expect(request().pins).toHaveLength(1);
    const pin = request().pins[0]!;
    await waitFor(() => expect(inHand().getByRole('button', { name: 'Held' })).toBeTruthy());
    fireEvent.click(inHand().getByRole('button', { name: 'Held' }));
    expect(request().pins).toEqual([]);
    await planned();
    const select = await waitFor(() => inHand().getByLabelText<HTMLSelectElement>('Send it to'));
    const home = [...select.options].find((o) => o.text === 'stays')!;
    const now = select.value;
    fireEvent.change(select, { target: { value: now === home.value ? pin.to : home.value } });
    expect(placed()).toHaveLength(1);
    expect(screen.getByText('1 frame placed by hand')).toBeTruthy();
    click('Undo');
    expect(placed()).toEqual([]);
    click('Redo');
    expect(placed()).toHaveLength(1);
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    expect(placed()).toEqual([]);
    fireEvent.keyDown(document.body, { key: 'Z', ctrlKey: true, shiftKey: true });
    expect(placed()).toHaveLength(1);
    // In a text the keys are the text's own.
    fireEvent.keyDown(screen.getByLabelText('how many'), { key: 'z', ctrlKey: true });
    expect(placed()).toHaveLength(1);
    click('Work out the rest anew');
    expect(request().pins).toHaveLength(1);
    await planned();
    fireEvent.click(await waitFor(() => screen.getByRole('button', { name: 'Put the frame out of sight' })));
    expect(screen.queryByRole('region', { name: 'Frame in hand' })).toBeNull();
  });

  it('lets go of frames that are gone', async () => {
    const { store, request, placed } = await withNucs();
    const gone = { frameId: '00000000-0000-4000-8000-000000000000', to: STORE_KEY };
    const held = { frameId: Object.keys(apiary.frame)[0]!, to: STORE_KEY };
    act(() => {
      store.dispatch(asked({ pins: [gone], forbids: [gone, held] }));
      store.dispatch(framePlaced(gone));
    });
    await waitFor(() => expect(request()).toMatchObject({ pins: [], forbids: [held] }));
    expect(placed()).toEqual([]);
    await planned();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is not praised when what was placed by hand breaks a rule', async () => {
    proverSays.bound = 2;
    await withNucs();
    // The recipe has two combs with brood; three are sent there.
    const words = () => screen.queryByRole('region', { name: 'Frame in hand' })?.textContent ?? '';
    const isSpare = () =>
      /stays where it hangs/.test(words()) && /capped brood/.test(words()) && !/queen/.test(words());
    for (let n = 0; n < 3; n++) {
      const combs = within(hive('Tansy', 'before')).getAllByRole('option');
      expect(combs.some((comb) => fireEvent.click(comb) && isSpare())).toBe(true);
      const select = screen.getByLabelText<HTMLSelectElement>('Send it to');
      const nuc = [...select.options].find((o) => o.text === 'to Nuc 1')!;
      fireEvent.change(select, { target: { value: nuc.value } });
    }
    click('Work out the rest anew');
    expect(await screen.findByText(/^\d rules? broken by what you placed$/)).toBeTruthy();
    expect(screen.queryByText(/best there/)).toBeNull();
  });

  it('does without a move that is ruled out, and allows it again', async () => {
    const { request } = await withNucs();
    const [ban] = screen.getAllByRole('button', { name: /^Not this: Tansy/ });
    fireEvent.click(ban!);
    expect(request().forbids).toHaveLength(1);
    await planned();
    click('Undo');
    expect(request().forbids).toEqual([]);
  });

  it('is changed by the keyboard: a frame is taken up, carried on, put down, or let go', async () => {
    const { placed } = await withNucs();
    const box = hive('Tansy', 'before');
    const press = (key: string) => fireEvent.keyDown(box, { key });
    press('Home');
    press('ArrowRight');
    expect(box.getAttribute('aria-activedescendant')).toBeTruthy();
    press('Enter');
    expect(screen.getByText(/^Held over Nuc 1\./)).toBeTruthy();
    press('ArrowDown');
    expect(screen.getByText(/^Held over Nuc 2\./)).toBeTruthy();
    press('ArrowUp');
    press('Escape');
    expect(screen.queryByText(/^Held over/)).toBeNull();
    expect(placed()).toEqual([]);
    // Put down in one nuc and then in the other: it cannot have been in both.
    press('End');
    press('Enter');
    press('Enter');
    press('Enter');
    press('ArrowDown');
    press('Enter');
    expect(placed()).toHaveLength(1);
    press('Escape');
    expect(screen.queryByRole('region', { name: 'Frame in hand' })).toBeNull();
  });

  it('leaves a colony out and takes it in again', async () => {
    const { request } = await withNucs();
    const [leave] = screen.getAllByRole('button', { name: /^Leave \w+ out$/ });
    const name = leave?.getAttribute('aria-label')?.replace(/^Leave | out$/g, '') ?? '';
    fireEvent.click(leave!);
    expect(request().leftOutIds).toEqual([idOf(name)]);
    fireEvent.click(await screen.findByRole('button', { name: 'Take it in' }));
    expect(request().leftOutIds).toEqual([]);
  });

  it('is kept under the names that the nucs were given, and leads to the work', async () => {
    const { store } = await withNucs();
    const name = screen.getByLabelText('Name of Nuc 1');
    fireEvent.change(name, { target: { value: 'Vetchling' } });
    fireEvent.blur(name);
    await waitFor(() => expect(screen.getByLabelText('Name of Nuc 1')).toHaveProperty('value', 'Vetchling'));
    click('Start the work');
    expect(await screen.findByRole('heading', { name: 'Work' })).toBeTruthy();
    const kept = keptYardWork(store)[0];
    expect(kept?.name).toBe('2 nucs, own queens');
    expect(kept?.body.units.filter((u) => u.state === 'new').map((u) => u.name)).toContain('Vetchling');
  });

  it('is not begun with a name that is taken: what is wrong is said', async () => {
    const { store } = await withNucs();
    const name = screen.getByLabelText('Name of Nuc 1');
    fireEvent.change(name, { target: { value: 'Burnet' } });
    fireEvent.blur(name);
    click('Start the work');
    expect((await screen.findByRole('alert')).textContent).toContain(
      'There is a colony named Burnet already.',
    );
    expect(keptYardWork(store)).toEqual([]);
  });
});
