import { newOperation } from '@incremen/core/records';
import type { FrameSizeId } from '@incremen/core/comb';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { keepSizes, SizePicker, sizeName, type PickedSize } from './SizePicker.tsx';

const BARN = { id: 'own:430x280' as FrameSizeId, name: 'Barn frame' };
const operation = newOperation('8f14e45f-ceea-467f-a0d6-2f6c9b1d1a11', 'x', { ownSizes: [BARN] });
const deep: PickedSize = { id: 'langstroth-deep', newName: null };

function show() {
  const onPick = vi.fn<(picked: PickedSize | null) => void>();
  renderView(<SizePicker label="Frame size" operation={operation} picked={deep} onPick={onPick} />);
  return { onPick, user: userEvent.setup(), list: screen.getByLabelText('Frame size') };
}

describe('choosing a frame size', () => {
  it('offers those that ship, those of one’s own by their names, and a new measure', async () => {
    const { onPick, user, list } = show();
    expect(list.textContent).toContain('Langstroth medium');
    expect(list.textContent).toContain('Barn frame');
    expect(screen.getByText('880 cm² of comb a side, published')).toBeTruthy();
    await user.selectOptions(list, 'Barn frame');
    expect(onPick).toHaveBeenLastCalledWith({ id: 'own:430x280', newName: null });
  });

  it('a new measure counts only once it has a name and can be a comb', async () => {
    const { onPick, user, list } = show();
    await user.selectOptions(list, 'own');
    expect(onPick).toHaveBeenLastCalledWith(null);
    await user.type(screen.getByLabelText('What you call it'), 'Top bar');
    expect(onPick).toHaveBeenLastCalledWith({ id: 'own:430x220', newName: 'Top bar' });
    await user.clear(screen.getByLabelText('Comb depth, mm'));
    await user.type(screen.getByLabelText('Comb depth, mm'), '9');
    expect(onPick).toHaveBeenLastCalledWith(null);
    expect(screen.getByText(/between 80 and 999 mm/)).toBeTruthy();
  });
});

describe('names of sizes', () => {
  it('are the user’s own where there is one', () => {
    expect(sizeName(operation, BARN.id)).toBe('Barn frame');
    expect(sizeName(operation, 'own:300x300')).toBe('own, 300 × 300 mm');
    expect(sizeName(operation, 'zander')).toBe('Zander');
  });

  it('are kept once each, beside those that are there, and not at all when none is new', () => {
    const top: PickedSize = { id: 'own:300x250', newName: 'Top bar' };
    expect(keepSizes(operation, [deep, top, top])).toEqual([
      { type: 'changeSettings', ownSizes: [BARN, { id: 'own:300x250', name: 'Top bar' }] },
    ]);
    expect(keepSizes(operation, [deep, { id: BARN.id, newName: 'Again' }])).toEqual([]);
  });
});
