import { ChakraProvider } from '@chakra-ui/react';
import { render, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { describe, expect, it } from 'vitest';
import { system } from '../app/theme.ts';
import { lazyPart } from './lazyPart.tsx';

const show = (Part: ReturnType<typeof lazyPart<object>>) =>
  render(
    <ChakraProvider value={system}>
      <p>The rest</p>
      <Suspense fallback="…">
        <Part />
      </Suspense>
    </ChakraProvider>,
  );

describe('a part of a view that is fetched when it is shown', () => {
  it('is shown once it is there', async () => {
    show(lazyPart(() => Promise.resolve({ default: () => <b>The chart</b> })));
    expect(await screen.findByText('The chart')).toBeTruthy();
  });

  it('leaves the rest standing when it cannot be fetched, and says so', async () => {
    show(
      lazyPart<object>(() => Promise.reject(new TypeError('Failed to fetch dynamically imported module'))),
    );
    expect(await screen.findByText(/could not be fetched/)).toBeTruthy();
    expect(screen.getByText('The rest')).toBeTruthy();
  });
});
