import { Global, Module } from '@nestjs/common';
import { CrewDoor } from './crewDoor.js';
import { CrewController } from './crew.controller.js';
import { CrewLogService } from './crewLog.service.js';
import { LinksService } from './links.service.js';
import { MeController } from './me.controller.js';
import { MembersService } from './members.service.js';
import { SessionsService } from './sessions.service.js';
import { TriesService } from './tries.service.js';

/** Who may come in. What few may do is written into its log from everywhere. */
@Global()
@Module({
  controllers: [MeController, CrewController],
  providers: [CrewDoor, CrewLogService, LinksService, MembersService, SessionsService, TriesService],
  exports: [CrewDoor, CrewLogService, MembersService, SessionsService],
})
export class CrewModule {}
