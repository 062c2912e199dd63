import { renderHook, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { useAwake } from './useAwake.ts';

const withLock = (request: unknown) =>
  Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true });
afterEach(() => {
  Reflect.deleteProperty(navigator, 'wakeLock');
});

it('keeps the screen awake while it is open, asks again when the page comes back, and lets go', async () => {
  const release = vi.fn<() => Promise<void>>(() => Promise.resolve());
  const request = vi.fn<(type: string) => Promise<{ release: () => Promise<void> }>>(() =>
    Promise.resolve({ release }),
  );
  withLock(request);
  const { unmount } = renderHook(() => useAwake());
  await waitFor(() => expect(request).toHaveBeenCalledWith('screen'));
  document.dispatchEvent(new Event('visibilitychange'));
  await waitFor(() => expect(request).toHaveBeenCalledTimes(2));
  unmount();
  await waitFor(() => expect(release).toHaveBeenCalled());
  document.dispatchEvent(new Event('visibilitychange'));
  expect(request).toHaveBeenCalledTimes(2);
});

it('does without where the browser refuses', async () => {
  const request = vi.fn<() => Promise<never>>(() => Promise.reject(new Error('low battery')));
  withLock(request);
  const { unmount } = renderHook(() => useAwake());
  await waitFor(() => expect(request).toHaveBeenCalled());
  expect(() => unmount()).not.toThrow();
});
