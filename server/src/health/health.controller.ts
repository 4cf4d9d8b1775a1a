import { routes, type Health } from '@kobran/contract';
import { Controller, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { Handles } from '../handles.js';

@ApiTags('health')
@Controller()
export class HealthController {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  @Handles(routes.readHealth)
  async read(): Promise<Health> {
    const start = performance.now();
    await this.db.execute(sql`select 1`);
    return { status: 'ok', databaseMs: Math.round((performance.now() - start) * 10) / 10 };
  }
}
