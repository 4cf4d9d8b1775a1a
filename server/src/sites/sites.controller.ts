import { PutOnSite, ReplaceSite, routes, type SiteDocument } from '@kobran/contract';
import { Body, Controller, Inject, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Handles } from '../handles.js';
import { SitesService } from './sites.service.js';

@ApiTags('sites')
@Controller()
export class SitesController {
  constructor(@Inject(SitesService) private readonly sites: SitesService) {}

  @Handles(routes.readSite)
  read(@Param('id', ParseUUIDPipe) id: string): Promise<SiteDocument> {
    return this.sites.ofJob(id);
  }

  @Handles(routes.replaceSite)
  replace(@Param('id', ParseUUIDPipe) id: string, @Body() body: ReplaceSite): Promise<SiteDocument> {
    return this.sites.replace(id, body);
  }

  @Handles(routes.putOnSite)
  putOnSite(@Param('id', ParseUUIDPipe) id: string, @Body() body: PutOnSite): Promise<SiteDocument> {
    return this.sites.putOnSite(id, body);
  }
}
