import 'fake-indexeddb/auto';
import '@testing-library/jest-dom/vitest';
import { cleanup } from '@testing-library/react';
import { afterEach } from 'vitest';

// jsdom lays nothing out, and so cannot scroll.
Element.prototype.scrollIntoView = () => undefined;

afterEach(cleanup);
