import type { Problem } from '@clay-pot/contracts';
import { createStore } from 'zustand';
import { same } from '@clay-pot/core';
import { isFinal, isProblem, OfflineError, ProblemError } from '../api/request.js';
import { accountStorage } from './device-storage.js';

/** A change is sent when nothing more has been typed for this long. */
export const SAVE_AFTER_MS = 600;
/** While nobody answers, it is tried again after this long. */
export const RETRY_AFTER_MS = 4000;

/** Where the last change is: stored, on its way, on this device only, in conflict, or refused. */
export type SaveState<D = unknown> =
  | { kind: 'saved' }
  | { kind: 'unsaved' }
  | { kind: 'saving' }
  | { kind: 'offline' }
  /** The server can’t store it now, and says why: it is tried again. */
  | { kind: 'waiting'; reason: string }
  | { kind: 'refused'; reason: string }
  | { kind: 'stale'; stale: Stale<D> };

/** Replaces the edited document: changed elsewhere, with the changes that one’s own version would make to it. */
export interface Stale<D> {
  readonly current: Versioned<D>;
  readonly changes: readonly { readonly text: string }[];
}

/** A document and the version that it was made from. */
export interface Versioned<D> {
  readonly document: D;
  readonly etag: string;
}

/** What the world does for an autosave. */
export interface Outside<D> {
  /** Stores a document over a version. @throws as `putSequence` does */
  readonly put: (document: D, etag: string) => Promise<{ etag: string }>;
  /** Something was stored. */
  readonly stored: () => void;
  /** Shows another document, so that the one before can be brought back by undo. */
  readonly show: (document: D) => void;
}

/** What a copy of unsaved work is kept under, with the id of its document behind it. */
export const DRAFT_PREFIX = 'draft-';
const copyKey = (id: string) => DRAFT_PREFIX + id;

/**
 * Keeps one document stored: a moment after each change, again when nobody answered, and from the browser's own storage after a reload. A
 * version that was changed elsewhere is never overwritten without asking.
 */
export class Autosave<D> {
  readonly state = createStore<SaveState<D>>(() => ({ kind: 'saved' }));
  private latest: D;
  private saved: D | null;
  private etag: string;
  private isBusy = false;
  private isClosed = false;
  private saving: ReturnType<typeof setTimeout> | undefined;
  private copying: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly id: string,
    stored: Versioned<D>,
    private readonly outside: Outside<D>,
  ) {
    const copy = readCopy<D>(id);
    this.latest = copy?.document ?? stored.document;
    this.etag = copy?.etag ?? stored.etag;
    this.saved = copy ? null : stored.document;
    if (copy) this.tell({ kind: 'offline' });
  }

  /** Begins. @returns what is to be edited: what is stored, or what a reload interrupted, which is then stored at once. */
  open(): D {
    this.isClosed = false;
    // What was kept is said to be kept until it is stored.
    if (this.latest !== this.saved) this.soon(0);
    return this.latest;
  }

  changed(document: D): void {
    if (document === this.latest) return;
    this.latest = document;
    // Behind the frame that shows the change, so that writing does not hold it up.
    clearTimeout(this.copying);
    this.copying = setTimeout(() => this.copy(), 0);
    if (this.state.getState().kind === 'stale') return;
    this.later(SAVE_AFTER_MS);
  }

  /** Stores now what is not stored yet. */
  async save(): Promise<void> {
    clearTimeout(this.saving);
    if (this.isBusy) return;
    this.isBusy = true;
    try {
      // Once more when it was changed while it was being sent.
      while (this.latest !== this.saved) {
        const document = this.latest;
        this.tell({ kind: 'saving' });
        ({ etag: this.etag } = await this.outside.put(document, this.etag));
        this.saved = document;
      }
      this.wasStored();
    } catch (error) {
      const state = stateAfter<D>(error);
      const isOurs = state.kind === 'stale' && same(state.stale.current.document, this.latest);
      if (state.kind === 'stale' && isOurs) {
        // It was stored before, and only the answer was lost.
        this.etag = state.stale.current.etag;
        this.saved = this.latest;
        this.wasStored();
        return;
      }
      this.tell(state);
      if ((state.kind === 'offline' || state.kind === 'waiting') && !this.isClosed) {
        this.saving = setTimeout(() => void this.save(), RETRY_AFTER_MS);
      }
    } finally {
      this.isBusy = false;
    }
  }

  private wasStored(): void {
    accountStorage.removeItem(copyKey(this.id));
    this.tell({ kind: 'saved' });
    this.outside.stored();
  }

  /** Answers a stale edit: my version goes on top of theirs, or theirs takes the place of mine. */
  settle(keep: 'mine' | 'theirs'): void {
    const state = this.state.getState();
    if (state.kind !== 'stale') return;
    const { etag, document } = state.stale.current;
    this.etag = etag;
    if (keep === 'mine') {
      this.saved = null;
      void this.save();
      return;
    }
    this.saved = document;
    this.latest = document;
    clearTimeout(this.copying);
    accountStorage.removeItem(copyKey(this.id));
    this.tell({ kind: 'saved' });
    this.outside.show(document);
  }

  /** Stores what is left, and keeps it in the browser should nobody answer. */
  close(): void {
    this.isClosed = true;
    clearTimeout(this.copying);
    this.copy();
    if (this.state.getState().kind !== 'stale') void this.save();
  }

  private later(ms: number): void {
    this.tell({ kind: 'unsaved' });
    this.soon(ms);
  }

  private soon(ms: number): void {
    clearTimeout(this.saving);
    this.saving = setTimeout(() => void this.save(), ms);
  }

  private copy(): void {
    if (this.latest === this.saved) return;
    const copy: Versioned<D> = { document: this.latest, etag: this.etag };
    accountStorage.setItem(copyKey(this.id), JSON.stringify(copy));
  }

  private tell(state: SaveState<D>): void {
    this.state.setState(state, true);
  }
}

/** Work on a document that is kept on this device and not stored yet; null where there is none. */
export function readCopy<D>(id: string): Versioned<D> | null {
  const text = accountStorage.getItem(copyKey(id));
  return text === null ? null : (JSON.parse(text) as Versioned<D>);
}

function stateAfter<D>(error: unknown): SaveState<D> {
  if (isProblem(error, 'stale-edit')) return { kind: 'stale', stale: error.problem as Problem & Stale<D> };
  if (error instanceof OfflineError) return { kind: 'offline' };
  if (error instanceof ProblemError && !isFinal(error)) return { kind: 'waiting', reason: error.message };
  return { kind: 'refused', reason: error instanceof Error ? error.message : String(error) };
}
