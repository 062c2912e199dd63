import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

// The library does both of these when it is loaded; files share their modules, so it is loaded only once.
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
afterEach(cleanup);

// What is waited for comes late on a busy machine; what never comes fails all the same.
configure({ asyncUtilTimeout: 10_000 });
