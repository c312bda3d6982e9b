import type { SuggestionsAnswer } from '@clay-pot/core/answers';
import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { forStudio } from '../http/request-context.js';
import { KeptAnswersService, type Revised } from '../kept/kept-answers.service.js';
import { SuggestionWorkService } from './suggestion-work.service.js';

/** While one is computed the next is read. */
const AT_ONCE = 2;

/** Finds suggestions that are missing, athlete by athlete, when nothing else is computed: nobody waits for a whole studio. */
@Injectable()
export class SuggestionsFill implements OnModuleDestroy {
  private readonly log = new Logger('Suggestions');
  /** Who is left to look at, by studio. */
  private readonly left = new Map<string, Map<string, Revised>>();
  private readonly filling = new Map<string, Promise<void>>();
  private hasEnded = false;

  constructor(
    private readonly work: SuggestionWorkService,
    private readonly kept: KeptAnswersService,
  ) {}

  /** Begins to look at these, or goes on. @returns when all of the studio have been looked at */
  fill(scope: StudioScope, stale: readonly Revised[]): Promise<void> {
    const { studioId } = scope;
    const left = this.left.get(studioId) ?? new Map<string, Revised>();
    this.left.set(studioId, left);
    for (const athlete of stale) left.set(athlete.id, athlete);
    const running =
      this.filling.get(studioId) ??
      forStudio(studioId, () => Promise.all(Array.from({ length: AT_ONCE }, () => this.go(scope, left))))
        .then(() => undefined)
        .finally(() => this.filling.delete(studioId));
    this.filling.set(studioId, running);
    return running;
  }

  private async go(scope: StudioScope, left: Map<string, Revised>): Promise<void> {
    for (let [next] = left.values(); next && !this.hasEnded; [next] = left.values()) {
      const athlete = next;
      left.delete(athlete.id);
      const own = scope.fresh();
      await this.kept
        .found<SuggestionsAnswer>(own, athlete, 'suggestions', () => this.work.find(own, athlete.id, { background: true }), {
          background: true,
        })
        // One who can’t be looked at now is tried when asked again.
        .catch((error: unknown) => this.hasEnded || this.log.warn({ athleteId: athlete.id, error: String(error) }));
    }
  }

  onModuleDestroy(): void {
    this.hasEnded = true;
  }
}
