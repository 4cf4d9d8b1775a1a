import { AsBuiltQuery, routes } from '@kobran/contract';
import { Controller, Inject, Param, ParseUUIDPipe, Query, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { ByCaller, type Caller } from '../crew/caller.js';
import { HandlesFile } from '../handles.js';
import { HandoverService } from './handover.service.js';

const file = (bytes: Buffer, type: string, name: string): StreamableFile =>
  new StreamableFile(bytes, {
    type,
    disposition: `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
  });

@ApiTags('reports')
@Controller()
export class HandoverController {
  constructor(@Inject(HandoverService) private readonly handover: HandoverService) {}

  @HandlesFile(routes.printAsBuilt)
  @ApiProduces('application/pdf')
  async run(
    @ByCaller() caller: Caller,
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: AsBuiltQuery,
  ): Promise<StreamableFile> {
    return file(
      await this.handover.runAsBuilt(id, copyFor(caller, query)),
      'application/pdf',
      'as-built.pdf',
    );
  }

  @HandlesFile(routes.printSite)
  @ApiProduces('application/pdf')
  async site(
    @ByCaller() caller: Caller,
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: AsBuiltQuery,
  ): Promise<StreamableFile> {
    return file(
      await this.handover.siteAsBuilt(id, copyFor(caller, query)),
      'application/pdf',
      'as-built.pdf',
    );
  }

  @HandlesFile(routes.readCalendar)
  @ApiProduces('text/calendar')
  async calendar(@Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    return file(Buffer.from(await this.handover.calendar(id)), 'text/calendar', 'inspections.ics');
  }

  @HandlesFile(routes.readWholeCalendar)
  @ApiProduces('text/calendar')
  async wholeCalendar(): Promise<StreamableFile> {
    return file(Buffer.from(await this.handover.wholeCalendar()), 'text/calendar', 'inspections.ics');
  }

  @HandlesFile(routes.readArchive)
  @ApiProduces('application/zip')
  async archive(
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: AsBuiltQuery,
  ): Promise<StreamableFile> {
    const { name, bytes } = await this.handover.archive(id, query);
    return file(bytes, 'application/zip', `${name}.zip`);
  }
}

/** A customer gets the copy which has no names of the crew, whatever is asked for. */
const copyFor = (caller: Caller, query: AsBuiltQuery): AsBuiltQuery =>
  caller.kind === 'viewer' ? { ...query, copy: 'customer' } : query;
