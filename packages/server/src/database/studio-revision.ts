import type { EntityManager, EntityTarget } from 'typeorm';

/**
 * Each studio has a revision that every write raises, in the transaction that writes. What was answered under a revision holds while it stays.
 * It has a table of its own: rows that belong to a studio lock its row in `studios`, and two transactions that then both wanted to change that would wait for each other.
 */
export const raiseRevision = (manager: EntityManager, studioId: string): Promise<unknown> =>
  manager.query('INSERT INTO studio_revisions (studio_id, revision) VALUES (?, 1) ON DUPLICATE KEY UPDATE revision = revision + 1', [
    studioId,
  ]);

const apart = new Set<unknown>();

/** Marks rows that no kept answer shows: writing them raises no revision, so that those who record at once need not wait for each other. */
export const ShownByNoList = (): ClassDecorator => (entity) => {
  apart.add(entity);
};

/** Whether writing rows of an entity changes what lists show. */
export const raisesRevision = (entity: EntityTarget<never>): boolean => !apart.has(entity);
