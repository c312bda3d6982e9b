import { editProgramme, type Programme, type ProgrammeEdit } from '@clay-pot/core';
import { temporal } from 'zundo';
import { create } from 'zustand';

interface ProgrammeState {
  /** Null until a programme has been opened. */
  readonly document: Programme | null;
}

/** The programme on the calendar. Every change can be undone, without limit. */
export const useProgrammeEditor = create<ProgrammeState>()(
  temporal((): ProgrammeState => ({ document: null }), {
    equality: (past, now) => past.document === now.document,
  }),
);

/** Opens a programme and forgets the steps of the one before. */
export function openProgramme(document: Programme): void {
  useProgrammeEditor.setState({ document });
  useProgrammeEditor.temporal.getState().clear();
}

/** Changes the programme: one step to undo, whatever it takes. */
export function changeProgramme(edits: readonly ProgrammeEdit[]): void {
  useProgrammeEditor.setState(({ document }) => (document ? { document: editProgramme(document, edits) } : {}));
}

/** Changes the fields above the weeks. */
export function changeProgrammeHead(change: Partial<Pick<Programme, 'title' | 'methodId' | 'plans'>>): void {
  useProgrammeEditor.setState(({ document }) => (document ? { document: { ...document, ...change } } : {}));
}

/** Takes the last change back. */
export const undoProgramme = () => useProgrammeEditor.temporal.getState().undo();
/** Brings back what was taken back. */
export const redoProgramme = () => useProgrammeEditor.temporal.getState().redo();
