import type { BlockReportInput, DoneSetInput, Ending, FormTickInput, HandLookInput } from '@clay-pot/contracts';
import type { Equipment, Playhead, RecordedCaution, Sequence, StopSign, WorkingSide } from '@clay-pot/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';
import { restorePlayhead, usePlayhead } from './playhead.js';

/** A set with the id that it was recorded under. */
export type RecordedSet = DoneSetInput & { readonly id: string };

/** A session being led. All that is needed to go on after a reload without the server. */
export interface Run {
  readonly id: string;
  readonly athleteId: string;
  readonly athleteName: string;
  readonly sequenceId: string;
  readonly cautions: readonly RecordedCaution[];
  /** What is at hand, so that a gentler form can be proposed without a network. */
  readonly equipment: readonly Equipment[];
  /** Movements that nothing proposes for them. */
  readonly leftOut?: readonly string[];
  /** The sequence with the levels as they are led now: easing on the spot changes it. */
  readonly sequence: Sequence;
  readonly startedAt: string;
  /** Where the current event was entered, or where the clock was last moved by hand; where it is now says `usePlayhead`. */
  readonly head: Playhead;
  readonly paused: boolean;
  readonly sets: readonly RecordedSet[];
  readonly reports: Readonly<Record<string, BlockReportInput>>;
  /** Blocks in which something hurt, with how much: they are not fine afterwards. */
  readonly hurt: Readonly<Record<string, number>>;
  /** What was seen of hands where it stopped to look again. */
  readonly looks: readonly HandLookInput[];
  /** Faults of form that were ticked while watching. */
  readonly form: readonly FormTickInput[];
  /** Blocks done and not yet rated, in order. */
  readonly toRate: readonly string[];
  readonly ended: {
    readonly ending: Ending;
    readonly stopSign?: StopSign;
    readonly stopHand?: WorkingSide;
    readonly at: string;
  } | null;
}

interface RunState {
  readonly run: Run | null;
}

/** The session that is being led, kept through reloads. It changes with each event and answer, not with the clock. */
export const useRun = perAccount(
  create<RunState>()(
    persist((): RunState => ({ run: null }), {
      name: 'run',
      storage: createJSONStorage(() => accountStorage),
      // Whoever comes back finds the clock paused, not running in the background.
      merge: (stored) => {
        const { run } = (stored ?? { run: null }) as {
          run: (Omit<Run, 'equipment' | 'looks' | 'form' | 'hurt'> & Partial<Run>) | null;
        };
        // A session that was begun before it kept what is at hand, what was looked at, or faults of form, knows of nothing.
        const athlete = { equipment: run?.equipment ?? [], looks: run?.looks ?? [], form: run?.form ?? [], hurt: run?.hurt ?? {} };
        return { run: run && { ...run, ...athlete, paused: true } };
      },
      onRehydrateStorage: () => (state) => {
        if (state?.run) restorePlayhead(state.run);
      },
    }),
  ),
);

// The clock follows wherever the session is moved to.
useRun.subscribe(({ run }, before) => {
  if (run && run.head !== before.run?.head) usePlayhead.setState({ head: run.head });
});
