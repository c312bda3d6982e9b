import 'reflect-metadata';
import * as contracts from '@clay-pot/contracts';
import { must } from '@clay-pot/core';
import { type JsonSchema, publishedSchema } from '@clay-pot/core/exchange';
import type { INestApplication, Type } from '@nestjs/common';
import { ApiBody, DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import { getMetadataStorage, ValidationTypes } from 'class-validator';

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

/** Serves the description of the API, and a page to read it on. */
export function serveOpenApi(app: INestApplication): void {
  SwaggerModule.setup('api/docs', app, openApi(app), { jsonDocumentUrl: 'api/openapi.json' });
}
