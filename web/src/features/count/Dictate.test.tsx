import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { renderView } from '../../testing/renderView.tsx';
import { Dictate } from './Dictate.tsx';

/** A browser's ear that hears what the test says. */
class Ear {
  static last: Ear | null = null;
  lang = '';
  continuous = false;
  processLocally = false;
  onresult: ((e: unknown) => void) | null = null;
  onend: (() => void) | null = null;
  onerror: ((e: { error: string }) => void) | null = null;
  constructor() {
    Ear.last = this;
  }
  start = vi.fn<() => void>();
  stop = () => this.onend?.();
  hear(...said: string[]) {
    const results = said.map((transcript) => Object.assign([{ transcript }], { isFinal: true }));
    this.onresult?.({ resultIndex: 0, results });
  }
}
afterEach(() => {
  vi.unstubAllGlobals();
});

it('writes what is said as shorthand, on the device where it can, and stops when told', () => {
  vi.stubGlobal('SpeechRecognition', Ear);
  const said = vi.fn<(line: string) => void>();
  renderView(<Dictate onSaid={said} />);
  fireEvent.click(screen.getByRole('button', { name: 'Say it' }));
  expect(Ear.last?.processLocally).toBe(true);
  act(() => Ear.last?.hear('honey three capped bees eight next', 'uh'));
  expect(said.mock.calls).toEqual([['h3 c *8;'], ['uh']]);
  fireEvent.click(screen.getByRole('button', { name: 'Stop listening' }));
  expect(screen.getByRole('button', { name: 'Say it' })).toBeTruthy();
});

it('says why it does not hear, and is not there where the browser has no ear', () => {
  vi.stubGlobal('SpeechRecognition', Ear);
  const { unmount } = renderView(<Dictate onSaid={() => undefined} />);
  fireEvent.click(screen.getByRole('button', { name: 'Say it' }));
  act(() => {
    Ear.last?.onerror?.({ error: 'not-allowed' });
    Ear.last?.onend?.();
  });
  expect(screen.getByRole('status').textContent).toMatch(/^The microphone is not allowed here/);
  unmount();
  vi.stubGlobal('SpeechRecognition', undefined);
  renderView(<Dictate onSaid={() => undefined} />);
  expect(screen.queryByRole('button')).toBeNull();
});
