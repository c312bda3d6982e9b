import { Module } from '@nestjs/common';
import { KeptModule } from '../kept/kept.module.js';
import { LibraryModule } from '../library/library.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { WorkModule } from '../work/work.module.js';
import { AnswerSuggestionsService } from './answer-suggestions.service.js';
import { SuggestionWorkService } from './suggestion-work.service.js';
import { SuggestionsController } from './suggestions.controller.js';
import { SuggestionsFill } from './suggestions-fill.js';
import { SuggestionsService } from './suggestions.service.js';

/** Decisions that are proposed, and what a coach answers. */
@Module({
  imports: [KeptModule, LibraryModule, ReadingsModule, WorkModule],
  controllers: [SuggestionsController],
  providers: [SuggestionsService, AnswerSuggestionsService, SuggestionWorkService, SuggestionsFill],
})
export class SuggestionsModule {}
