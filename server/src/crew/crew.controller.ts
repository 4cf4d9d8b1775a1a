import { ChangeMember, Invite, MakeLink, routes, type CrewDocument, type MadeCode } from '@kobran/contract';
import { mayAs, type CrewEntry, type KeptLog } from '@kobran/core';
import { Body, Controller, Inject, Param, ParseUUIDPipe, StreamableFile } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import { toDataURL } from 'qrcode';
import { CrewDoor } from './crewDoor.js';
import { notFound, problem } from '../errors/problem.js';
import { Handles, HandlesFile } from '../handles.js';
import { ByCaller, nameOf, roleOf, type Caller } from './caller.js';
import { CrewLogService } from './crewLog.service.js';
import { LinksService } from './links.service.js';
import { MembersService } from './members.service.js';
import { SessionsService } from './sessions.service.js';

/** Who is of the crew, who looks in, and on which devices. */
@ApiTags('crew')
@Controller()
export class CrewController {
  constructor(
    @Inject(MembersService) private readonly members: MembersService,
    @Inject(LinksService) private readonly links: LinksService,
    @Inject(SessionsService) private readonly sessions: SessionsService,
    @Inject(CrewLogService) private readonly log: CrewLogService,
    @Inject(CrewDoor) private readonly door: CrewDoor,
  ) {}

  @Handles(routes.readCrew)
  async crew(@ByCaller() caller: Caller): Promise<CrewDocument> {
    const [door, members] = [this.door.state(), await this.members.list()];
    if (!isOwner(caller))
      return {
        door,
        members,
        invitations: [],
        links: [],
        devices: caller.kind === 'member' ? await this.sessions.devices(caller, caller.id) : [],
      };
    return {
      door,
      members,
      invitations: await this.members.invitations(),
      links: await this.links.list(),
      devices: await this.sessions.devices(caller),
    };
  }

  @HandlesFile(routes.readCertificate)
  @ApiProduces('application/x-x509-ca-cert')
  certificate(): StreamableFile {
    const pem = this.door.certificate();
    if (pem === undefined)
      throw problem(404, {
        code: 'certificate.none',
        message: 'Kobran made no certificate.',
        where: 'path',
        remedy: 'Where it has one of its own or stands behind a proxy, nothing has to be trusted by hand.',
      });
    return new StreamableFile(Buffer.from(pem), {
      type: 'application/x-x509-ca-cert',
      disposition: 'attachment; filename="kobran.crt"',
    });
  }

  @Handles(routes.invite)
  async invite(@ByCaller() caller: Caller, @Body() body: Invite): Promise<MadeCode> {
    return this.shown(await this.members.invite(body, caller), 'join');
  }

  @Handles(routes.removeInvitation)
  removeInvitation(@ByCaller() caller: Caller, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.members.removeInvitation(id, caller);
  }

  @Handles(routes.changeMember)
  changeMember(
    @ByCaller() caller: Caller,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { role }: ChangeMember,
  ): Promise<void> {
    return this.members.changeRole(id, role, caller);
  }

  @Handles(routes.removeMember)
  removeMember(@ByCaller() caller: Caller, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.members.remove(id, caller);
  }

  @Handles(routes.makeLink)
  async makeLink(@ByCaller() caller: Caller, @Body() body: MakeLink): Promise<MadeCode> {
    return this.shown(await this.links.make(body, caller), 'look');
  }

  @Handles(routes.removeLink)
  removeLink(@ByCaller() caller: Caller, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.links.remove(id, caller);
  }

  /** One’s own, or as an owner anybody’s. */
  @Handles(routes.removeDevice)
  async removeDevice(@ByCaller() caller: Caller, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    const own = caller.kind === 'member' && !isOwner(caller) ? caller.id : undefined;
    const found = (await this.sessions.devices(caller, own)).find((one) => one.id === id);
    if (!found) throw notFound('device', id);
    await this.sessions.end(id);
    await this.log.add('device signed out', nameOf(caller), `${found.device} of ${found.name}`);
  }

  @Handles(routes.readCrewLog)
  readLog(): Promise<KeptLog<CrewEntry>> {
    return this.log.read();
  }

  /** The code behind the `#` of the link: it is sent to no server and stands in no log. */
  private async shown(
    made: { id: string; code: string; until: string },
    path: 'join' | 'look',
  ): Promise<MadeCode> {
    const door = this.door.state();
    if (door.kind !== 'open') return made;
    const link = `${door.address}/${path}#${made.code}`;
    return { ...made, link, qr: await toDataURL(link, { margin: 2, scale: 6 }) };
  }
}

function isOwner(caller: Caller): boolean {
  const role = roleOf(caller);
  return role !== undefined && mayAs(role, 'owner');
}
