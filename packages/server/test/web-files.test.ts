import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { House } from './house.js';

let house: House;
beforeAll(async () => {
  const outside = mkdtempSync(join(tmpdir(), 'web-'));
  const webRoot = join(outside, 'dist');
  mkdirSync(join(webRoot, 'assets'), { recursive: true });
  writeFileSync(join(outside, 'secret.txt'), 'not for anybody');
  writeFileSync(join(webRoot, 'index.html'), '<!doctype html><title>The house</title>');
  writeFileSync(join(webRoot, 'pot.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
  writeFileSync(join(webRoot, 'assets', 'main-abc.js'), `export const text = '${'clay '.repeat(2000)}';`);
  writeFileSync(join(webRoot, 'assets', 'built-abc.js'), 'as it is written');
  writeFileSync(join(webRoot, 'assets', 'built-abc.js.br'), brotliCompressSync('as it was built'));
  house = await House.open('web_files', { webRoot });
});

const get = (url: string, headers = {}) => house.app.inject({ method: 'GET', url, headers });

describe('the interface’s files', () => {
  test.each(['/', '/people', '/sequences/0190/lead?athlete=1', '/no/such/place'])('%s is the page, asked anew each time', async (url) => {
    const answer = await get(url);
    expect(answer.statusCode).toBe(200);
    expect(answer.body).toContain('The house');
    expect(answer.headers['cache-control']).toBe('no-cache');
  });

  test('hashed files are kept for a year, and travel compressed', async () => {
    const answer = await get('/assets/main-abc.js', { 'accept-encoding': 'gzip' });
    expect(answer.statusCode).toBe(200);
    expect(answer.headers['cache-control']).toBe('public, max-age=31536000, immutable');
    expect(answer.headers['content-encoding']).toBe('gzip');
    expect(answer.rawPayload.length).toBeLessThan(1000);
  });

  test('what was compressed when it was built is sent as it lies there, to those who read it', async () => {
    const response = await get('/assets/built-abc.js', { 'accept-encoding': 'br, gzip' });
    expect(response.headers['content-encoding']).toBe('br');
    expect(String(brotliDecompressSync(response.rawPayload))).toBe('as it was built');
    expect(response.headers['content-type']).toContain('javascript');
    expect((await get('/assets/built-abc.js')).body).toBe('as it is written');
  });

  test('other files are themselves', async () => {
    const answer = await get('/pot.svg');
    expect(answer.headers['content-type']).toContain('image/svg+xml');
    expect(answer.headers['cache-control']).toBe('no-cache');
  });

  test('a missing script is not answered with the page', async () => {
    expect((await get('/assets/gone-123.js')).statusCode).toBe(404);
  });

  test('an unknown API address stays a problem, not the page', async () => {
    const answer = await get('/api/nothing');
    expect(answer.statusCode).toBe(404);
    expect(answer.headers['content-type']).toContain('problem+json');
  });

  test.each(['/../secret.txt', '/assets/../../secret.txt', '/%2e%2e/secret.txt', '/assets/%2e%2e%2f%2e%2e%2fsecret.txt', '/%'])(
    '%s does not lead out of the folder',
    async (url) => {
      const answer = await get(url);
      expect(answer.statusCode).toBeLessThan(500);
      expect(answer.body).not.toContain('not for anybody');
    },
  );
});
