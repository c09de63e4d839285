import type { ApiProblem } from '@winter-jar/contracts';
import type { NextFunction, Request, Response } from 'express';

interface BodyParserError {
  readonly type?: string;
  readonly limit?: number;
}

/** What a body parser could not read, in the form of all other errors. Express knows it by its four parameters. */
export function bodyProblem(error: BodyParserError, _request: Request, response: Response, next: NextFunction): void {
  const answer = (status: number, problem: ApiProblem) => response.status(status).json(problem);
  if (error.type === 'entity.too.large') {
    answer(413, { code: 'tooLarge', right: `at most ${(error.limit ?? 0).toLocaleString('en-GB')} bytes`, issues: [] });
  } else if (error.type === 'entity.parse.failed') answer(400, { code: 'notJson', right: 'a JSON body', issues: [] });
  else if (error.type !== undefined)
    answer(400, { code: 'badRequest', right: 'a body that arrives whole, in UTF-8', issues: [] });
  else next(error);
}
