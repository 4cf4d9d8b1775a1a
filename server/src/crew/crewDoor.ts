import type { CrewDoor as DoorState } from '@kobran/contract';
import { Inject, Injectable } from '@nestjs/common';
import { once } from 'node:events';
import { createServer as createPlain, type RequestListener, type Server } from 'node:http';
import { createServer as createEncrypted } from 'node:https';
import type { AddressInfo } from 'node:net';
import type { Config } from '../config.js';
import { MembersService } from './members.service.js';
import { PLACES } from '../places.js';
import { fingerprintOf, keptCertificate } from '../door/certificate.js';
import { addressOf, type DoorConfig } from '../door/doorConfig.js';

/** While there is no owner yet it is looked again so often, ms: one made at another server opens this door too. */
const LOOK_AGAIN_MS = 1_000;
/** Longer than a client keeps a connection it does not use. */
const KEEP_ALIVE_MS = 65_000;
/** So long a handshake, and what says which request comes, may take: a phone on a hill needs seconds; who holds a connection open only to hold it is cut off. */
const BEGIN_MS = 20_000;
const LOOK_FOR_SLOW_MS = 5_000;
/** And the whole of it: the largest job by the slowest network. Nothing of it is read from who may not send it. */
const WHOLE_MS = 3_600_000;
/** More than all windows of a crew hold open at once. */
const MOST_CONNECTIONS = 2_000;

/** The door of the crew: open only where it is wanted, encrypted, and there is somebody who says who may come in. */
@Injectable()
export class CrewDoor {
  private server: Server | undefined;
  private timer: NodeJS.Timeout | undefined;
  private made: string | undefined;
  private now: DoorState;

  constructor(
    @Inject(PLACES) private readonly config: Config,
    @Inject(MembersService) private readonly members: MembersService,
  ) {
    this.now = { kind: config.door ? 'waiting' : 'closed' };
  }

  state(): DoorState {
    return this.now;
  }

  /** The certificate which Kobran made, as PEM; nothing where there is another or none. */
  certificate(): string | undefined {
    return this.made;
  }

  /** Opens it, now or as soon as the first owner has been made. @param tell something for who started Kobran */
  async open(answer: RequestListener, tell: (line: string) => void): Promise<void> {
    const { door, port } = this.config;
    if (!door) return;
    if (await this.members.isSetUp()) return this.listen(door, answer, tell);
    tell(
      `The crew’s door stays shut until there is an owner: make the first one at http://localhost:${port}/crew`,
    );
    const look = async (): Promise<void> => {
      if (await this.members.isSetUp()) await this.listen(door, answer, tell);
      else this.timer = setTimeout(again, LOOK_AGAIN_MS).unref();
    };
    const again = (): void =>
      void look().catch((error: unknown) =>
        tell(`The crew’s door does not open: ${error instanceof Error ? error.message : String(error)}`),
      );
    this.timer = setTimeout(again, LOOK_AGAIN_MS).unref();
  }

  private async listen(
    door: DoorConfig,
    answer: RequestListener,
    tell: (line: string) => void,
  ): Promise<void> {
    const { encryption, address: host, names } = door;
    const keys =
      encryption.kind === 'made'
        ? await keptCertificate(encryption.folder, names)
        : encryption.kind === 'files'
          ? encryption
          : undefined;
    const limits = {
      keepAliveTimeout: KEEP_ALIVE_MS,
      headersTimeout: BEGIN_MS,
      requestTimeout: WHOLE_MS,
      connectionsCheckingInterval: LOOK_FOR_SLOW_MS,
    };
    const server = keys
      ? createEncrypted(
          { ...limits, cert: keys.cert, key: keys.key, minVersion: 'TLSv1.2', handshakeTimeout: BEGIN_MS },
          answer,
        )
      : createPlain(limits, answer);
    server.maxConnections = MOST_CONNECTIONS;
    server.listen({ host, port: door.port });
    await once(server, 'listening');
    this.server = server;
    const address = addressOf(door, (server.address() as AddressInfo).port);
    if (encryption.kind === 'made' && keys) this.made = String(keys.cert);
    const fingerprint = this.made === undefined ? undefined : fingerprintOf(this.made);
    this.now = { kind: 'open', address, ...(fingerprint === undefined ? {} : { fingerprint }) };
    tell(
      `The crew comes in at ${address}${fingerprint === undefined ? '' : `\nIts certificate has the fingerprint (SHA-256) ${fingerprint}`}`,
    );
  }

  /** Shuts it, and ends what is under way. */
  async close(): Promise<void> {
    clearTimeout(this.timer);
    const { server } = this;
    this.server = undefined;
    if (!server) return;
    const closed = once(server, 'close');
    server.close();
    server.closeAllConnections();
    await closed;
  }
}
