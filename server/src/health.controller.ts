import type { Health } from '@kobran/contract';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import type { Database } from './database/database.js';
import { DATABASE } from './database/database.module.js';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  @Get()
  @ApiOperation({ summary: 'Is the server up and its database answering?' })
  async read(): Promise<Health> {
    const start = performance.now();
    await this.db.execute(sql`select 1`);
    return { status: 'ok', databaseMs: Math.round((performance.now() - start) * 10) / 10 };
  }
}
