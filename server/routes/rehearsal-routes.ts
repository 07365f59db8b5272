import { asc, eq } from 'drizzle-orm';
import { Router } from 'express';
import { keepRehearsalSchema, type RehearsalView } from '../../contract';
import { checked, ProblemError } from '../problem';
import type { ServerContext } from '../server-context';
import { rehearsals } from '../storage/schema';
import { latestRecipe } from './kitchen-store';

/** Rehearsals as they were scored: how an eye gets better. */
export function rehearsalRoutes(context: ServerContext): Router {
  const routes = Router();
  routes.get('/rehearsals', async (_request, response) => {
    const rows = await context.db.select().from(rehearsals).orderBy(asc(rehearsals.atMs));
    response.json(rows satisfies RehearsalView[]);
  });
  routes.post('/rehearsals', async (request, response) => {
    const wanted = checked(keepRehearsalSchema, request.body);
    await latestRecipe(context, wanted.recipeId);
    const isNew = await context.write(async () => {
      const [same] = await context.db.select().from(rehearsals).where(eq(rehearsals.id, wanted.id));
      if (!same) await context.db.insert(rehearsals).values({ ...wanted, atMs: context.clock.nowMs() });
      else if (JSON.stringify(same.calls) !== JSON.stringify(wanted.calls))
        throw new ProblemError(409, 'Said before, otherwise', [
          { field: 'id', sentence: `A rehearsal “${wanted.id}” with other calls has already been kept.` },
        ]);
      return !same;
    });
    response.status(isNew ? 201 : 200).json(wanted);
  });
  return routes;
}
