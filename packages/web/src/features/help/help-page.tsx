import { GLOSSARY, type GlossaryEntry } from '@clay-pot/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { bakedStill } from '../../drawing/hand/baked.js';
import { type Article, ARTICLES } from '../../domain/terms/articles.js';
import { ButtonLink } from '../../ui/button-link.js';
import { TextField } from '../../ui/field.js';
import { Empty, Page, Part } from '../../ui/page.js';

/** The help: short articles and the glossary, searched by any word. It needs no network. */
export default function HelpPage() {
  const { id } = useParams();
  const [sought, setSought] = useState('');
  const article = ARTICLES.find((each) => each.id === id);
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const articles = ARTICLES.filter((each) => hasAll(words, [each.title, each.summary, ...each.steps]));
  const entries = GLOSSARY.filter(({ term, also = '', means }) => hasAll(words, [term, also, means]));
  return (
    <Page title="Help" lead="Short articles and a glossary. Press ? on any screen for its shortcuts.">
      <div className="grid gap-8 lg:grid-cols-[18rem_minmax(0,1fr)]">
        <nav aria-label="Help topics" className={article ? 'max-lg:order-last' : ''}>
          <TextField label="Search the help" type="search" value={sought} onChange={(event) => setSought(event.target.value)} />
          <ul className="mt-3">
            {articles.map((each) => (
              <li key={each.id} className="border-b border-line">
                <Link
                  to={`/help/${each.id}`}
                  aria-current={each.id === id ? 'page' : undefined}
                  className={`block min-h-11 py-2 hover:bg-ground ${each.id === id ? 'font-bold' : ''}`}
                >
                  {each.title}
                </Link>
              </li>
            ))}
            <li>
              <Link
                to="/help"
                aria-current={article ? undefined : 'page'}
                className={`block min-h-11 py-2 hover:bg-ground ${article ? '' : 'font-bold'}`}
              >
                Glossary ({entries.length})
              </Link>
            </li>
          </ul>
        </nav>
        {article ? <Reading article={article} /> : <Glossary entries={entries} />}
      </div>
    </Page>
  );
}

const hasAll = (words: readonly string[], texts: readonly string[]): boolean => {
  const text = texts.join(' ').toLowerCase();
  return words.every((word) => text.includes(word));
};

function Reading({ article: { title, summary, steps, picture, link } }: { article: Article }) {
  const baked = picture && bakedStill(picture.movementId, picture.levelId, 'list');
  return (
    <article aria-label={title}>
      <Part title={title}>
        <p className="py-2 text-lead">{summary}</p>
        <div className="grid gap-6 sm:grid-cols-[minmax(0,1fr)_16rem]">
          <ol className="grid max-w-[60ch] list-decimal gap-2 pl-6">
            {steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          {baked && (
            <figure className="self-start bg-white">
              <img src={baked.src} width={baked.width} height={baked.height} alt="" className="h-auto w-full" />
              <figcaption className="p-2 text-small text-ink-soft">{picture.caption}</figcaption>
            </figure>
          )}
        </div>
        {link && (
          <p className="mt-6">
            <ButtonLink to={link.to}>{link.label}</ButtonLink>
          </p>
        )}
      </Part>
    </article>
  );
}

function Glossary({ entries }: { entries: readonly GlossaryEntry[] }) {
  return (
    <Part title="Glossary">
      {entries.length === 0 && <Empty>No word matches. Try a shorter one.</Empty>}
      <dl>
        {entries.map(({ term, also, means }) => (
          <div key={term} className="grid gap-x-4 border-b border-line py-2 sm:grid-cols-[14rem_minmax(0,1fr)]">
            <dt className="font-semibold">
              {term}
              {also && <span className="block text-small font-normal text-ink-soft">{also}</span>}
            </dt>
            <dd>{means}</dd>
          </div>
        ))}
      </dl>
    </Part>
  );
}
