import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { checkIntake, newIntake } from '../../model/intake.js';
import { CONDITION_IDS, SIGN_IDS, SYMPTOM_KIND_IDS } from '../../vocabulary/intake-words.js';
import { screen } from './screen.js';
import { VIGNETTE_DAY, VIGNETTES } from './vignettes.js';

describe('vignettes of screening', () => {
  test.each(VIGNETTES)('$who: $verdict', ({ health, ageYears, sex, verdict }) => {
    expect(screen(health, { onDay: VIGNETTE_DAY, ageYears, sex, intakeId: 'i1' }).verdict).toBe(verdict);
  });

  test('are at least eighty, each of its own, can be entered, and speak of every sign, kind and condition', () => {
    expect(VIGNETTES.length).toBeGreaterThanOrEqual(80);
    expect(new Set(VIGNETTES.map(({ who }) => who)).size).toBe(VIGNETTES.length);
    for (const { who, health } of VIGNETTES) {
      const answers = { ...newIntake({ practice: '' }, null, VIGNETTE_DAY), ...health };
      expect([who, checkIntake(answers, VIGNETTE_DAY)]).toEqual([who, []]);
    }
    const asked = VIGNETTES.map(({ health }) => health);
    expect(new Set(asked.flatMap(({ signs = [] }) => signs.map(({ sign }) => sign)))).toEqual(new Set(SIGN_IDS));
    expect(new Set(asked.flatMap(({ history = [] }) => history.map(({ condition }) => condition)))).toEqual(new Set(CONDITION_IDS));
    expect(new Set(asked.flatMap(({ symptoms = [] }) => symptoms.map(({ kind }) => kind)))).toEqual(new Set(SYMPTOM_KIND_IDS));
  });

  test('stand in docs/screening.md as they are here: node benchmarks/screening.mjs writes it', () => {
    const page = readFileSync(new URL('../../../../../docs/screening.md', import.meta.url), 'utf8');
    for (const { who, verdict, source } of VIGNETTES) {
      const row = page.split('\n').find((line) => line.startsWith(`| ${who} `));
      expect([who, row?.includes(verdict), row?.includes(source)]).toEqual([who, true, true]);
    }
  });
});
