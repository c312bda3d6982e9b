import { PROGRAMME_FILE, publishedSchema, SEQUENCE_FILE } from '@clay-pot/core/exchange';
import { Controller, Get, Header } from '@nestjs/common';
import { Public } from '../accounts/signed-in.guard.js';

const SEQUENCE = publishedSchema(SEQUENCE_FILE);
const PROGRAMME = publishedSchema(PROGRAMME_FILE);

/** The published schemas of the open file formats. */
@Public()
@Controller('schemas')
export class SchemasController {
  @Get('sequence-3.json')
  @Header('content-type', 'application/schema+json; charset=utf-8')
  sequence(): object {
    return SEQUENCE;
  }

  @Get('programme-1.json')
  @Header('content-type', 'application/schema+json; charset=utf-8')
  programme(): object {
    return PROGRAMME;
  }
}
