import { boxesOfColony, framesOfColony } from '@incremen/core/records';
import { demoScenario } from '@incremen/core/demo';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useReducer } from 'react';
import { describe, expect, it } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { countStep, startCount, type CountDraft } from '../../shared/counting/countDraft.ts';
import { LineMode } from './LineMode.tsx';
import { QuickMode } from './QuickMode.tsx';

const { apiary } = demoScenario();
const colony = Object.values(apiary.colony).find((c) => c.name === 'Yarrow')!;
const boxes = boxesOfColony(apiary, colony);
const begin = () =>
  startCount(
    framesOfColony(apiary, colony).map((p) => ({
      frameId: p.frame.id,
      boxId: p.box.id,
      slot: p.slot,
      last: p.reading?.body ?? null,
      lastId: p.reading?.id ?? null,
    })),
    boxes.map((b) => ({ id: b.id, sizeId: b.sizeId, brood: true })),
  );

let draft: CountDraft;
const remember = (state: CountDraft) => {
  draft = state;
};
function Recorder({ by }: { readonly by: 'quick' | 'line' }) {
  const [state, act] = useReducer(countStep, null, begin);
  useEffect(() => remember(state), [state]);
  return by === 'quick' ? (
    <QuickMode draft={state} act={act} boxes={boxes} />
  ) : (
    <LineMode draft={state} act={act} boxes={boxes} />
  );
}
const key = (name: string) => screen.getByRole('button', { name });
const field = (name: string) => screen.getByLabelText<HTMLInputElement>(`${name}, frames`);

describe('the quick count by taps', () => {
  it('goes from number to number by itself', async () => {
    const user = userEvent.setup();
    renderView(<Recorder by="quick" />);
    for (const n of [8, 3, 1]) await user.click(key(n === 1 ? '1 frame' : `${n} frames`));
    await user.click(key('Eggs: none'));
    await user.click(key('2 frames'));
    expect(draft.quick).toMatchObject({ bees: 8, capped: 3, open: 1, eggsSeen: false, stores: 2 });
    expect(field('Bees').value).toBe('8');
  });

  it('adds a half or ten to the next number, once', async () => {
    const user = userEvent.setup();
    renderView(<Recorder by="quick" />);
    await user.click(key('and a half'));
    expect(key('and a half').getAttribute('aria-pressed')).toBe('true');
    await user.click(key('7 frames'));
    expect(draft.quick?.bees).toBe(7.5);
    expect(key('and a half').getAttribute('aria-pressed')).toBe('false');
    await user.click(field('Bees'));
    await user.click(key('ten more'));
    await user.click(key('2 frames'));
    expect(draft.quick?.bees).toBe(12);
  });

  it.each([
    ['4.5', 4.5],
    ['4,5', 4.5],
    ['4½', 4.5],
    ['½', 0.5],
  ])('reads %s as it is typed', async (typed, value) => {
    const user = userEvent.setup();
    renderView(<Recorder by="quick" />);
    await user.type(field('Stores'), typed);
    expect(draft.quick?.stores).toBe(value);
  });

  it('keeps the number when nonsense is typed, and says what cannot be', async () => {
    const user = userEvent.setup();
    renderView(<Recorder by="quick" />);
    await user.type(field('Bees'), '9');
    await user.clear(field('Bees'));
    await user.type(field('Bees'), 'many');
    expect(draft.quick?.bees).toBe(9);
    await user.type(field('Capped brood'), '14');
    expect((await screen.findByRole('alert')).textContent).toContain('frames of brood');
    await user.click(key('Clear the quick count'));
    expect(draft.quick).toBeNull();
    expect(draft.frames.every((f) => f.reading === null)).toBe(true);
  });
});

describe('the line of shorthand', () => {
  const line = () => screen.getByLabelText<HTMLTextAreaElement>('The count in shorthand');

  it('reads frames as they are typed and marks what it does not understand', async () => {
    const user = userEvent.setup();
    const { container } = renderView(<Recorder by="line" />);
    await user.type(line(), 'h3 c *8; zz');
    expect(draft.frames[0]?.reading?.sides[0].contents).toEqual({ honey: 3, capped: 7 });
    expect([...container.querySelectorAll('mark')].map((m) => m.textContent)).toEqual(['z', 'z']);
    expect(line().getAttribute('aria-invalid')).toBe('true');
  });

  it('puts what is picked where the caret is, and goes on after it', async () => {
    const user = userEvent.setup();
    renderView(<Recorder by="line" />);
    await user.type(line(), 'c6 ');
    await user.click(key('Insert *8: 8 tenths bees'));
    expect(line().value).toBe('c6 *8');
    expect(draft.frames[0]?.reading?.sides[0].bees).toBe(8);
  });

  it('explains itself', () => {
    renderView(<Recorder by="line" />);
    expect(screen.getByText('How to write it')).toBeTruthy();
    expect(screen.getByText('k2c-b')).toBeTruthy();
  });
});
