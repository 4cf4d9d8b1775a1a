import { Here, routes } from '@kobran/contract';
import { Body, Controller, Inject, Sse, type MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import { interval, map, merge, Observable } from 'rxjs';
import { Changes, CHANGES_CHANNEL } from '../database/changes.js';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { Handles } from '../handles.js';

/** A connection on which nothing comes for longer is closed by what lies between, ms. */
const ALIVE_MS = 25_000;

@ApiTags('changes')
@Controller()
export class ChangesController {
  constructor(
    @Inject(Changes) private readonly changes: Changes,
    @Inject(DATABASE) private readonly db: Database,
  ) {}

  @Sse(routes.followChanges.path)
  @ApiOperation({ summary: routes.followChanges.summary })
  follow(): Observable<MessageEvent> {
    const told = new Observable<MessageEvent>((reader) =>
      this.changes.onChange((data) => reader.next({ data })),
    );
    return merge(told, interval(ALIVE_MS).pipe(map((): MessageEvent => ({ type: 'alive', data: '' }))));
  }

  /** Nothing is kept of it: the same channel tells it to whoever follows, at whichever server. */
  @Handles(routes.sayHere)
  async here(@Body() here: Here): Promise<void> {
    const { id, name, path } = here;
    await this.db.execute(
      sql`select pg_notify(${CHANGES_CHANNEL}, ${`here ${JSON.stringify({ id, name, path })}`})`,
    );
  }
}
