import 'reflect-metadata';
import { LEVEL_LOAD_SCHEMA } from '@clay-pot/core/exchange';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** The OpenAPI document: routes from the controllers, bodies from the very rules that validate them. */
export function openApi(app: INestApplication): OpenAPIObject {
  const outline = new DocumentBuilder()
    .setTitle('Clay Pot')
    .setDescription(
      'Errors are RFC 9457 problem documents with a stable `type`, JSON pointers to the fields, and a sentence to act on. ' +
        'Ids are UUIDs version 7 made by the sender; creating with PUT may be repeated. Replacing needs If-Match.',
    )
    .setVersion('1')
    .addCookieAuth('claypot')
    .build();
  const document = SwaggerModule.createDocument(app, outline);
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/components/schemas/',
  });
  const closed = Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => [name, { ...schema, additionalProperties: false }]),
  );
  // A load's fields hang on its kind: they are described from the core's own list.
  const levels = closed['LevelInput'] as { properties: Record<string, object> } | undefined;
  if (levels) levels.properties['load'] = { $ref: '#/components/schemas/LevelLoad' };
  document.components = {
    ...document.components,
    schemas: { ...closed, LevelLoad: LEVEL_LOAD_SCHEMA } as NonNullable<typeof document.components>['schemas'] & {},
  };
  return document;
}

export function serveOpenApi(app: INestApplication): void {
  SwaggerModule.setup('api/docs', app, openApi(app), { jsonDocumentUrl: 'api/openapi.json' });
}
