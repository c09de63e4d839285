import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import schemas from './schemas.json' with { type: 'json' };

type Schemas = NonNullable<NonNullable<OpenAPIObject['components']>['schemas']>;

/** The OpenAPI document: routes from the controllers, schemas from the types of `contracts` (made by `npm run api`). */
export function openApi(app: INestApplication): OpenAPIObject {
  const document = SwaggerModule.createDocument(
    app,
    new DocumentBuilder()
      .setTitle('Winter Jar')
      .setDescription('Journal, Round and set-up of an oil-care house.')
      .setVersion('1')
      .setOpenAPIVersion('3.1.0')
      .build(),
    { autoTagControllers: false },
  );
  document.components = { ...document.components, schemas: schemas as unknown as Schemas };
  return document;
}
