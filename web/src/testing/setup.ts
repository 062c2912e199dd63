import { configure } from '@testing-library/react';

// What is waited for comes late on a busy machine; what never comes fails all the same.
configure({ asyncUtilTimeout: 10_000 });
