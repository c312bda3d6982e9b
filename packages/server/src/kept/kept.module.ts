import { Module } from '@nestjs/common';
import { KeptAnswersService } from './kept-answers.service.js';

/** What is computed about athletes, kept while it holds. */
@Module({ providers: [KeptAnswersService], exports: [KeptAnswersService] })
export class KeptModule {}
