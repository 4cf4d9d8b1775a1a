import { Global, Module, type DynamicModule } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { eq } from 'drizzle-orm';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import helmet from 'helmet';
import { isUUID as isUuid } from 'class-validator';
import { existsSync } from 'node:fs';
import type { RequestListener } from 'node:http';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import sirv from 'sirv';
import type { Config } from './config.js';
import { openDatabase, type OpenDatabase } from './database/database.js';
import { DatabaseModule } from './database/database.module.js';
import { runs } from './database/schema.js';
import { CrewDoor } from './crew/crewDoor.js';
import { DurableWrites } from './database/durableWrites.js';
import { BackupModule } from './backup/backup.module.js';
import { seedDemo } from './demo/seedDemo.js';
import { doorOf, entersAtMachine } from './crew/caller.js';
import { CrewModule } from './crew/crew.module.js';
import { MembersService } from './crew/members.service.js';
import { SessionsService } from './crew/sessions.service.js';
import { CuttingModule } from './cutting/cutting.module.js';
import { ProblemFilter } from './errors/problem.filter.js';
import { contractPipe } from './errors/validation.js';
import { jsonBodies } from './gate/bodies.js';
import { notTooMany } from './gate/notTooMany.js';
import { freeBytes, onlyWithRoom } from './gate/roomOnDisk.js';
import { knownHost } from './gate/knownHost.js';
import { sameOrigin } from './gate/sameOrigin.js';
import { whoMay } from './crew/whoMay.js';
import { ChangesModule } from './changes/changes.module.js';
import { HealthModule } from './health/health.module.js';
import { InstrumentsModule } from './instruments/instruments.module.js';
import { PLACES } from './places.js';
import { JobsModule } from './jobs/jobs.module.js';
import { serveOpenApi } from './openapi.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { PracticeModule } from './practice/practice.module.js';
import { ProgressModule } from './progress/progress.module.js';
import { ReportsModule } from './reports/reports.module.js';
import { RunsModule } from './runs/runs.module.js';
import { ShopModule } from './shop/shop.module.js';
import { SummariesModule } from './summaries/summaries.module.js';
import { TracesModule } from './traces/traces.module.js';

const KEEP_ALIVE_MS = 65_000;

@Global()
@Module({})
class PlacesModule {
  static with(config: Config): DynamicModule {
    return {
      module: PlacesModule,
      providers: [{ provide: PLACES, useValue: config }],
      exports: [PLACES],
    };
  }
}

@Module({})
class AppModule {
  static with(database: OpenDatabase, config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        DatabaseModule.with(database),
        PlacesModule.with(config),
        BackupModule,
        CrewModule,
        CuttingModule,
        ChangesModule,
        HealthModule,
        InstrumentsModule,
        JobsModule,
        PicturesModule,
        PracticeModule,
        ProgressModule,
        ReportsModule,
        RunsModule,
        ShopModule,
        SummariesModule,
        TracesModule,
      ],
    };
  }
}

export interface RunningApp {
  app: NestExpressApplication;
  logger: Logger;
  /** Opens the crew’s door, where one is wanted. @param tell something for who started Kobran */
  openDoor: (tell: (line: string) => void) => Promise<void>;
  /** Stops taking requests, finishes those under way, closes the database. */
  stop: () => Promise<void>;
}

/**
 * Builds the application on a database; it does not listen yet.
 *
 * @param opening the database, where somebody has begun to open it already
 */
export async function createApp(
  config: Config,
  opening: Promise<OpenDatabase> = openDatabase(config.database),
): Promise<RunningApp> {
  const logger = pino({ level: config.logLevel });
  const database = await opening;
  if (config.demo && (await seedDemo(database.db))) await database.durable();
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(database, config), {
    bodyParser: false,
    logger: ['error', 'warn'],
    forceCloseConnections: true,
  });
  app.disable('x-powered-by');
  // Only this server listens at the machine; whatever comes otherwise came by the crew’s door.
  app.getHttpServer().prependListener('request', entersAtMachine);
  app.use(knownHost(config.door));
  app.use(strictHeaders(config));
  app.use('/api', notTooMany());
  // What fails is logged by the filter; every request only for who looks for something.
  if (logger.isLevelEnabled('debug')) app.use(pinoHttp({ logger, useLevel: 'debug' }));
  app.use(sameOrigin(config.door));
  app.use('/api', ...gateOf(app, database, config));
  const { database: place } = config;
  if ('folder' in place) app.use(onlyWithRoom(() => freeBytes(place.folder)));
  app.use(...jsonBodies());
  app.useGlobalFilters(new ProblemFilter(logger));
  app.useGlobalPipes(contractPipe());
  app.useGlobalInterceptors(new DurableWrites(database));
  serveOpenApi(app);
  serveWeb(app, config.webFolder);
  await app.init();
  // Longer than a client keeps a connection it does not use: else it writes into one that is just being closed.
  app.getHttpServer().keepAliveTimeout = KEEP_ALIVE_MS;
  const door = app.get(CrewDoor);
  return {
    app,
    logger,
    openDoor: (tell) => door.open(app.getHttpAdapter().getInstance() as RequestListener, tell),
    stop: async () => {
      await door.close();
      await app.close();
      await database.close();
    },
  };
}

function gateOf(
  app: NestExpressApplication,
  { db, durable }: OpenDatabase,
  { signIn }: Config,
): RequestHandler[] {
  const [sessions, members] = [app.get(SessionsService), app.get(MembersService)];
  return whoMay({
    open: (key) => sessions.open(key),
    asksHere: async () => signIn === 'everywhere' && members.isSetUp(),
    jobOfRun: async (id) => {
      if (!isUuid(id)) return undefined;
      return (await db.select({ jobId: runs.jobId }).from(runs).where(eq(runs.id, id))).at(0)?.jobId;
    },
    durable,
  });
}

/** Where a certificate is one which browsers trust, they come back encrypted only; after one that Kobran made nobody could come in again. */
function strictHeaders({ door }: Config): RequestHandler {
  const isTrusted = door !== undefined && (door.proxy !== undefined || door.encryption.kind === 'files');
  const [plain, encrypted] = [headers(false), headers(isTrusted)];
  return (request, response, next) =>
    (doorOf(request) === 'crew' ? encrypted : plain)(request, response, next);
}

const headers = (isTrusted: boolean): ReturnType<typeof helmet> =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: true,
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'", "'wasm-unsafe-eval'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'", 'blob:'],
        'frame-ancestors': ["'none'"],
        'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: isTrusted && { maxAge: 180 * 24 * 3600, includeSubDomains: false },
    referrerPolicy: { policy: 'no-referrer' },
  });

/** What the names of files carry their contents in never changes; the page which names them may at any time. */
const cacheOf = (path: string): string =>
  path.startsWith('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache';

/**
 * The built web application, as it was compressed when it was built; every path which is not the API’s and not a file is a screen of it.
 */
function serveWeb(app: NestExpressApplication, folder: string): void {
  if (!existsSync(folder)) return;
  const files = sirv(folder, {
    brotli: true,
    gzip: true,
    etag: true,
    setHeaders: (response, path) => response.setHeader('Cache-Control', cacheOf(path)),
  });
  app.use(files);
  app.use((request: Request, response: Response, next: NextFunction) => {
    // An end is called `main.b`: a dot says nothing here.
    const isScreen = ['GET', 'HEAD'].includes(request.method) && !/^\/(api|assets)(\/|$)/.test(request.path);
    if (!isScreen) return next();
    request.url = '/';
    files(request, response, next);
  });
}
