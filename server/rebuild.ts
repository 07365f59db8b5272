import { join, resolve } from 'node:path';
import { FileProblem, openStorage, rebuild } from './storage';

/** `npm run rebuild`: makes anew all that is kept of the log. The server must not run meanwhile. */
try {
  const storage = openStorage({
    folder: resolve(process.env.SLOW_POT_DATA ?? join(process.cwd(), 'data/kitchen')),
  });
  const { batches, broken, lots } = rebuild(storage);
  storage.close();
  const aside = broken > 0 ? `, ${broken} of them set aside` : '';
  console.log(`Made anew: ${batches} batches${aside}, ${lots} lots.`);
} catch (error) {
  if (!(error instanceof FileProblem)) throw error;
  console.error(error.message);
  process.exit(1);
}
