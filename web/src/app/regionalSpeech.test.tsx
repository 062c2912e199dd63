import { act, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { speakAs } from './regionalSpeech.ts';

let stop = () => {};
afterEach(() => stop());

function Hive({ brood, note }: { readonly brood: string; readonly note: string }) {
  return (
    <div>
      <p>
        {brood} of capped brood under the <b>inner cover</b>
      </p>
      <button aria-label="Capped: more" title="bee bread">
        +
      </button>
      <p translate="no">{note}</p>
      <input aria-label="Note" placeholder="What of the capped brood?" defaultValue="capped" />
    </div>
  );
}

it('says what is there and what comes in the words of the region, and leaves the words of the keeper alone', async () => {
  const { container, rerender } = render(<Hive brood="3" note="capped late" />);
  stop = speakAs(document.body, 'commonwealth');
  expect(container.textContent).toContain('3 of sealed brood under the crown board');
  expect(screen.getByRole('button', { name: 'Sealed: more' }).title).toBe('pollen');
  expect(screen.getByText('capped late')).toBeTruthy();
  const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Note' });
  expect([field.placeholder, field.value]).toEqual(['What of the sealed brood?', 'capped']);
  // React draws anew over what was said, and it is said again.
  act(() => rerender(<Hive brood="Uncapped honey, 4" note="capped early" />));
  await vi.waitFor(() =>
    expect(container.textContent).toContain('Unsealed honey, 4 of sealed brood under the crown board'),
  );
  expect(screen.getByText('capped early')).toBeTruthy();
  // Another region: what was there before is there again.
  stop();
  expect(container.textContent).toContain('Uncapped honey, 4 of capped brood under the inner cover');
  expect(screen.getByRole('button', { name: 'Capped: more' }).title).toBe('bee bread');
});

it('says what appears later, wherever it does', async () => {
  stop = speakAs(document.body, 'us');
  const toast = document.createElement('output');
  toast.append('Set the roof aside');
  document.body.append(toast);
  await vi.waitFor(() => expect(toast.textContent).toBe('Set the telescoping cover aside'));
  toast.remove();
});
