import {
  absentDimensions,
  CATALOG_SCHEMA,
  ImportShop,
  PutShopEntry,
  routes,
  shopClasses,
  type DeletedEntry,
  type ShopDocument,
  type StoredShopEntry,
} from '@kobran/contract';
import { shopKinds, type ShopKind } from '@kobran/core';
import { Body, Controller, Inject, Param, ParseEnumPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { classSchemas, type JsonSchema } from '../openapi.js';
import { ShopService } from './shop.service.js';

const kinds = Object.fromEntries(shopKinds.map((kind) => [kind, kind]));

/** What the validation rules leave out when a dimension is null, the schema has to say. */
function withAbsent(schema: JsonSchema): JsonSchema {
  const properties = { ...schema.properties };
  for (const name of absentDimensions) properties[name] = { anyOf: [properties[name], { type: 'null' }] };
  return { ...schema, properties };
}

@ApiTags('shop')
@Controller()
export class ShopController {
  constructor(@Inject(ShopService) private readonly shop: ShopService) {}

  @Handles(routes.readShop)
  read(): Promise<ShopDocument> {
    return this.shop.read();
  }

  @Handles(routes.readShopSchema)
  schema(): object {
    const all = classSchemas('#/$defs/');
    const entry = (kind: ShopKind): object => ({
      type: 'object',
      required: ['kind', 'data'],
      properties: { kind: { const: kind }, data: { $ref: `#/$defs/${shopClasses[kind].name}` } },
    });
    const used = [
      'OwnPinBore',
      'LossPoint',
      'OwnDevice',
      'DamagedSpan',
      ...shopKinds.map((kind) => shopClasses[kind].name),
    ];
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

  @Handles(routes.putShopEntry)
  put(
    @Param('kind') kind: string,
    @Param('id') id: string,
    @Body() body: PutShopEntry,
  ): Promise<StoredShopEntry> {
    return this.shop.put(kind, id, body);
  }

  @Handles(routes.removeShopEntry)
  remove(@Param('kind', new ParseEnumPipe(kinds)) kind: ShopKind, @Param('id') id: string): Promise<void> {
    return this.shop.remove(kind, id);
  }

  @Handles(routes.listDeletedEntries)
  deleted(): Promise<DeletedEntry[]> {
    return this.shop.deleted();
  }

  @Handles(routes.restoreShopEntry)
  restore(@Param('kind', new ParseEnumPipe(kinds)) kind: ShopKind, @Param('id') id: string): Promise<void> {
    return this.shop.restore(kind, id);
  }

  @Handles(routes.importShop)
  import(@Body() { entries }: ImportShop): Promise<ShopDocument> {
    return this.shop.import(entries);
  }
}
