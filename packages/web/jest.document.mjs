/** Around every test of a piece of interface. */
import { afterEach, jest } from '@jest/globals';
import { cleanup } from '@testing-library/react';

// Typing letter by letter into a full screen takes seconds on a busy machine.
jest.setTimeout(20_000);

afterEach(() => {
  cleanup();
  localStorage.clear();
  jest.restoreAllMocks();
});
