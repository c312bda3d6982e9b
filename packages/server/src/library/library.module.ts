import { Module } from '@nestjs/common';
import { LibraryService } from './library.service.js';

/** What a studio knows, shipped and its own. */
@Module({ providers: [LibraryService], exports: [LibraryService] })
export class LibraryModule {}
