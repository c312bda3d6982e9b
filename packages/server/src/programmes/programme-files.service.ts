import type { ProgrammeFileInput, StoredProgramme } from '@clay-pot/contracts';
import { type Programme, type Sequence } from '@clay-pot/core';
import { decodeProgramme, encodeProgramme, FileError } from '@clay-pot/core/exchange';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import type { StudioScope } from '../database/studio-scope.js';
import { fileNameOf } from '../http/file-name.js';
import { brokenFile } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { SequencesService } from '../sequences/sequences.service.js';
import { ProgrammesService } from './programmes.service.js';

/** Programmes as files: with their sequences, so that another studio can go by them. */
@Injectable()
export class ProgrammeFilesService {
  constructor(
    private readonly programmes: ProgrammesService,
    private readonly sequences: SequencesService,
    private readonly library: LibraryService,
  ) {}

  /** @throws 404 */
  async exported(scope: StudioScope, id: string): Promise<{ fileName: string; text: string }> {
    const { document } = await this.programmes.get(scope, id);
    const rows = await scope.of(SequenceRow).find({ where: { id: In(document.plans.map((plan) => plan.sequenceId)) } });
    const sequences = new Map(
      document.plans.flatMap(({ id: planId, sequenceId }) => {
        const row = rows.find((each) => each.id === sequenceId);
        return row ? [[planId, row.document] as const] : [];
      }),
    );
    return { fileName: fileNameOf(document.title, 'programme'), text: encodeProgramme(document, sequences) };
  }

  /** Stores the programme of a file for somebody, its sequences as new ones, or nothing at all: a broken file is answered with lines and fields. */
  async imported(scope: StudioScope, { id, athleteId, text }: ProgrammeFileInput): Promise<StoredProgramme> {
    const library = await this.library.of(scope);
    const { programme, sequences } = decoded(text, library.movement);
    return scope.transaction(async (inner) => {
      const ids = new Map<string, string>();
      for (const [planId, sequence] of sequences) {
        const sequenceId = uuid();
        await this.sequences.put(inner, sequenceId, sequence, undefined);
        ids.set(planId, sequenceId);
      }
      const plans = programme.plans.map((plan) => ({ ...plan, sequenceId: ids.get(plan.id) ?? plan.sequenceId }));
      return this.programmes.put(inner, id, { athleteId, document: { ...programme, plans } }, undefined);
    });
  }
}

function decoded(
  text: string,
  lookup: Parameters<typeof decodeProgramme>[1],
): { programme: Programme; sequences: ReadonlyMap<string, Sequence> } {
  try {
    return decodeProgramme(text, lookup);
  } catch (error) {
    if (error instanceof FileError) throw brokenFile([...error.faults]);
    throw error;
  }
}
