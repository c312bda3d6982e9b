import 'reflect-metadata';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import { INPUTS } from './input.js';

/** The OpenAPI document: routes from the controllers, bodies from the very schemas that check them. */
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
  return { ...document, components: { ...document.components, schemas: Object.fromEntries(INPUTS) } };
}

/** Serves the description of the API, and a page to read it on. */
export function serveOpenApi(app: INestApplication): void {
  SwaggerModule.setup('api/docs', app, openApi(app), { jsonDocumentUrl: 'api/openapi.json' });
}
