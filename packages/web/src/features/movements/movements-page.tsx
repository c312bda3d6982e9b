import { FAMILIES, type FamilyId, LOADINGS, type Movement } from '@clay-pot/core';
import { MovementName } from '../../domain/movement/movement-name.js';
import { movementById, useStudioLibrary } from '../../store/library.js';
import { useEffect, useMemo, useRef } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { type Command, useCommands } from '../../ui/commands.js';
import { ButtonLink } from '../../ui/button-link.js';
import { INPUT } from '../../ui/field.js';
import { Empty, Page } from '../../ui/page.js';
import { findMovements, NO_FILTER } from '../../domain/movement/movement-filter.js';
import { SearchNote } from '../../domain/movement/search-note.js';
import { MovementDetail } from './movement-detail.js';
import { PictureWall } from './picture-wall.js';

const FAMILY_IDS = Object.keys(FAMILIES) as FamilyId[];

/** The library: filters in the address, so that a filtered shelf can be kept or sent. */
export default function MovementsPage() {
  const { id } = useParams();
  const [params, setParams] = useSearchParams();
  const search = useRef<HTMLInputElement>(null);
  const text = params.get('find') ?? '';
  const family = FAMILY_IDS.find((familyId) => familyId === params.get('family')) ?? '';
  const loading = LOADINGS.find((phase) => phase === params.get('loading')) ?? '';
  const library = useStudioLibrary().shelf;
  const inPictures = params.get('view') === 'pictures' && !id;
  const { movements: shown, isClosest } = findMovements(library, { ...NO_FILTER, text, family, loading });
  const chosen = id ? movementById(id) : shown[0];
  // On a phone one movement takes the whole page; the way back is above it.
  const notOnPhone = id ? 'max-md:hidden' : '';
  const withView = (view: string) => {
    const next = new URLSearchParams(params);
    if (view) next.set('view', view);
    else next.delete('view');
    return next.toString();
  };
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value) before.set(name, value);
        else before.delete(name);
        return before;
      },
      { replace: true },
    );
  const commands = useMemo<Command[]>(
    () => [{ keys: '/', label: 'Search movements', group: 'Movements', run: () => search.current?.focus() }],
    [],
  );
  useCommands(commands);
  return (
    <Page
      title="Movements"
      lead={<span className={notOnPhone}>{`${library.length} movements, ${levelCount(library)} levels`}</span>}
      actions={
        <>
          <span className={`flex ${notOnPhone}`} role="group" aria-label="View">
            <ButtonLink
              kind={inPictures ? 'plain' : 'primary'}
              to={{ pathname: '/movements', search: withView('') }}
              aria-current={!inPictures}
            >
              List
            </ButtonLink>
            <ButtonLink
              kind={inPictures ? 'primary' : 'plain'}
              to={{ pathname: '/movements', search: withView('pictures') }}
              aria-current={inPictures}
            >
              Gallery
            </ButtonLink>
          </span>
          <ButtonLink to="/movements/new/edit" className={notOnPhone}>
            New movement
          </ButtonLink>
          {id && (
            <ButtonLink className="md:hidden" to={{ pathname: '/movements', search: params.toString() }}>
              All movements
            </ButtonLink>
          )}
        </>
      }
    >
      <div className={`mb-4 flex flex-wrap gap-2 ${notOnPhone}`}>
        <input
          ref={search}
          type="search"
          aria-label="Search movements"
          placeholder="Name, muscle or motion"
          className={`${INPUT} w-64!`}
          value={text}
          onChange={(event) => set('find', event.target.value)}
        />
        <select aria-label="Family" className={`${INPUT} w-52!`} value={family} onChange={(event) => set('family', event.target.value)}>
          <option value="">All families</option>
          {FAMILY_IDS.map((key) => (
            <option key={key} value={key}>
              {FAMILIES[key]}
            </option>
          ))}
        </select>
        <select aria-label="Loading" className={`${INPUT} w-44!`} value={loading} onChange={(event) => set('loading', event.target.value)}>
          <option value="">Any loading</option>
          {LOADINGS.map((key) => (
            <option key={key}>{key}</option>
          ))}
        </select>
      </div>
      <SearchNote text={text} isClosest={isClosest} />
      {inPictures ? (
        <PictureWall movements={shown} />
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-6 md:grid-cols-[15rem_minmax(0,1fr)]">
          <div className={notOnPhone}>
            <MovementList movements={shown} isRanked={text.trim() !== ''} chosenId={chosen?.id} query={params.toString()} />
          </div>
          {chosen ? (
            <div className={id ? '' : 'max-md:hidden'}>
              <MovementDetail key={chosen.id} movement={chosen} />
            </div>
          ) : (
            <Empty>{id ? 'This studio has no such movement.' : 'Choose a movement on the left.'}</Empty>
          )}
        </div>
      )}
    </Page>
  );
}

const levelCount = (movements: readonly Movement[]) => movements.reduce((sum, { ladder }) => sum + ladder.length, 0);

interface ListProps {
  movements: readonly Movement[];
  /** Best match first: then families don't part them. */
  isRanked: boolean;
  chosenId: string | undefined;
  query: string;
}

function MovementList({ movements, isRanked, chosenId, query }: ListProps) {
  const list = useRef<HTMLElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' });
  }, [chosenId]);
  if (movements.length === 0) return <Empty>No movement matches. Remove a filter.</Empty>;
  const families = FAMILY_IDS.filter((family) => movements.some((movement) => movement.family === family));
  return (
    <nav
      ref={list}
      aria-label="Movements"
      tabIndex={0}
      className="border-y border-line md:sticky md:overflow-y-auto md:top-4 md:max-h-[calc(100dvh-12rem)] md:self-start"
    >
      {isRanked ? (
        <MovementLinks movements={movements} chosenId={chosenId} query={query} />
      ) : (
        families.map((family) => (
          <section key={family}>
            <h2 className="sticky top-0 bg-porcelain pt-2 pb-1 text-small text-ink-soft">{FAMILIES[family]}</h2>
            <MovementLinks movements={movements.filter((movement) => movement.family === family)} chosenId={chosenId} query={query} />
          </section>
        ))
      )}
    </nav>
  );
}

function MovementLinks({ movements, chosenId, query }: Omit<ListProps, 'isRanked'>) {
  return (
    <ul>
      {movements.map((movement) => (
        <li key={movement.id}>
          <Link
            to={{ pathname: `/movements/${movement.id}`, search: query }}
            aria-current={movement.id === chosenId ? 'true' : undefined}
            className="flex justify-between gap-2 border-l-4 border-transparent px-2 py-1 hover:bg-ground aria-[current]:border-ink aria-[current]:bg-ground aria-[current]:font-semibold"
          >
            <span>
              <MovementName movement={movement} />
            </span>
            <span className="text-small font-normal text-ink-soft figures" title="levels">
              {movement.ladder.length}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
