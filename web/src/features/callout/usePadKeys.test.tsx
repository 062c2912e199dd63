import type { CallPlace } from '@incremen/core/records';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { usePadKeys } from './usePadKeys.ts';

afterEach(cleanup);

const HOME: CallPlace = { at: 'home' };
const UNIT: CallPlace = { at: 'unit', key: 'u1', slot: 2 };
const ADVICE = [UNIT, HOME].map((to, i) => ({ to, behind: i, why: '' }));

function Pad({ place, back }: { readonly place: (to: CallPlace) => void; readonly back: () => void }) {
  usePadKeys(ADVICE, place, back);
  return (
    <>
      <input aria-label="note" />
      <button type="button">other</button>
    </>
  );
}

describe('the keys of the pad', () => {
  it('Enter takes the answer, Shift and a figure a place beside it, Backspace takes the last call back', () => {
    const [place, back, heard] = [vi.fn<(to: CallPlace) => void>(), vi.fn<() => void>(), vi.fn<() => void>()];
    render(<Pad place={place} back={back} />);
    window.addEventListener('keydown', heard);
    fireEvent.keyDown(document.body, { key: 'Enter' });
    fireEvent.keyDown(document.body, { key: '"', code: 'Digit2', shiftKey: true });
    fireEvent.keyDown(document.body, { key: 'Backspace' });
    expect(place.mock.calls).toEqual([[UNIT], [HOME]]);
    expect(back).toHaveBeenCalledTimes(1);
    // None of them says anything of the frame.
    expect(heard).not.toHaveBeenCalled();
    // A place that is not there, a key held down, and the figures of the count are nothing to it.
    fireEvent.keyDown(document.body, { key: ')', code: 'Digit9', shiftKey: true });
    fireEvent.keyDown(document.body, { key: 'Enter', repeat: true });
    fireEvent.keyDown(document.body, { key: '2', code: 'Digit2' });
    expect(place).toHaveBeenCalledTimes(2);
    expect(heard).toHaveBeenCalled();
    window.removeEventListener('keydown', heard);
  });

  it('what is typed into a field is text, and Enter on a button presses that button', () => {
    const [place, back] = [vi.fn<(to: CallPlace) => void>(), vi.fn<() => void>()];
    render(<Pad place={place} back={back} />);
    fireEvent.keyDown(screen.getByLabelText('note'), { key: 'Backspace' });
    fireEvent.keyDown(screen.getByLabelText('note'), { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('button'), { key: 'Enter' });
    expect(place).not.toHaveBeenCalled();
    expect(back).not.toHaveBeenCalled();
  });
});
