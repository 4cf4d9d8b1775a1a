import { AddLogEntry, AddReading, CreateRun, ReplaceRun, type RunDocument } from '@kobran/contract';
import { evaluate, type Sheet } from '@kobran/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { schemaOf } from '../openapi.js';
import { ShopService } from '../shop/shop.service.js';
import { RunsService } from './runs.service.js';

@ApiTags('runs')
@Controller('api')
export class RunsController {
  constructor(
    @Inject(RunsService) private readonly runs: RunsService,
    @Inject(ShopService) private readonly shop: ShopService,
  ) {}

  @Get('jobs/:id/runs')
  @ApiOperation({ summary: 'The runs of a job' })
  list(@Param('id', ParseUUIDPipe) id: string): Promise<RunDocument[]> {
    return this.runs.ofJob(id);
  }

  @Post('jobs/:id/runs')
  @ApiOperation({ summary: 'Put a run into a job; the same id again makes none' })
  @ApiBody(schemaOf(CreateRun))
  create(@Param('id', ParseUUIDPipe) jobId: string, @Body() body: CreateRun): Promise<RunDocument> {
    return this.runs.create(jobId, body);
  }

  @Get('runs/:id')
  @ApiOperation({ summary: 'A run with its readings and log' })
  read(@Param('id', ParseUUIDPipe) id: string): Promise<RunDocument> {
    return this.runs.read(id);
  }

  @Get('runs/:id/sheet')
  @ApiOperation({
    summary:
      'What Kobran says of the run: figures, joints, stages and snags, without the samples along the ruler',
  })
  async sheet(@Param('id', ParseUUIDPipe) id: string): Promise<Omit<Sheet, 'ruler' | 'sweep'>> {
    const { design, readings, log } = await this.runs.read(id);
    const {
      ruler: _,
      sweep: __,
      ...sheet
    } = evaluate(design, await this.shop.catalog(), { facts: { readings, log } });
    return sheet;
  }

  @Put('runs/:id')
  @ApiOperation({
    summary: 'Replace a run’s design; 409 with the current one when the version is not current',
  })
  @ApiBody(schemaOf(ReplaceRun))
  replace(@Param('id', ParseUUIDPipe) id: string, @Body() body: ReplaceRun): Promise<RunDocument> {
    return this.runs.replace(id, body);
  }

  @Delete('runs/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Delete a run; it can be restored' })
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.runs.remove(id);
  }

  @Post('runs/:id/restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bring a deleted run back' })
  restore(@Param('id', ParseUUIDPipe) id: string): Promise<RunDocument> {
    return this.runs.restore(id);
  }

  @Post('runs/:id/readings')
  @HttpCode(204)
  @ApiOperation({ summary: 'Keep a meter reading; sent twice it is kept once' })
  @ApiBody(schemaOf(AddReading))
  addReading(@Param('id', ParseUUIDPipe) id: string, @Body() body: AddReading): Promise<void> {
    return this.runs.addReading(id, body);
  }

  @Post('runs/:id/log')
  @HttpCode(204)
  @ApiOperation({ summary: 'Keep a line of the log; sent twice it is kept once' })
  @ApiBody(schemaOf(AddLogEntry))
  addLogEntry(@Param('id', ParseUUIDPipe) id: string, @Body() body: AddLogEntry): Promise<void> {
    return this.runs.addLogEntry(id, body);
  }
}
