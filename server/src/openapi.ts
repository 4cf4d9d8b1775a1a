import { MAX_KEPT_POINTS } from '@kobran/contract';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type ApiBodyOptions, type OpenAPIObject } from '@nestjs/swagger';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import classTransformer from 'class-transformer/cjs/storage.js';

/** The body’s schema is that of its contract class, drawn from the validation rules themselves. */
export const schemaOf = ({ name }: { name: string }): ApiBodyOptions => ({
  schema: { $ref: `#/components/schemas/${name}` },
});

/** As much of a JSON schema as is changed here. */
export interface JsonSchema {
  properties?: Record<string, object>;
}

/** JSON schemas of every class with validation rules, drawn from the rules themselves. */
export const classSchemas = (refPointerPrefix: string): Record<string, JsonSchema> =>
  validationMetadatasToSchemas({
    classTransformerMetadataStorage: classTransformer.defaultMetadataStorage,
    refPointerPrefix,
    additionalConverters: {
      // The nested check beside them says it already.
      isPart: {},
      areParts: {},
      areSamples: { type: 'array', items: { type: 'number' }, maxItems: MAX_KEPT_POINTS },
    },
  });

/** Serves the description of the API at /api/docs and as JSON at /api/docs-json. */
export function serveOpenApi(app: INestApplication): void {
  const config = new DocumentBuilder()
    .setTitle('Kobran')
    .setDescription('Jobs, runs, readings and log. Every error is {code, message, where, remedy}.')
    .setVersion('1')
    .build();
  // Drawn when somebody looks at it: nobody waits for it at the start.
  const described = (): OpenAPIObject => {
    const document = SwaggerModule.createDocument(app, config);
    return {
      ...document,
      components: { ...document.components, schemas: classSchemas('#/components/schemas/') },
    };
  };
  SwaggerModule.setup('api/docs', app, described);
}
