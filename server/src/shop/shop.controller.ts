import { ImportShop, PutShopEntry, type ShopDocument, type StoredShopEntry } from '@kobran/contract';
import { absentDimensions, CATALOG_SCHEMA, shopClasses, shopKinds, type ShopKind } from '@kobran/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  ParseEnumPipe,
  Post,
  Put,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { classSchemas, schemaOf, type JsonSchema } from '../openapi.js';
import { ShopService } from './shop.service.js';

const kinds = Object.fromEntries(shopKinds.map((kind) => [kind, kind]));

/** What the validation rules leave out when a dimension is null, the schema has to say. */
function withAbsent(schema: JsonSchema): JsonSchema {
  const properties = { ...schema.properties };
  for (const name of absentDimensions) properties[name] = { anyOf: [properties[name], { type: 'null' }] };
  return { ...schema, properties };
}

@ApiTags('shop')
@Controller('api/shop')
export class ShopController {
  constructor(@Inject(ShopService) private readonly shop: ShopService) {}

  @Get()
  @ApiOperation({
    summary: 'What the shop has added to the catalogue: cables, parts, adapters, ports, stock',
  })
  read(): Promise<ShopDocument> {
    return this.shop.read();
  }

  @Get('schema')
  @ApiOperation({ summary: 'The JSON schema of a catalogue file' })
  schema(): object {
    const all = classSchemas('#/$defs/');
    const entry = (kind: ShopKind): object => ({
      type: 'object',
      required: ['kind', 'data'],
      properties: { kind: { const: kind }, data: { $ref: `#/$defs/${shopClasses[kind].name}` } },
    });
    const used = ['OwnPinBore', 'DamagedSpan', ...shopKinds.map((kind) => shopClasses[kind].name)];
    return {
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      title: 'Catalogue file of Kobran',
      type: 'object',
      required: ['schema', 'entries'],
      properties: {
        schema: { const: CATALOG_SCHEMA },
        entries: { type: 'array', maxItems: 5000, items: { oneOf: shopKinds.map(entry) } },
      },
      $defs: Object.fromEntries(
        used.map((name) => [name, name === shopClasses.part.name ? withAbsent(all[name]) : all[name]]),
      ),
    };
  }

  @Put(':kind/:id')
  @ApiOperation({
    summary: 'Put an entry in or replace it; 409 with the current one when the version is not current',
  })
  @ApiBody(schemaOf(PutShopEntry))
  put(
    @Param('kind') kind: string,
    @Param('id') id: string,
    @Body() body: PutShopEntry,
  ): Promise<StoredShopEntry> {
    return this.shop.put(kind, id, body);
  }

  @Delete(':kind/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take an entry away; 409 while a run names it' })
  remove(@Param('kind', new ParseEnumPipe(kinds)) kind: ShopKind, @Param('id') id: string): Promise<void> {
    return this.shop.remove(kind, id);
  }

  @Post('import')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put many entries in, all or none' })
  @ApiBody(schemaOf(ImportShop))
  import(@Body() { entries }: ImportShop): Promise<ShopDocument> {
    return this.shop.import(entries);
  }
}
