import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { mergeMap, type Observable } from 'rxjs';
import type { OpenDatabase } from './database.js';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** A write is answered only when it outlives a power cut: the one place where acknowledging waits for the disk. */
export class DurableWrites implements NestInterceptor {
  constructor(private readonly database: Pick<OpenDatabase, 'durable'>) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { method } = context.switchToHttp().getRequest<Request>();
    if (READS.has(method)) return next.handle();
    return next.handle().pipe(
      mergeMap(async (answer: unknown) => {
        await this.database.durable();
        return answer;
      }),
    );
  }
}
