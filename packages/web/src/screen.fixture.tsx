import { jest } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { Problem } from '@clay-pot/contracts';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { queryClient } from './api/queries.js';

/** What the server would answer, by method and path; a problem differs from a body by its status. */
export type Answers = Readonly<Record<string, unknown>>;
/** What was asked of the server: `PUT /api/…` and the body. */
export interface SentRequest {
  readonly what: string;
  readonly body: unknown;
}

const isProblem = (answer: unknown): answer is Problem =>
  typeof answer === 'object' && answer !== null && 'type' in answer && 'status' in answer;

/** The body of a response, as `fetch` gives it; the document of the tests has no network of its own. */
function responseOf(answer: unknown) {
  const status = isProblem(answer) ? answer.status : answer === undefined ? 204 : 200;
  const headers = new Map([['content-type', isProblem(answer) ? 'application/problem+json' : 'application/json']]);
  const get = (name: string) => headers.get(name) ?? null;
  return { ok: status < 300, status, headers: { get }, json: () => Promise.resolve(answer) };
}

/** Lets the server give these answers; whatever else is asked finds nobody there. @returns what is asked, as it comes in */
export function answering(given: Answers): SentRequest[] {
  // Nobody repeated anything where a test does not say so.
  const answers: Answers = { 'GET /api/repeats': [], ...given };
  const requests: SentRequest[] = [];
  const answer = (path: unknown, { method = 'GET', body }: { method?: string; body?: string } = {}) => {
    const what = `${method} ${String(path)}`;
    requests.push({ what, body: body === undefined ? undefined : JSON.parse(body) });
    // Paths that hold an id made on the spot are given with a star.
    const key = Object.keys(answers).find((name) => new RegExp(`^${name.replaceAll('*', '[^/]+')}$`).test(what));
    return key === undefined ? Promise.reject(new TypeError('no network')) : Promise.resolve(responseOf(answers[key]));
  };
  Object.assign(globalThis, { fetch: jest.fn(answer) });
  queryClient.clear();
  return requests;
}

function Where() {
  const { pathname, search } = useLocation();
  return <p data-testid="where">{pathname + search}</p>;
}

/** Renders a piece of interface at an address, with the providers of every screen. @param pattern its own address; elsewhere it is not shown */
export function show(piece: ReactNode, at = '/', pattern = '*') {
  const rendered = render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path={pattern} element={piece} />
          {pattern !== '*' && <Route path="*" element={null} />}
        </Routes>
        <Where />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { ...rendered, user: userEvent.setup() };
}

/** Chooses one of a list that is typed for. */
export async function choose(user: UserEvent, label: string, name: string | RegExp): Promise<void> {
  await user.click(screen.getByRole('combobox', { name: label }));
  await user.click(await screen.findByRole('option', { name }));
}

/** Runs a hook with the providers of every screen. */
export const showHook = <R,>(hook: () => R) =>
  renderHook(hook, {
    wrapper: ({ children }) => <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>,
  });

/** Lets what was asked of the server arrive. */
export async function settle(): Promise<void> {
  const arrived = () => {
    if (queryClient.isFetching() + queryClient.isMutating() > 0) throw new Error('The server has yet to answer.');
  };
  await waitFor(arrived);
  await act(() => new Promise<void>((resolve) => setTimeout(resolve)));
  await waitFor(arrived);
}
