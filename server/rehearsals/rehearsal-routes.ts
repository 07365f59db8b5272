import { Router } from 'express';
import { keepRehearsalSchema, type RehearsalView } from '../../contract';
import { checked, notFound } from '../problem';
import { isSaidAgain } from '../said-before';
import type { ServerContext } from '../server-context';
import { insertRehearsal, lastRehearsals, latestRecipe, rehearsalRow } from '../storage';

/** So many are shown: how an eye gets better. */
const SHOWN = 200;

/** Rehearsals as they were scored. */
export function rehearsalRoutes({ storage, clock, live }: ServerContext): Router {
  const routes = Router();
  routes.get('/rehearsals', (_request, response) => {
    response.json(lastRehearsals(storage.db, SHOWN) satisfies RehearsalView[]);
  });
  routes.post('/rehearsals', (request, response) => {
    const wanted = checked(keepRehearsalSchema, request.body);
    const { id, recipeId, calls } = wanted;
    const isNew = storage.transact((tx) => {
      const before = rehearsalRow(tx, id);
      const said = before && { recipeId: before.recipeId, calls: before.calls };
      if (isSaidAgain('A rehearsal', id, said, { recipeId, calls })) return false;
      if (!latestRecipe(tx, recipeId)) throw notFound('recipe', recipeId);
      insertRehearsal(tx, { ...wanted, atMs: clock.nowMs() });
      return true;
    });
    if (isNew) {
      live.publish({ kind: 'rehearsals' });
      // the next order goes by this eye
      live.publish({ kind: 'kitchen', part: 'learned' });
    }
    response.status(isNew ? 201 : 200).json(wanted);
  });
  return routes;
}
