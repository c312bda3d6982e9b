import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { isProblem, OfflineError, ProblemError, request, requestAll } from './request.js';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

const json = (body: unknown, init: ResponseInit = {}, type = 'application/json') =>
  new Response(JSON.stringify(body), { ...init, headers: { 'content-type': type, ...init.headers } });

function serverGives(answer: Response | Error | DOMException) {
  const fake = jest.fn<typeof fetch>();
  globalThis.fetch = answer instanceof Response ? fake.mockResolvedValue(answer) : fake.mockRejectedValue(answer);
  return fake;
}

describe('asking the API', () => {
  test('gives the answer’s own document; a write says what it is and what it was made from', async () => {
    const fetched = serverGives(json({ id: 'a' }));
    expect(await request('/things/a', { method: 'PUT', body: { name: 'x' }, ifMatch: '"4"' })).toEqual({ id: 'a' });
    expect(fetched).toHaveBeenCalledWith('/api/things/a', {
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'if-match': '"4"' },
      body: '{"name":"x"}',
    });
  });

  test('a question carries neither a body nor a type', async () => {
    const fetched = serverGives(json([]));
    await request('/things');
    expect(fetched).toHaveBeenCalledWith('/api/things', { method: 'GET', headers: {} });
  });

  test('all pages of a list are asked for one after another, each where the one before ended', async () => {
    const fetched = serverGives(json([]));
    fetched.mockResolvedValueOnce(json([1, 2], { headers: { link: '</api/things?limit=2&after=abc>; rel="next"' } }));
    fetched.mockResolvedValueOnce(json([3]));
    expect(await requestAll('/things?limit=2')).toEqual([1, 2, 3]);
    expect(fetched.mock.calls.map(([path]) => path)).toEqual(['/api/things?limit=2', '/api/things?limit=2&after=abc']);
  });

  test('nothing to say is no fault', async () => {
    serverGives(new Response(null, { status: 204 }));
    expect(await request('/things/a', { method: 'DELETE' })).toBeUndefined();
  });

  test('a refusal comes in the server’s words, with its version of the document', async () => {
    const problem = { type: 'urn:clay-pot:problem:stale-edit', title: '', status: 412, detail: 'Changed meanwhile.' };
    serverGives(json(problem, { status: 412, headers: { etag: '"5"' } }, 'application/problem+json'));
    const error = await request('/things/a').catch((thrown: unknown) => thrown);
    expect(error).toBeInstanceOf(ProblemError);
    expect(error).toMatchObject({ message: 'Changed meanwhile.', etag: '"5"', problem });
    expect(isProblem(error, 'stale-edit')).toBe(true);
    expect(isProblem(error, 'not-found')).toBe(false);
    expect(isProblem(new Error('stale-edit'), 'stale-edit')).toBe(false);
  });

  const refused = (type: string, after: string) =>
    json(
      { type: `urn:clay-pot:problem:${type}`, title: '', status: 503, detail: 'Busy.' },
      { status: 503, headers: { 'retry-after': after } },
    );
  const inTurn = (...answers: Response[]) => {
    const fake = jest.fn<typeof fetch>();
    for (const answer of answers) fake.mockResolvedValueOnce(answer);
    globalThis.fetch = fake;
    return fake;
  };

  test('what the server was too busy for is asked again, a write too: nothing was done', async () => {
    const fetched = inTurn(refused('busy', '0'), refused('busy', '0'), json({ id: 'a' }));
    expect(await request('/things', { method: 'POST', body: {} })).toEqual({ id: 'a' });
    expect(fetched).toHaveBeenCalledTimes(3);
    const never = inTurn(...Array.from({ length: 9 }, () => refused('busy', '0')));
    await expect(request('/things')).rejects.toThrow('Busy.');
    expect(never).toHaveBeenCalledTimes(4);
  });

  test('a question to a database that was away is asked again; a write is not, and nobody waits for half a minute', async () => {
    const fetched = inTurn(refused('database-away', '0'), json([]));
    expect(await request('/things')).toEqual([]);
    expect(fetched).toHaveBeenCalledTimes(2);
    const write = inTurn(refused('database-away', '0'), json({}));
    await expect(request('/things/a', { method: 'PUT', body: {} })).rejects.toThrow('Busy.');
    expect(write).toHaveBeenCalledTimes(1);
    const long = inTurn(refused('busy', '30'), json({}));
    await expect(request('/things')).rejects.toThrow('Busy.');
    expect(long).toHaveBeenCalledTimes(1);
  });

  test('nobody there, and a page of something in between, are worth another try', async () => {
    serverGives(new TypeError('no network'));
    await expect(request('/things')).rejects.toBeInstanceOf(OfflineError);
    for (const status of [200, 502]) {
      serverGives(new Response('<h1>Sign in to the café</h1>', { status, headers: { 'content-type': 'text/html' } }));
      await expect(request('/things')).rejects.toThrow(`unexpected answer (${status})`);
      await expect(request('/things')).rejects.toBeInstanceOf(OfflineError);
    }
  });

  test('what was called off is not taken for a missing server', async () => {
    const aborter = new AbortController();
    aborter.abort();
    serverGives(new DOMException('called off', 'AbortError'));
    await expect(request('/things', { signal: aborter.signal })).rejects.toMatchObject({ name: 'AbortError' });
  });
});
