import type {
  SequenceFilingInput,
  SequenceInput,
  SequenceListItem,
  SequencesQuery,
  SequenceSort,
  SequenceTextAnswer,
  StoredSequence,
} from '@clay-pot/contracts';
import { type Block, compareSequences, findLevel, groupedBy, type MovementLookup, same, type Sequence } from '@clay-pot/core';
import { decodeSequence, encodeSequence, FileError, SEQUENCE_FORMAT_VERSION, writeSequenceText } from '@clay-pot/core/exchange';
import type { StudioLibrary } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { In, IsNull } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { namesOf } from '../athletes/names.js';
import { BY_ID, latestFirst, type ListOrder, pageFrom, type PageOf, pageWanted, wordsIn } from '../database/paging.js';
import type { StudioScope } from '../database/studio-scope.js';
import { VersionedRows } from '../database/versioned-rows.js';
import { Clock } from '../http/clock.js';
import { etagOf } from '../http/etag.js';
import { fileNameOf } from '../http/file-name.js';
import { brokenFile, brokenText, conflict, invalid, notFound } from '../http/problem.js';
import { raiseEvidenceOfWhoDo } from '../kept/evidence-revision.js';
import { libraryDataOf, LibraryService } from '../library/library.service.js';
import { HeavyWork } from '../work/heavy-work.js';
import { storedSequence } from './sequence-sums.js';
import { methodFaults, soundSequence } from './sound-sequence.js';
import { keepMovementsOf } from './sequence-movements.js';
import { SequenceRow } from './sequence.entity.js';

/** What lists show: not the document. */
const LISTED = {
  id: true,
  title: true,
  purpose: true,
  budgetMin: true,
  durationMs: true,
  blockCount: true,
  updatedAt: true,
  lastUsedAt: true,
  tags: true,
  isFavourite: true,
  isArchived: true,
} as const;

type Listed = Pick<SequenceRow, keyof typeof LISTED>;
const SORTS: Readonly<Record<SequenceSort, ListOrder<Listed>>> = {
  title: { columns: [{ column: 'title', direction: 'ASC' }, BY_ID], placeOf: ({ title, id }) => [title, id] },
  updated: latestFirst('updated_at', ({ updatedAt }) => updatedAt),
  'last-used': latestFirst('last_used_at', ({ lastUsedAt }) => lastUsedAt),
};

const SEQUENCES_KEPT = new VersionedRows(SequenceRow, 'sequence');

/** Keeps sequences by their versions, with the sums that lists show. */
@Injectable()
export class SequencesService {
  constructor(
    private readonly clock: Clock,
    private readonly library: LibraryService,
    private readonly work: HeavyWork,
  ) {}

  /** Found by title, purpose and tags. */
  async list(scope: StudioScope, { find = '', sort = 'title', ...page }: SequencesQuery): Promise<PageOf<SequenceListItem>> {
    const { columns, placeOf } = SORTS[sort];
    const wanted = pageWanted(page, columns);
    const also = [...wanted.also, ...wordsIn(find, ['title', 'purpose', 'tags'])];
    const rows = await scope.of(SequenceRow).find({ select: LISTED, where: { removedAt: IsNull() }, ...wanted, also });
    const { shown, end } = pageFrom(rows, page, placeOf);
    const assignments = await scope.of(AssignmentRow).find({ where: { sequenceId: In(shown.map(({ id }) => id)) } });
    const names = await namesOf(scope, assignments);
    const assignedOf = groupedBy(assignments, ({ sequenceId }) => sequenceId);
    const items = shown.map(({ updatedAt, lastUsedAt, blockCount, ...row }) => ({
      ...row,
      blocks: blockCount,
      updatedAt: updatedAt.toISOString(),
      lastUsedAt: lastUsedAt?.toISOString() ?? null,
      athletes: (assignedOf.get(row.id) ?? []).map(({ athleteId }) => ({ athleteId, name: names.get(athleteId) ?? '' })),
    }));
    return { items, end };
  }

  async get(scope: StudioScope, id: string): Promise<StoredSequence> {
    return sequenceView(await this.row(scope, id));
  }

  /** Creates or replaces; see `VersionedRows.put` for the rules. A refused edit gets the current version and the differences. */
  async put(scope: StudioScope, id: string, input: SequenceInput, ifMatch: string | undefined): Promise<StoredSequence> {
    const library = await this.library.of(scope);
    const document = soundSequence(input, library);
    if (ifMatch !== undefined) await this.row(scope, id);
    return SEQUENCES_KEPT.put(scope, id, {
      ifMatch,
      content: this.contentOf(document, library),
      fresh: { removedAt: null, lastUsedAt: null },
      get: (of) => this.get(of, id),
      isSame: (stored) => same(stored.document, document),
      written: async (held) => {
        await keepMovementsOf(held, id, document);
        await raiseEvidenceOfWhoDo(held, id);
      },
      changes: (current) => ({
        changes: compareSequences(current.document, document, (block) => nameOfBlock(block, library.movement)),
      }),
    });
  }

  /** Takes it off the shelf; `restore` puts it back. */
  async remove(scope: StudioScope, id: string): Promise<void> {
    await this.row(scope, id);
    await SEQUENCES_KEPT.setRemovedAt(scope, id, this.clock.now(), (held) => raiseEvidenceOfWhoDo(held, id));
  }

  async restore(scope: StudioScope, id: string): Promise<StoredSequence> {
    await SEQUENCES_KEPT.setRemovedAt(scope, id, null, (held) => raiseEvidenceOfWhoDo(held, id));
    return this.get(scope, id);
  }

  /** Files a sequence: tags, favourites, the archive. Its document and version stay as they are. */
  async file(scope: StudioScope, id: string, { tags, isFavourite, isArchived }: SequenceFilingInput): Promise<void> {
    await this.row(scope, id);
    await scope.of(SequenceRow).update({ id }, { tags, isFavourite, isArchived });
  }

  async exported(scope: StudioScope, id: string): Promise<{ fileName: string; text: string }> {
    const { document } = await this.get(scope, id);
    return { fileName: fileNameOf(document.title, 'sequence'), text: encodeSequence(document) };
  }

  /** Stores the sequence of a file, or nothing: a broken file is answered with lines and fields. */
  async imported(scope: StudioScope, id: string, text: string): Promise<StoredSequence> {
    const library = await this.library.of(scope);
    const document = decoded(text, library);
    const isNew = await SEQUENCES_KEPT.create(scope, id, {
      content: this.contentOf(document, library),
      fresh: { removedAt: null, lastUsedAt: null },
      written: (held) => keepMovementsOf(held, id, document),
    });
    if (!isNew) throw conflict('This file was already imported under this id.');
    return this.get(scope, id);
  }

  /** Reads a sequence from plain text; nothing is stored. What was not understood stands beside what was; a text of which nothing was is answered with lines, columns and the nearest names. */
  async read(scope: StudioScope, text: string): Promise<SequenceTextAnswer> {
    const { document, interpretations, faults } = await this.work.run('answerRead', { text, library: await libraryDataOf(scope) });
    if (document) return { document, interpretations, faults };
    throw brokenText(
      faults.map(({ nearest: names, choices: _choices, ...fault }) => ({ pointer: '/text', ...fault, ...(names.length > 0 && { names }) })),
    );
  }

  /** Writes a sequence as plain text; nothing is stored. */
  async written(scope: StudioScope, input: SequenceInput): Promise<{ text: string }> {
    const library = await this.library.of(scope);
    const document = soundSequence(input, library);
    return { text: writeSequenceText(document, { lookup: library.movement, method: library.method, shelf: library.shelf }) };
  }

  private contentOf(document: Sequence, library: StudioLibrary) {
    return { ...storedSequence(document, library.movement), schemaVersion: SEQUENCE_FORMAT_VERSION, updatedAt: this.clock.now() };
  }

  private async row(scope: StudioScope, id: string): Promise<SequenceRow> {
    const row = await scope.of(SequenceRow).get(id, 'sequence');
    if (row.removedAt) throw notFound('sequence');
    return row;
  }
}

function decoded(text: string, library: StudioLibrary): Sequence {
  try {
    const sequence = decodeSequence(text, library.movement);
    const faults = methodFaults(sequence, library);
    if (faults.length) throw invalid(faults);
    return sequence;
  } catch (error) {
    if (error instanceof FileError) throw brokenFile([...error.faults]);
    throw error;
  }
}

function nameOfBlock(block: Block, lookup: MovementLookup): string {
  const movement = lookup(block.movementId);
  const level = movement && findLevel(movement, block.levelId);
  return movement && level ? `${movement.name} (${level.name})` : block.movementId;
}

function sequenceView({ id, rowVersion, updatedAt, document }: SequenceRow): StoredSequence {
  return { id, etag: etagOf(rowVersion), updatedAt: updatedAt.toISOString(), document };
}
