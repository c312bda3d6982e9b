import { describe, expect, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { GLOSSARY, TERMS } from '@clay-pot/core';
import { articleFor, ARTICLES } from '../../domain/terms/articles.js';
import { bakedStill } from '../../drawing/hand/baked.js';
import { show } from '../../screen.fixture.js';
import HelpPage from './help-page.js';

const help = (at = '/help') => show(<HelpPage />, at, '/help/:id?');
const topics = () => within(screen.getByRole('navigation', { name: 'Help topics' })).getAllByRole('link');

describe('the help', () => {
  test('has twelve articles of at most six steps, each picture baked', () => {
    expect(ARTICLES).toHaveLength(12);
    expect(new Set(ARTICLES.map(({ id }) => id)).size).toBe(12);
    for (const { steps, picture } of ARTICLES) {
      expect(steps.length).toBeLessThanOrEqual(6);
      if (picture) expect(bakedStill(picture.movementId, picture.levelId, 'list')).not.toBeNull();
    }
  });

  test.each([
    ['/', 'first-session'],
    ['/people/1/check-in', 'check-in'],
    ['/people/1', 'suggestions'],
    ['/people/new', 'first-session'],
    ['/people/1/trends', 'testing'],
    ['/sequences/1', 'sequences'],
    ['/compose', 'generate'],
    ['/sequences/1/lead', 'lead'],
    ['/sequences/1/compare', 'pot'],
    ['/programmes/new', 'programmes'],
    ['/bench', 'load-bench'],
    ['/simulation', 'suggestions'],
    ['/account', 'offline'],
    ['/nowhere', 'first-session'],
  ])('of %s opens with %s', (path, id) => expect(articleFor(path).id).toBe(id));

  test('shows an article with its steps and the way to its screen', async () => {
    const { user } = help();
    await user.click(screen.getByRole('link', { name: 'Your first session' }));
    expect(within(screen.getByRole('article', { name: 'Your first session' })).getAllByRole('listitem')).toHaveLength(6);
    expect(screen.getByRole('link', { name: 'Add athlete' }).getAttribute('href')).toBe('/people/new');
  });

  test('is searched by any word, articles and glossary alike', async () => {
    const { user } = help();
    expect(topics()).toHaveLength(ARTICLES.length + 1);
    await user.type(screen.getByRole('searchbox', { name: 'Search the help' }), 'taper');
    expect(topics().map(({ textContent }) => textContent)).toEqual(['Plan weeks', 'Glossary (1)']);
    expect(screen.getByText('Taper')).toBeTruthy();
    await user.type(screen.getByRole('searchbox'), ' nonsense');
    expect(screen.getByText('No word matches. Try a shorter one.')).toBeTruthy();
  });

  test('explains the field’s words in the order of the alphabet, the ranges and deviations among them', () => {
    const terms = GLOSSARY.map(({ term }) => term);
    expect(terms).toEqual([...terms].sort((a, b) => a.localeCompare(b)));
    for (const term of ['Active range', 'Passive range', 'Radial deviation', 'RPE', 'Deload']) expect(terms).toContain(term);
    expect(Object.keys(TERMS).length).toBeGreaterThan(10);
  });
});
