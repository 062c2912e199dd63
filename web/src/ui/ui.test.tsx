import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { afterPaint } from './afterPaint.ts';
import { Choice } from './Choice.tsx';
import { ago, count, degrees, degreeSign, mass, one, rangeOf } from './format.ts';
import { Key } from './Key.tsx';
import { Select } from './Select.tsx';
import { useLatest } from './useLatest.ts';
import { usePrinting } from './usePrinting.ts';
import { useTurn } from './useTurn.ts';

describe('numbers in words', () => {
  it('are rounded as a count by eye allows, in the units of the operation', () => {
    expect(one(2.349)).toBe('2.3');
    expect(rangeOf({ low: 1.04, likely: 2, high: 2.96 })).toBe('1.0–3.0');
    // One pound is 0.45359237 kg, by the International Yard and Pound Agreement of 1959.
    expect([mass(10, 'metric'), mass(10, 'imperial')]).toEqual(['10 kg', '22 lb']);
    // Water freezes at 32 °F and boils at 212 °F.
    expect([degrees(0, 'imperial'), degrees(100, 'imperial'), degrees(17.6, 'metric')]).toEqual([
      32, 212, 18,
    ]);
    expect([degreeSign('metric'), degreeSign('imperial')]).toEqual(['°C', '°F']);
    expect([count(1, 'frame'), count(2, 'entry', 'entries')]).toEqual(['1 frame', '2 entries']);
    expect([ago(0), ago(1), ago(5)]).toEqual(['today', 'yesterday', '5 days ago']);
  });
});

describe('controls', () => {
  it('a choice is a radio group of its own, however often its label stands on the page', () => {
    const onChange = vi.fn<(id: string) => void>();
    const options = [
      { id: 'a', label: 'A' },
      { id: 'b', label: 'B', quiet: true },
    ] as const;
    render(
      <>
        <Choice label="Same" options={options} value="b" onChange={onChange} />
        <Choice label="Same" options={options} value="a" onChange={onChange} />
      </>,
    );
    const radios = screen.getAllByRole<HTMLInputElement>('radio');
    expect(radios.map((r) => r.checked)).toEqual([false, true, true, false]);
    expect(screen.getAllByText('B')[0]?.getAttribute('data-chosen')).toBe('quiet');
    fireEvent.click(radios[0]!);
    expect(onChange).toHaveBeenCalledWith('a');
  });

  it('a key says whether it is pressed, or whether what it opens is open, never both', () => {
    const onClick = vi.fn<() => void>();
    render(
      <>
        <Key on onClick={onClick}>
          Queen
        </Key>
        <Key on expanded={false} onClick={onClick}>
          Cells
        </Key>
        <Key disabled onClick={onClick}>
          Off
        </Key>
      </>,
    );
    const attributes = (name: string) => {
      const key = screen.getByRole('button', { name });
      return [key.getAttribute('aria-pressed'), key.getAttribute('aria-expanded')];
    };
    expect(attributes('Queen')).toEqual(['true', null]);
    expect(attributes('Cells')).toEqual([null, 'false']);
    fireEvent.click(screen.getByRole('button', { name: 'Off' }));
    expect(onClick).not.toHaveBeenCalled();
  });

  it('a list gives the id of what is picked', () => {
    const onChange = vi.fn<(id: string) => void>();
    render(
      <Select
        label="Order"
        value="x"
        options={[
          ['x', 'by name'],
          ['y', 'by age'],
        ]}
        onChange={onChange}
      />,
    );
    fireEvent.change(screen.getByLabelText('Order'), { target: { value: 'y' } });
    expect(onChange).toHaveBeenCalledWith('y');
  });
});

describe('what waits until something is painted', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it('is done once, soon after', () => {
    const work = vi.fn<() => void>();
    afterPaint(work);
    expect(work).not.toHaveBeenCalled();
    vi.advanceTimersByTime(100);
    expect(work).toHaveBeenCalledTimes(1);
    window.dispatchEvent(new Event('pagehide'));
    expect(work).toHaveBeenCalledTimes(1);
  });

  it('is done at once when the page goes, and not at all when newer work takes its place', () => {
    const work = vi.fn<() => void>();
    afterPaint(work);
    window.dispatchEvent(new Event('pagehide'));
    expect(work).toHaveBeenCalledTimes(1);
    const other = vi.fn<() => void>();
    afterPaint(other)();
    vi.advanceTimersByTime(100);
    expect(other).not.toHaveBeenCalled();
  });
});

describe('hooks', () => {
  it('the latest function keeps its identity', () => {
    const { result, rerender } = renderHook(({ n }) => useLatest((add: number) => seen.push(n + add)), {
      initialProps: { n: 1 },
    });
    const seen: number[] = [];
    const first = result.current;
    rerender({ n: 10 });
    expect(result.current).toBe(first);
    first(5);
    expect(seen).toEqual([15]);
  });

  it('what is near gets its turn within frames, one after the other, and keeps it', async () => {
    function Card({ near }: { readonly near: boolean }) {
      return <p>{useTurn(near) ? 'drawn' : 'waiting'}</p>;
    }
    function Board() {
      const [near] = useState(true);
      return Array.from({ length: 5 }, (_, i) => <Card key={i} near={near} />);
    }
    render(<Board />);
    expect(screen.getAllByText('waiting')).toHaveLength(5);
    await act(() => new Promise((r) => setTimeout(r, 200)));
    expect(screen.getAllByText('drawn')).toHaveLength(5);
  });

  it('printing is known while it lasts', () => {
    const { result } = renderHook(() => usePrinting());
    expect(result.current).toBe(false);
    act(() => void window.dispatchEvent(new Event('beforeprint')));
    expect(result.current).toBe(true);
    act(() => void window.dispatchEvent(new Event('afterprint')));
    expect(result.current).toBe(false);
  });
});
