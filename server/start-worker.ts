import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Worker, type WorkerOptions } from 'node:worker_threads';

/**
 * A worker that lies beside the build, or beside its caller where the sources run as they are.
 *
 * @param name of its file, without ending
 * @param besideUrl `import.meta.url` of the caller
 */
export function startWorker(name: string, besideUrl: string, options: WorkerOptions = {}): Worker {
  const built = new URL(`./${name}.js`, besideUrl);
  if (existsSync(fileURLToPath(built))) return new Worker(built, options);
  const source = JSON.stringify(new URL(`./${name}.ts`, besideUrl).href);
  const load = `import('tsx/esm/api').then(({ tsImport }) => tsImport(${source}, ${source}))`;
  return new Worker(load, { ...options, eval: true });
}
