/** Around every test of a piece of interface. */
import { afterEach, beforeEach, jest } from '@jest/globals';
import { cleanup } from '@testing-library/react';

// Typing letter by letter into a full screen takes seconds on a busy machine.
jest.setTimeout(60_000);

// A document without a layout has no sizes: every chart says so, with a stack of a hundred lines.
const { warn } = console;
const isOfSizes = (text) => String(text).includes('width(0) and height(0) of chart');
beforeEach(() => {
  jest.spyOn(console, 'warn').mockImplementation((...given) => {
    if (!isOfSizes(given[0])) warn(...given);
  });
});

afterEach(() => {
  cleanup();
  localStorage.clear();
  jest.restoreAllMocks();
});
