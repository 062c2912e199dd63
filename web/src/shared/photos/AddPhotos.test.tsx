import { PHOTO_LIMITS } from '@incremen/core/records';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { localDatabase } from '../../offline/database.ts';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { renderView } from '../../testing/renderView.tsx';
import { AddPhotos, type DraftPhoto } from './AddPhotos.tsx';
import { forgetPhoto, keepPhoto } from './keptPhotos.ts';
import { shrinkPhoto } from './shrinkPhoto.ts';

withoutNetwork();

const photo = (): DraftPhoto => ({ id: crypto.randomUUID(), widthPx: 10, heightPx: 10, bytes: 3 });
const file = (name: string, bytes: number) => {
  const made = new File(['x'], name, { type: 'image/jpeg' });
  Object.defineProperty(made, 'size', { value: bytes });
  return made;
};

// What stands in for the browser's store gives pictures back as plain objects.
vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:kept');

describe('photos of a visit that is not saved yet', () => {
  it('one that is taken away stays on the device, so that undo can bring it back', async () => {
    const user = userEvent.setup();
    const onChange = vi.fn<(photos: readonly DraftPhoto[]) => void>();
    const [first, second] = [photo(), photo()];
    for (const p of [first, second]) await keepPhoto(crypto.randomUUID(), p.id, new Blob(['x']));
    renderView(<AddPhotos photos={[first, second]} onChange={onChange} />);
    await user.click(screen.getByRole('button', { name: 'Take away photo 1' }));
    expect(onChange).toHaveBeenCalledWith([second]);
    const db = await localDatabase();
    expect(await db.count('photos')).toBe(2);
    await forgetPhoto(first.id);
    expect(await db.getAllKeys('photos')).toEqual([second.id]);
  });

  it('one too many is left out by name, and the others stay', async () => {
    const user = userEvent.setup();
    const onChange = vi.fn<(photos: readonly DraftPhoto[]) => void>();
    const full = Array.from({ length: PHOTO_LIMITS.perVisit }, photo);
    renderView(<AddPhotos photos={full} onChange={onChange} />);
    await user.upload(screen.getByLabelText('Photos of this visit'), file('more.jpg', 10));
    expect((await screen.findByRole('alert')).textContent).toContain(
      'more.jpg was left out: a visit holds 6 photos.',
    );
    expect(onChange).toHaveBeenLastCalledWith(full);
  });
});

describe('a file that is no photo for us', () => {
  it('of 40 MB is refused before it is opened, with its size', async () => {
    const answer = await shrinkPhoto(file('huge.jpg', 40_000_000));
    expect(answer.ok ? [] : answer.problems.map((p) => p.code)).toEqual(['photo-too-large']);
    expect(answer.ok ? '' : answer.problems[0]?.message).toContain('huge.jpg has 40 MB');
  });

  it('that the browser cannot read is named, with what would do', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new DOMException('no picture')));
    const answer = await shrinkPhoto(file('notes.txt', 10));
    expect(answer.ok ? null : answer.problems[0]).toMatchObject({
      code: 'not-a-photo',
      message: 'notes.txt is not a photo that this browser can read.',
      remedy: 'Choose a JPEG, PNG or WebP picture.',
    });
  });
});
