import { fireEvent, render, screen } from '@testing-library/react';
import { Component, useState, type ReactNode } from 'react';
import { expect, it, vi } from 'vitest';
import { fetchedAhead } from './fetchedAhead.tsx';

function Counter() {
  const [n, setN] = useState(0);
  return (
    <button type="button" onClick={() => setN(n + 1)}>
      {n}
    </button>
  );
}

class Says extends Component<{ readonly children: ReactNode }> {
  override state = { failed: false };
  static getDerivedStateFromError = () => ({ failed: true });
  override render() {
    return this.state.failed ? <p>out of reach</p> : this.props.children;
  }
}

it('a view that was fetched ahead is there with the first drawing', async () => {
  const { View, fetch } = fetchedAhead(() => Promise.resolve(Counter));
  fetch();
  await Promise.resolve();
  render(<View />);
  expect(screen.getByRole('button')).toBeTruthy();
});

it('a view that was not is fetched when it is opened, and keeps what was done in it', async () => {
  const load = vi.fn<() => Promise<typeof Counter>>(() => Promise.resolve(Counter));
  const { View, fetch } = fetchedAhead(load);
  const { rerender } = render(<View />);
  expect(screen.queryByRole('button')).toBeNull();
  fireEvent.click(await screen.findByRole('button'));
  fetch();
  await Promise.resolve();
  rerender(<View />);
  expect(screen.getByRole('button').textContent).toBe('1');
});

it('what could not be fetched is said, and fetched anew when the view is opened again', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const load = vi.fn<() => Promise<typeof Counter>>().mockResolvedValue(Counter);
  load.mockRejectedValueOnce(new Error('no network'));
  load.mockRejectedValueOnce(new Error('no network'));
  const { View, fetch } = fetchedAhead(load);
  fetch();
  await Promise.resolve();
  const first = render(
    <Says>
      <View />
    </Says>,
  );
  await screen.findByText('out of reach');
  first.unmount();
  render(
    <Says>
      <View />
    </Says>,
  );
  expect(await screen.findByRole('button')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(3);
});
