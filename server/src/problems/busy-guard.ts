import type { ApiProblem } from '@winter-jar/contracts';
import type { NextFunction, Request, Response } from 'express';

/** While the data is being replaced nobody reads or writes: it takes a moment. */
export const busyGuard =
  (database: { readonly busy: boolean }) =>
  (_request: Request, response: Response, next: NextFunction): void => {
    if (!database.busy) return next();
    const problem: ApiProblem = {
      code: 'busy',
      right: 'to ask again in a moment: the data is being replaced',
      issues: [],
    };
    response.status(503).set('Retry-After', '1').json(problem);
  };
