import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { ApiProblem } from '@winter-jar/contracts';
import type { Response } from 'express';
import { TooMany } from './too-many.js';
import { isDiskFull } from '../files/disk-full.js';

const CODES: Readonly<Record<number, ApiProblem['code']>> = {
  400: 'badRequest',
  401: 'signIn',
  403: 'forbidden',
  404: 'notFound',
  409: 'busy',
  412: 'changedMeanwhile',
  413: 'tooLarge',
  415: 'unsupported',
  429: 'tooMany',
  503: 'busy',
  507: 'diskFull',
};

/** Every error leaves the server in one form: a code, what would be right, and the fields it is about. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    // Whoever asked has gone: nobody is told, and what stopped for it is no failure.
    if (response.closed) return;
    const { status, problem } = this.problemOf(error);
    if (status >= 500) this.logger.error(error);
    if (error instanceof TooMany) response.set('Retry-After', String(error.retryAfterS));
    if (!response.headersSent) response.status(status).json(problem);
  }

  private problemOf(error: unknown): { status: number; problem: ApiProblem } {
    if (error instanceof HttpException) {
      const status = error.getStatus();
      const given = error.getResponse();
      const issues = typeof given === 'object' && 'issues' in given ? (given as ApiProblem).issues : [];
      return { status, problem: { code: CODES[status] ?? 'badRequest', right: error.message, issues } };
    }
    if (isDiskFull(error)) {
      const right = 'room on the server’s disk: it is full, and nothing was kept';
      return { status: 507, problem: { code: 'diskFull', right, issues: [] } };
    }
    return {
      status: 500,
      problem: {
        code: 'internal',
        right: 'nothing that you did: the server failed, and nothing was written',
        issues: [],
      },
    };
  }
}
