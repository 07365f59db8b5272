import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { DeviceContext } from './devices/device-routes';
import { problemHandler, unknownRoute } from './problem';
import { apiRoutes } from './routes/api';

/** The whole server as an Express application; `webFolder` holds the built browser side, if there is one. */
export function createApp(context: DeviceContext, webFolder?: string): Express {
  const app = express();
  app.disable('x-powered-by');
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
  // Files come larger, through a door of their own.
  const json = express.json({ limit: '200kb' });
  app.use((request, response, next) =>
    request.path.startsWith('/api/files/') ? next() : json(request, response, next),
  );
  app.use('/api', apiRoutes(context), unknownRoute);
  if (webFolder && existsSync(webFolder)) {
    app.use('/assets', express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*path}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: webFolder });
    });
  }
  app.use(problemHandler(context.log));
  return app;
}
