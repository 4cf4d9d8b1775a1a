import { ChangePhrase, Join, routes, SignIn, UseCode, type InvitationFor, type Me } from '@kobran/contract';
import { Body, Controller, Inject, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { setKey } from './whoMay.js';
import { Handles } from '../handles.js';
import { PLACES, type Places } from '../places.js';
import { problem } from '../errors/problem.js';
import { ByCaller, nameOf, type Caller } from './caller.js';
import { CrewLogService } from './crewLog.service.js';
import { LinksService } from './links.service.js';
import { MembersService } from './members.service.js';
import { placeOf } from './placeOf.js';
import { meOf, SessionsService } from './sessions.service.js';

/** As a person would call it; a browser says of itself whether it is a phone’s. */
const deviceOf = ({ headers }: Request): string =>
  /Mobi/.test(headers['user-agent'] ?? '') ? 'a phone' : 'a computer';

/** Who asks, and how somebody comes in and goes out. */
@ApiTags('me')
@Controller()
export class MeController {
  constructor(
    @Inject(MembersService) private readonly members: MembersService,
    @Inject(LinksService) private readonly links: LinksService,
    @Inject(SessionsService) private readonly sessions: SessionsService,
    @Inject(CrewLogService) private readonly log: CrewLogService,
    @Inject(PLACES) private readonly places: Places,
  ) {}

  @Handles(routes.readMe)
  async me(@ByCaller() caller: Caller): Promise<Me> {
    return meOf(caller, await this.members.isSetUp());
  }

  @Handles(routes.signIn)
  async signIn(
    @ByCaller() caller: Caller,
    @Body() body: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    const member = await this.members.signIn(body, placeOf(request, this.places));
    const me = await this.begin(caller, { memberId: member.id }, request, response);
    await this.log.add('signed in', member.name, deviceOf(request));
    return me;
  }

  @Handles(routes.signOut)
  async signOut(
    @ByCaller() caller: Caller,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    setKey(request, response, undefined);
    if (!('sessionId' in caller)) return;
    await this.sessions.end(caller.sessionId);
    await this.log.add('signed out', nameOf(caller), deviceOf(request));
  }

  @Handles(routes.changePhrase)
  async changePhrase(
    @ByCaller() caller: Caller,
    @Body() body: ChangePhrase,
    @Req() request: Request,
  ): Promise<void> {
    if (caller.kind !== 'member')
      throw problem(403, {
        code: 'phrase.of-nobody',
        message: 'Nobody of the crew is signed in here.',
        where: 'session',
        remedy: 'Sign in first.',
      });
    await this.members.changePhrase(caller, body, placeOf(request, this.places));
  }

  @Handles(routes.readInvitation)
  invitation(@Body() { code }: UseCode, @Req() request: Request): Promise<InvitationFor> {
    return this.members.invitationFor(code, placeOf(request, this.places));
  }

  @Handles(routes.join)
  async join(
    @ByCaller() caller: Caller,
    @Body() body: Join,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    const member = await this.members.join(body, placeOf(request, this.places));
    return this.begin(caller, { memberId: member.id }, request, response);
  }

  @Handles(routes.openLink)
  async openLink(
    @ByCaller() caller: Caller,
    @Body() { code }: UseCode,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    const linkId = await this.links.opened(code, placeOf(request, this.places), deviceOf(request));
    return this.begin(caller, { linkId }, request, response);
  }

  @Handles(routes.makeOwner)
  async makeOwner(
    @ByCaller() caller: Caller,
    @Body() body: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Me> {
    const owner = await this.members.makeOwner(body);
    return this.begin(caller, { memberId: owner.id }, request, response);
  }

  /** Signs the device in; whoever was signed in on it is not any more. */
  private async begin(
    before: Caller,
    of: { memberId: string } | { linkId: string },
    request: Request,
    response: Response,
  ): Promise<Me> {
    if ('sessionId' in before) await this.sessions.end(before.sessionId);
    const key = await this.sessions.begin(of, deviceOf(request));
    const opened = await this.sessions.open(key);
    if (opened.kind !== 'open') throw new Error('a session which has just begun has ended');
    setKey(request, response, key);
    return meOf(opened.caller, true);
  }
}
