import { applyDecorators } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiResponse } from '@nestjs/swagger';

const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });

/** Describes a route for the OpenAPI document. Schema names are types of `contracts`; api/schemas.json holds them. */
export function Documented(input: {
  id: string;
  summary: string;
  answer: string;
  status?: number;
  body?: string;
}): MethodDecorator {
  return applyDecorators(
    ApiOperation({ operationId: input.id, summary: input.summary }),
    ApiResponse({ status: input.status ?? 200, description: input.summary, schema: ref(input.answer) }),
    ...(input.body ? [ApiBody({ schema: ref(input.body) })] : []),
  );
}
