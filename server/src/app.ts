import { MAX_JOB_BYTES } from '@harbor-latch/core/file/index';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { join } from 'node:path';
import type { Live } from './live/live';
import { Problem, problemHandler } from './problem';
import { boatRoutes } from './routes/boats';
import { changeRoutes } from './routes/changes';
import { eventRoutes } from './routes/events';
import { openApi } from './routes/openapi';
import { photoRoutes } from './routes/photos';
import { recordRoutes } from './routes/records';
import { stockRoutes } from './routes/stock';
import { sameSite } from './sameSite';
import type { Stores } from './stores';

export interface AppParts {
  readonly stores: Stores;
  readonly ping: () => Promise<void>;
  readonly logger: Logger;
  /** Left out where open pages are told of nothing. */
  readonly live?: Live;
  /** Folder of the built web application; left out where only the API is served. */
  readonly webFolder?: string;
  /** Requests a minute from one address. */
  readonly requestsPerMinute?: number;
  /** Names beside loopback's under which it is served. */
  readonly hosts?: readonly string[];
}

/** Builds the server's application; it does not listen. */
export function createApp(parts: AppParts): Express {
  const { stores, ping, logger, live, webFolder, requestsPerMinute = 1200, hosts = [] } = parts;
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', false);
  app.use(
    pinoHttp({
      logger,
      autoLogging: { ignore: () => webFolder === undefined },
      serializers: { req: ({ method, url }) => ({ method, url }), res: ({ statusCode }) => ({ statusCode }) },
    }),
  );
  app.use(securityHeaders());
  app.use(sameSite(hosts));
  app.use(readablePath);
  const api = express.Router();
  api.use(noStore);
  api.get('/health', async (_request, response) => {
    try {
      await ping();
      response.json({ status: 'ready' });
    } catch {
      response.status(503).json({ status: 'database-away' });
    }
  });
  api.use(
    rateLimit({
      windowMs: 60_000,
      limit: requestsPerMinute,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new Problem(429, 'too-many', 'Too many requests at once. Wait a minute.');
      },
    }),
  );
  // Before what compresses: that would hold events back.
  api.use('/events', eventRoutes(live));
  api.use(compression());
  api.use('/photos', photoRoutes(stores.photos));
  api.use(express.json({ limit: MAX_JOB_BYTES, strict: false }));
  api.get('/openapi.json', (_request, response) => {
    response.json(openApi());
  });
  api.use('/boats', boatRoutes(stores));
  api.use('/stock', stockRoutes(stores.stock));
  api.use('/records', recordRoutes(stores));
  api.use('/changes', changeRoutes(stores.changes));
  api.use(() => {
    throw new Problem(404, 'no-such-address', 'There is nothing at this address. See /api/openapi.json.');
  });
  app.use('/api', api);
  if (webFolder !== undefined) serveWeb(app, webFolder);
  app.use(problemHandler);
  return app;
}

const noStore: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

/** Refuses a path that is no text before anything looks at it. */
const readablePath: RequestHandler = (request, _response, next) => {
  try {
    decodeURIComponent(request.path);
  } catch {
    throw new Problem(400, 'bad-path', 'The address cannot be read: a percent sign in it begins nothing.');
  }
  next();
};

function securityHeaders(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        connectSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'", 'data:'],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
}

function serveWeb(app: Express, folder: string): void {
  const aYear = 365 * 24 * 3600 * 1000;
  const hashed = /[.-][0-9a-f]{32}(@\dx)?\.\w+$/;
  app.use(
    expressStaticGzip(folder, {
      enableBrotli: true,
      orderPreference: ['br'],
      serveStatic: {
        maxAge: aYear,
        setHeaders: (response, path) => {
          const immutable = hashed.test(path.replace(/\.br$/, ''));
          response.setHeader('Cache-Control', immutable ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }),
  );
  app.get('/{*path}', (request, response, next) => {
    if (!request.accepts('html') || /\.\w{2,5}$/.test(request.path)) {
      next(new Problem(404, 'no-such-address', 'There is nothing at this address.'));
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}
