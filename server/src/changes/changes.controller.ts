import { routes } from '@kobran/contract';
import { Controller, Inject, Sse, type MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { interval, map, merge, Observable } from 'rxjs';
import { Changes } from '../database/changes.js';

/** A connection on which nothing comes for longer is closed by what lies between, ms. */
const ALIVE_MS = 25_000;

@ApiTags('changes')
@Controller()
export class ChangesController {
  constructor(@Inject(Changes) private readonly changes: Changes) {}

  @Sse(routes.followChanges.path)
  @ApiOperation({ summary: routes.followChanges.summary })
  follow(): Observable<MessageEvent> {
    const told = new Observable<MessageEvent>((reader) =>
      this.changes.onChange((data) => reader.next({ data })),
    );
    return merge(told, interval(ALIVE_MS).pipe(map((): MessageEvent => ({ type: 'alive', data: '' }))));
  }
}
