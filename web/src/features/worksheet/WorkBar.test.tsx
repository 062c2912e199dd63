import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { ChakraProvider } from '@chakra-ui/react';
import { act } from 'react';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { WorkStep } from '@incremen/core/records';
import { system } from '../../app/theme.ts';
import { demoStore } from '../../testing/renderView.tsx';
import { keepClock, readClock } from './workClock.ts';
import { WorkBar } from './WorkBar.tsx';

const STEPS: readonly [WorkStep['kind'], string[], string, WorkStep['task']?][] = [
  ['prepare', ['nuc-1'], 'Set out a box for Nuc 1'],
  ['open', ['tansy'], 'Open Tansy'],
  ['find', ['tansy'], 'Find the queen of Tansy', 'find-queen'],
  ['move', ['tansy', 'nuc-1'], 'Lower box, frame 3 → Nuc 1, slot 2', 'carry'],
  ['move', ['tansy', 'nuc-1'], 'Lower box, frame 4 → Nuc 1, slot 3', 'carry'],
  ['close', ['tansy'], 'Close Tansy'],
  ['close', ['nuc-1'], 'Close Nuc 1; entrance to a finger’s width'],
  ['check', [], 'Every entrance is open again'],
];
const steps = (done: number): WorkStep[] =>
  STEPS.map(([kind, unitKeys, text, task = null], i) => ({
    id: `s${i}`,
    workId: 'w',
    order: i,
    kind,
    task,
    text,
    detail: '',
    doneOn: i < done ? '2026-05-15' : null,
    unitKeys,
    frameIds: [],
  }));
const units = [
  { key: 'tansy', name: 'Tansy' },
  { key: 'nuc-1', name: 'Nuc 1' },
];

const bar = (done: number) => (
  <Provider store={demoStore()}>
    <ChakraProvider value={system}>
      <WorkBar workId="p" steps={steps(done)} units={units} onReport={() => undefined} />
    </ChakraProvider>
  </Provider>
);
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({
    now: new Date('2026-05-15T14:00:00'),
    toFake: ['Date', 'setInterval', 'clearInterval'],
  });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('the bar above the work', () => {
  it('says before it begins how long it will take', () => {
    render(bar(0));
    expect(screen.getByText(/^About \d+ minutes for one person/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Robbing' })).toBeNull();
  });

  it('counts the minutes that a hive stands open, and warns when they are many', () => {
    render(bar(3));
    expect(screen.getByText('Tansy open for 0 min')).toBeTruthy();
    act(() => void vi.advanceTimersByTime(21 * 60_000));
    expect(screen.getByText('Tansy open for 21 min')).toBeTruthy();
    expect(screen.getByText(/^Long enough/)).toBeTruthy();
  });

  it('keeps the minutes when the page is killed', () => {
    const first = render(bar(3));
    act(() => void vi.advanceTimersByTime(10 * 60_000));
    first.unmount();
    vi.setSystemTime(new Date('2026-05-15T14:12:00'));
    render(bar(4));
    expect(screen.getByText('Tansy open for 12 min')).toBeTruthy();
  });

  it('between two hives says that none stands open, and when the rest is done', () => {
    render(bar(6));
    expect(screen.getByText('No hive stands open')).toBeTruthy();
    // Close a nuc and one check: three minutes.
    expect(screen.getByText('About 3 minutes left, done about 14:03')).toBeTruthy();
  });

  it('turns to what to close first when robbers come, and stops only when all is closed', () => {
    render(bar(4));
    click('Robbing');
    const jobs = screen.getAllByRole('checkbox');
    expect(jobs.map((j) => j.closest('label')?.textContent)).toEqual([
      'Close Tansy',
      'Close Nuc 1; entrance to a finger’s width',
      'Entrances small, none shut',
    ]);
    expect(screen.getByText(/the second wave is larger/)).toBeTruthy();
    const stop = () => screen.getByRole('button', { name: 'All closed: stop here' });
    expect(stop()).toHaveProperty('disabled', true);
    for (const job of jobs) fireEvent.click(job);
    fireEvent.click(stop());
    expect(screen.getByRole('heading', { name: /^Stopped Fri 14:00/ })).toBeTruthy();
  });

  it('keeps a card to take it up again: hive, frames, queen, next', () => {
    const first = render(bar(4));
    click('Stop for now');
    for (const job of screen.getAllByRole('checkbox')) fireEvent.click(job);
    click('All closed: stop here');
    first.unmount();
    render(bar(4));
    expect(screen.getByText('Tansy, closed for the time being')).toBeTruthy();
    expect(
      screen.getByText('1 frame carried, 1 to go: last lower box, frame 3 → Nuc 1, slot 2'),
    ).toBeTruthy();
    expect(screen.getByText('Find the queen of Tansy: done')).toBeTruthy();
    expect(screen.getByText('Lower box, frame 4 → Nuc 1, slot 3')).toBeTruthy();
    act(() => void vi.advanceTimersByTime(60 * 60_000));
    click('Go on');
    // Opened anew: the clock begins again.
    expect(screen.getByText('Tansy open for 0 min')).toBeTruthy();
  });

  it('can go on working instead', () => {
    render(bar(4));
    click('Stop for now');
    click('Go on working');
    expect(screen.getByText(/^Tansy open for/)).toBeTruthy();
  });
});

describe('what the device keeps', () => {
  it('is nothing when it cannot be read', () => {
    localStorage.setItem('incremen.work.p', '{"openedAt":3}');
    expect(readClock('p')).toEqual({ openedAt: {}, pausedAt: null, closed: [], until: null });
  });

  it('comes back as it was', () => {
    keepClock('p', { openedAt: { a: 1 }, pausedAt: 2, closed: ['b'], until: 9 });
    expect(readClock('p')).toEqual({ openedAt: { a: 1 }, pausedAt: 2, closed: ['b'], until: 9 });
    expect(readClock('q').pausedAt).toBeNull();
  });
});
