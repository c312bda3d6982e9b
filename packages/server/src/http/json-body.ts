import { MOST_SAMPLES } from '@clay-pot/contracts';
import { MOST_NESTING, isNestedBeyond } from '@clay-pot/core/exchange';
import type { FastifyInstance } from 'fastify';
import { invalid, plain } from './problem.js';

/** The largest document there is has some three thousand fields; a body of a hundred thousand is no document. */
const MOST_FIELDS = 20_000;
/** A signal of a device is many values: its one route takes as many as its schema, and a body of that size. */
const SIGNALS = { url: '/api/measure/trace', fields: 2 * MOST_SAMPLES + 100, bodyLimit: 8 * 1_048_576 } as const;

/** Fields that every object has: as names in a document they are an attack or a mistake. A quote inside a text is escaped, so texts may hold them. */
const PROTOTYPE_FIELD = /(?<!\\)"(__proto__|prototype|constructor)"\s*:/;

/** Reads JSON bodies within bounds of depth and number of fields, before anything is built or checked of them. */
export function readJsonBodies(fastify: FastifyInstance): void {
  fastify.addHook('onRoute', (route) => {
    if (route.url === SIGNALS.url) route.bodyLimit = SIGNALS.bodyLimit;
  });
  fastify.removeContentTypeParser('application/json');
  fastify.addContentTypeParser('application/json', { parseAs: 'string' }, (request, body, done) => {
    try {
      done(null, parsed(String(body), request.routeOptions.url === SIGNALS.url ? SIGNALS.fields : MOST_FIELDS));
    } catch (error) {
      done(error as Error);
    }
  });
}

function parsed(text: string, mostFields: number): unknown {
  if (text === '') return undefined;
  if (isNestedBeyond(text, MOST_NESTING)) {
    throw invalid([{ pointer: '', message: `must not be nested deeper than ${MOST_NESTING}` }]);
  }
  if (fieldsIn(text, mostFields) > mostFields) {
    throw invalid([{ pointer: '', message: `must have at most ${mostFields} fields` }]);
  }
  const [, strange] = PROTOTYPE_FIELD.exec(text) ?? [];
  if (strange !== undefined) throw invalid([{ pointer: '', message: `must have no field named ${strange}` }]);
  try {
    return JSON.parse(text);
  } catch {
    throw plain(400, 'This isn’t valid JSON. Send a JSON document with content-type application/json.');
  }
}

/** Fields and entries, counted by their separators: text that holds some counts more, never less. */
function fieldsIn(text: string, most: number): number {
  let count = 0;
  for (let at = text.indexOf(','); at >= 0; at = text.indexOf(',', at + 1)) {
    count++;
    if (count > most) break;
  }
  return count;
}
