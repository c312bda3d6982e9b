import { Module } from '@nestjs/common';
import { ReadingsModule } from '../readings/readings.module.js';
import { OverviewService } from './overview.service.js';

/** What the screens of a whole studio show of each athlete. */
@Module({ imports: [ReadingsModule], providers: [OverviewService], exports: [OverviewService] })
export class OverviewModule {}
