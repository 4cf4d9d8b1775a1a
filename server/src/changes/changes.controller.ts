import { Here, routes } from '@kobran/contract';
import { Body, Controller, Inject, Sse, type MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import { concatMap, filter, interval, map, merge, Observable, takeUntil } from 'rxjs';
import { ByCaller, type Caller } from '../crew/caller.js';
import { SessionsService } from '../crew/sessions.service.js';
import { Changes, CHANGES_CHANNEL } from '../database/changes.js';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { Handles } from '../handles.js';

/** A connection on which nothing comes for longer is closed by what lies between, ms. */
const ALIVE_MS = 25_000;
/** A device that is signed out hears no more after this, ms. */
const LOOK_MS = 5_000;

@ApiTags('changes')
@Controller()
export class ChangesController {
  constructor(
    @Inject(Changes) private readonly changes: Changes,
    @Inject(DATABASE) private readonly db: Database,
    @Inject(SessionsService) private readonly sessions: SessionsService,
  ) {}

  @Sse(routes.followChanges.path)
  @ApiOperation({ summary: routes.followChanges.summary })
  follow(@ByCaller() caller: Caller): Observable<MessageEvent> {
    const told = new Observable<MessageEvent>((reader) =>
      this.changes.onChange((data) => reader.next({ data })),
    );
    const alive = interval(ALIVE_MS).pipe(map((): MessageEvent => ({ type: 'alive', data: '' })));
    if (!('sessionId' in caller)) return merge(told, alive);
    // Who was signed out meanwhile hears no more.
    const over = interval(LOOK_MS).pipe(
      concatMap(() => this.sessions.stands(caller.sessionId)),
      filter((stands) => !stands),
    );
    return merge(told, alive).pipe(takeUntil(over));
  }

  /** Nothing is kept of it: the same channel tells it to whoever follows, at whichever server. */
  @Handles(routes.sayHere)
  async here(@ByCaller() caller: Caller, @Body() here: Here): Promise<void> {
    const { id, path } = here;
    const name = caller.kind === 'member' ? caller.name : here.name;
    await this.db.execute(
      sql`select pg_notify(${CHANGES_CHANNEL}, ${`here ${JSON.stringify({ id, name, path })}`})`,
    );
  }
}
