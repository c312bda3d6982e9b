import type { Grade } from '@clay-pot/core';
import type { OwnShelf } from '@clay-pot/core/answers';
import type { StudioScope } from '../database/studio-scope.js';
import { type LibraryData, type StudioLibrary, libraryWith } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { oncePerRevision, oncePerScope } from '../database/once.js';
import { MethodRow } from '../methods/method.entity.js';
import { GradeRow } from '../grades/grade.entity.js';
import { MovementNameRow } from '../movements/movement-name.entity.js';
import { MovementRow } from '../movements/movement.entity.js';

/** What a studio's sequences may name: movements by all of their names and methods, shipped and its own. */
@Injectable()
export class LibraryService {
  /** Read again when something was written. */
  readonly of = oncePerRevision(async (scope): Promise<StudioLibrary> => {
    const { movements, methods, names, grades } = await libraryDataOf(scope);
    return libraryWith(movements, methods, names, grades);
  });
}

/** Everything of its own that a studio’s library is made of, read once a request: as a thread takes it. */
export const libraryDataOf = oncePerScope(async (scope): Promise<LibraryData> => {
  const [own, rows, grades] = await Promise.all([ownOf(scope), scope.of(MovementNameRow).find(), gradesOf(scope)]);
  return { ...own, names: rows.map(({ movementId, name }) => ({ movementId, name })), grades };
});

/** A studio’s springs and bands, read once a request, lightest first. */
export const gradesOf = oncePerScope(async (scope): Promise<Grade[]> => {
  const rows = await scope.of(GradeRow).find({ order: { kind: 'DESC', kg: 'ASC', name: 'ASC' } });
  return rows.map(({ kind, name, kg }) => ({ kind, name, kg }));
});

/** A studio’s own movements and methods, read once a request. */
export const ownOf = oncePerScope(async (scope) => {
  const [movements, methods] = await Promise.all([scope.of(MovementRow).find(), scope.of(MethodRow).find()]);
  return { movements: movements.map(own), methods: methods.map(own) };
});

/** A studio’s own document as the library reads it. */
function own<D>({ document, removedAt }: { document: D; removedAt: Date | null }) {
  return { document, removed: removedAt !== null };
}

/** A studio’s own movements as a thread takes them, with those that cannot be chosen any more. */
export async function ownShelfOf(scope: StudioScope): Promise<OwnShelf> {
  const { movements } = await ownOf(scope);
  return {
    own: movements.map(({ document }) => document),
    removedIds: movements.filter(({ removed }) => removed).map(({ document }) => document.id),
  };
}
