import { ChakraProvider } from '@chakra-ui/react';
import { demoScenario } from '@incremen/core/demo';
import type { Apiary } from '@incremen/core/records';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { makeStore, type AppStore } from '../state/store.ts';
import { system } from '../app/theme.ts';
import { loaded } from '../state/mirrorSlice.ts';
import type { OutboxEntry } from '../offline/database.ts';

/** A store that holds the demonstration as it was last fetched. */
export function demoStore(
  outbox: readonly OutboxEntry[] = [],
  apiary: Apiary = demoScenario().apiary,
): AppStore {
  const store = makeStore();
  const operationId = Object.keys(apiary.operation)[0] ?? '';
  store.dispatch(
    loaded({ operationId, revision: 1, base: apiary, outbox, savedAt: Date.UTC(2026, 4, 15, 9) }),
  );
  return store;
}

/** Renders a part of the interface with store, theme and router around it, at an address. */
export function renderView(view: ReactNode, store: AppStore = demoStore(), at = '/') {
  const router = createMemoryRouter([{ path: '*', element: view }], { initialEntries: [at] });
  const shown = render(
    <Provider store={store}>
      <ChakraProvider value={system}>
        <RouterProvider router={router} />
      </ChakraProvider>
    </Provider>,
  );
  return { ...shown, store, router };
}
