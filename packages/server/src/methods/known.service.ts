import {
  under,
  checkMutes,
  checkSequence,
  type MethodLookup,
  type MovementLookup,
  type Sequence,
} from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid } from '../http/problem.js';
import { MovementsService } from '../movements/movements.service.js';
import { MethodsService } from './methods.service.js';

/** What a sequence may name in a studio: movements and methods, shipped and its own. */
export interface Known {
  readonly movement: MovementLookup;
  readonly method: MethodLookup;
}

@Injectable()
export class KnownService {
  constructor(
    private readonly movements: MovementsService,
    private readonly methods: MethodsService,
  ) {}

  async of(scope: StudioScope): Promise<Known> {
    const [movement, method] = await Promise.all([this.movements.lookup(scope), this.methods.lookup(scope)]);
    return { movement, method };
  }
}

/** The document, checked against what the studio knows. @throws 422 with pointers. */
export function soundSequence(document: Sequence, known: Known, at = ''): Sequence {
  const faults = [
    ...checkSequence(document, known.movement),
    ...checkMutes(document),
    ...methodFaults(document, known),
  ];
  if (faults.length) throw invalid(under(at, faults));
  return document;
}

export function methodFaults({ methodId }: Sequence, { method }: Known) {
  if (methodId === undefined || method(methodId)) return [];
  return [
    {
      pointer: '/methodId',
      message: `There is no method “${methodId}” in this studio: choose one of its own or a shipped one.`,
    },
  ];
}
