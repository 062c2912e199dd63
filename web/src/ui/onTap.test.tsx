import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Choice } from './Choice.tsx';
import { Key } from './Key.tsx';

const at = (clientX: number, clientY: number) => ({ clientX, clientY });
function finger(target: Element, from: [number, number], to: [number, number]): boolean {
  fireEvent.touchStart(target, { touches: [at(...from)], changedTouches: [at(...from)] });
  // False when the click that would follow was given up.
  return fireEvent.touchEnd(target, { touches: [], changedTouches: [at(...to)] });
}

describe('a tap', () => {
  it('is answered when the finger lifts, and no click follows', () => {
    const work = vi.fn<() => void>();
    render(<Key onClick={work}>Capped</Key>);
    expect(finger(screen.getByRole('button'), [10, 10], [14, 12])).toBe(false);
    expect(work).toHaveBeenCalledTimes(1);
  });

  it('is a click still for mouse, keys and screen readers', () => {
    const work = vi.fn<() => void>();
    render(<Key onClick={work}>Capped</Key>);
    fireEvent.click(screen.getByRole('button'));
    expect(work).toHaveBeenCalledTimes(1);
  });

  it('is none when the finger strokes along, scrolls, or has company', () => {
    const work = vi.fn<() => void>();
    render(<Key onClick={work}>Capped</Key>);
    const key = screen.getByRole('button');
    expect(finger(key, [10, 10], [80, 10])).toBe(true);
    fireEvent.touchStart(key, { touches: [at(1, 1), at(5, 5)], changedTouches: [at(5, 5)] });
    fireEvent.touchEnd(key, { touches: [], changedTouches: [at(1, 1)] });
    fireEvent.touchStart(key, { touches: [at(1, 1)], changedTouches: [at(1, 1)] });
    fireEvent.touchEnd(key, { cancelable: false, changedTouches: [at(1, 1)] });
    expect(work).not.toHaveBeenCalled();
  });

  it('does nothing on a key that cannot be used now', () => {
    const work = vi.fn<() => void>();
    render(
      <Key disabled onClick={work}>
        Capped
      </Key>,
    );
    finger(screen.getByRole('button'), [10, 10], [10, 10]);
    expect(work).not.toHaveBeenCalled();
  });

  it('leaves a field in which one was typing, and chooses among answers', () => {
    const choose = vi.fn<(id: string) => void>();
    render(
      <>
        <input aria-label="note" />
        <Choice label="Eggs" options={[{ id: 'found', label: 'Found' }]} value={null} onChange={choose} />
      </>,
    );
    screen.getByLabelText('note').focus();
    finger(screen.getByText('Found'), [10, 10], [10, 10]);
    expect(document.activeElement).toBe(document.body);
    expect(choose).toHaveBeenCalledWith('found');
  });
});
