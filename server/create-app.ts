import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, Router } from 'express';
import helmet from 'helmet';
import { batchRoutes } from './batches/batch-routes';
import { photoRoutes } from './batches/photo-routes';
import { deviceRoutes } from './devices/device-routes';
import { kitchenRoutes } from './kitchen/kitchen-routes';
import { larderRoutes } from './larder/larder-routes';
import { orderRoutes } from './orders/order-routes';
import { passRoutes } from './pass/pass-routes';
import { problemHandler, unknownRoute } from './problem';
import { recipeRoutes } from './recipes/recipe-routes';
import { recordRoutes } from './record/record-routes';
import { rehearsalRoutes } from './rehearsals/rehearsal-routes';
import type { ServerContext } from './server-context';

/** The whole server as an Express application; `webFolder` holds the built browser side, if there is one. */
export function createApp(context: ServerContext, webFolder?: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use('/api', apiRoutes(context), unknownRoute);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          // The styled components write their rules into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  if (webFolder && existsSync(webFolder)) {
    const assets = join(webFolder, 'assets');
    app.use('/assets', express.static(assets, { immutable: true, maxAge: '1y', fallthrough: false }));
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*path}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: webFolder });
    });
  }
  app.use(problemHandler(context.log));
  return app;
}

/** Files come larger, and as they are, through doors of their own. */
const OWN_BODY = /^\/(files\/|record\/check$)/;

/** What every answer of the API says: it is data for this page alone, to be asked for again before it is used again. */
const OF_DATA = {
  'Cache-Control': 'private, no-cache',
  'Content-Security-Policy': "default-src 'none'; frame-ancestors 'none'",
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Referrer-Policy': 'no-referrer',
  'X-Content-Type-Options': 'nosniff',
};

/** The API: a room of routes for each topic, and the live stream. Answers are held against what a browser has. */
function apiRoutes(context: ServerContext): Router {
  const api = Router();
  api.use((_request, response, next) => {
    response.set({ ...OF_DATA, 'Slow-Pot-Position': context.live.position() });
    next();
  });
  const json = express.json({ limit: '200kb' });
  api.use((request, response, next) =>
    OWN_BODY.test(request.path) ? next() : json(request, response, next),
  );
  api.get('/live', (request, response) => {
    const { after } = request.query;
    context.live.open(
      request,
      response,
      request.get('Last-Event-ID') ?? (typeof after === 'string' ? after : undefined),
    );
  });
  api.use(
    kitchenRoutes(context),
    batchRoutes(context),
    photoRoutes(context),
    larderRoutes(context),
    recordRoutes(context),
    orderRoutes(context),
    passRoutes(context),
    recipeRoutes(context),
    deviceRoutes(context),
    rehearsalRoutes(context),
  );
  return api;
}
