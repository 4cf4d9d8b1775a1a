import { AddTrace, type StoredTrace } from '@kobran/contract';
import { Body, Controller, Delete, Get, HttpCode, Inject, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { schemaOf } from '../openapi.js';
import { TracesService } from './traces.service.js';

@ApiTags('traces')
@Controller('api/runs/:id/traces')
export class TracesController {
  constructor(@Inject(TracesService) private readonly traces: TracesService) {}

  @Get()
  @ApiOperation({ summary: 'The sweeps of a run, oldest first' })
  list(@Param('id', ParseUUIDPipe) id: string): Promise<StoredTrace[]> {
    return this.traces.list(id);
  }

  @Post()
  @HttpCode(204)
  @ApiOperation({ summary: 'Keep a sweep; sent twice it is kept once' })
  @ApiBody(schemaOf(AddTrace))
  add(@Param('id', ParseUUIDPipe) id: string, @Body() body: AddTrace): Promise<void> {
    return this.traces.add(id, body);
  }

  @Post(':traceId/birth')
  @HttpCode(204)
  @ApiOperation({ summary: 'Make this sweep the birth record of what it was taken of' })
  birth(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<void> {
    return this.traces.makeBirth(id, traceId);
  }

  @Delete(':traceId')
  @HttpCode(204)
  @ApiOperation({ summary: 'Delete a sweep; it can be restored' })
  remove(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<void> {
    return this.traces.setDeleted(id, traceId, new Date().toISOString());
  }

  @Post(':traceId/restore')
  @HttpCode(204)
  @ApiOperation({ summary: 'Bring a deleted sweep back' })
  restore(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<void> {
    return this.traces.setDeleted(id, traceId, null);
  }
}
