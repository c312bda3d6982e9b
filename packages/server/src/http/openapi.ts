import 'reflect-metadata';
import * as contracts from '@clay-pot/contracts';
import { must } from '@clay-pot/core';
import { type JsonSchema, publishedSchema } from '@clay-pot/core/exchange';
import type { INestApplication, Type } from '@nestjs/common';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { ApiBody, DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import { getMetadataStorage, ValidationTypes } from 'class-validator';
import { SignInCookies } from '../accounts/sign-in-cookies.js';
import { SignInService } from '../accounts/sign-in.service.js';
import { answerProblem } from './problem.filter.js';
import { signInNeeded } from './problem.js';

/** The OpenAPI document: routes from the controllers, bodies from the very classes that check them. */
export function openApi(app: INestApplication): OpenAPIObject {
  const outline = new DocumentBuilder()
    .setTitle('Clay Pot')
    .setDescription(
      'Errors are RFC 9457 problem documents with a stable `type`, JSON pointers to the fields, and a clear next step. ' +
        'The sender creates ids as UUID version 7, so creating with PUT may be repeated. Replacing needs If-Match.',
    )
    .setVersion('1')
    .addCookieAuth('claypot')
    .build();
  const document = SwaggerModule.createDocument(app, outline);
  const names = Object.keys(document.components?.schemas ?? {});
  const schemas = Object.fromEntries(names.map((name) => [name, schemaOf(requestNamed(name))]));
  return { ...document, components: { ...document.components, schemas } };
}

const EXPORTED: Readonly<Record<string, unknown>> = contracts;
const requestNamed = (name: string) => must(EXPORTED[name] as Type<object> | undefined, `a request ${name}`);

/** What a request must hold, as JSON Schema, read from the rules that its fields carry. */
function schemaOf(Request: Type<object>): JsonSchema {
  const rules = getMetadataStorage().getTargetValidationMetadatas(Request, '', false, false);
  const names = [...new Set(rules.map(({ propertyName }) => propertyName))];
  const of = (name: string) => rules.filter(({ propertyName }) => propertyName === name);
  const isOptional = (name: string) => of(name).some(({ type }) => type === ValidationTypes.CONDITIONAL_VALIDATION);
  const fieldOf = (name: string) => {
    const rule = of(name)
      .map(({ context }) => context as contracts.FieldRule | undefined)
      .find(Boolean);
    return rule ? publishedSchema(rule.schema) : {};
  };
  return {
    type: 'object',
    properties: Object.fromEntries(names.map((name) => [name, fieldOf(name)])),
    required: names.filter((name) => !isOptional(name)),
    additionalProperties: false,
  };
}

/** Examples of a body for the OpenAPI document. */
export const Examples = (Request: Type<object>, examples: Record<string, { summary: string; value: unknown }>): MethodDecorator =>
  ApiBody({ type: Request, examples });

const PATH = 'api/docs';
const JSON_PATH = 'api/openapi.json';

/** Serves the description of the API, and a page to read it on, to who is signed in. */
export function serveOpenApi(app: NestFastifyApplication): void {
  const signIns = app.get(SignInService);
  const cookies = app.get(SignInCookies);
  app
    .getHttpAdapter()
    .getInstance()
    .addHook('onRequest', (request, reply, done) => {
      const path = (request.url.split('?')[0] ?? '').toLowerCase();
      if (!path.startsWith(`/${PATH}`) && path !== `/${JSON_PATH}`) return done();
      const token = cookies.signedIn(request);
      const known = token === undefined ? Promise.resolve(null) : signIns.whoHas(token);
      known.then((signedIn) => (signedIn ? done() : answerProblem(signInNeeded(), request, reply)), done);
    });
  SwaggerModule.setup(PATH, app, openApi(app), { jsonDocumentUrl: JSON_PATH });
}
