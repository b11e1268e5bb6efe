import 'fake-indexeddb/auto';
import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

// jsdom lays nothing out, and so cannot scroll.
Element.prototype.scrollIntoView = () => undefined;

// A second is short on a machine with other work; nothing here is timed.
configure({ asyncUtilTimeout: 20_000 });

afterEach(cleanup);
