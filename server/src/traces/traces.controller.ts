import { AddTrace, routes, type ListedTrace, type StoredTrace } from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { ByCaller, signedBy, type Caller } from '../crew/caller.js';
import { Handles } from '../handles.js';
import { TracesService } from './traces.service.js';

@ApiTags('traces')
@Controller()
export class TracesController {
  constructor(@Inject(TracesService) private readonly traces: TracesService) {}

  @Handles(routes.listTraces)
  list(@Param('id', ParseUUIDPipe) id: string): Promise<ListedTrace[]> {
    return this.traces.list(id);
  }

  @Handles(routes.readTrace)
  read(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<StoredTrace> {
    return this.traces.read(id, traceId);
  }

  @Handles(routes.addTrace)
  add(
    @ByCaller() caller: Caller,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AddTrace,
  ): Promise<void> {
    return this.traces.add(id, signedBy(caller, body));
  }

  @Handles(routes.makeBirth)
  birth(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<void> {
    return this.traces.makeBirth(id, traceId);
  }

  @Handles(routes.removeTrace)
  remove(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<void> {
    return this.traces.remove(id, traceId);
  }

  @Handles(routes.restoreTrace)
  restore(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('traceId', ParseUUIDPipe) traceId: string,
  ): Promise<void> {
    return this.traces.restore(id, traceId);
  }
}
