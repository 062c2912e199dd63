import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/bricolage-grotesque/index.css';
import './ui/plainZero.css';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { makeRouter } from './app/router.tsx';
import { showLook } from './state/lookSlice.ts';
import { makeStore } from './state/store.ts';
import { system } from './app/theme.ts';
import { follow } from './mirror/follow.ts';
import { keepInStep, load } from './mirror/sync.ts';
import { keepBench } from './state/keptBench.ts';
import { installForOffline } from './offline/installed.ts';

const store = makeStore();
showLook(store.getState().look.name);
let { planner: kept } = store.getState();
store.subscribe(() => {
  const { look, planner, mirror } = store.getState();
  if (document.documentElement.className !== look.name) showLook(look.name);
  if (planner === kept || mirror.practising) return;
  kept = planner;
  keepBench(kept);
});
keepInStep(store);
follow(store);
void store.dispatch(load());

const waitForView = store.subscribe(() => {
  if (store.getState().mirror.status === 'loading') return;
  waitForView();
  installForOffline();
});

const root = document.getElementById('root');
if (!root) throw new Error('index.html must hold the element #root');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <ChakraProvider value={system}>
        <RouterProvider router={makeRouter()} useTransitions />
      </ChakraProvider>
    </Provider>
  </StrictMode>,
);
