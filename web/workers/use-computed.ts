import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { commonWords } from '../words';
import type { ComputationName, Computations, OrderComputation } from './computations';

interface Turn {
  resolve: (answer: never) => void;
  reject: (error: Error) => void;
}

/** Questions that one worker answers in turn; it is started with the first, and another one after it breaks. */
function askedInTurn() {
  const turns = new Map<number, Turn>();
  let worker: Worker | null = null;
  let lastTurn = 0;

  function start(): Worker {
    const started = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' });
    started.onmessage = ({ data }: MessageEvent<{ turn: number; answer?: never; refused?: string }>) => {
      const waiting = turns.get(data.turn);
      turns.delete(data.turn);
      if (data.refused !== undefined) waiting?.reject(new RangeError(data.refused));
      else waiting?.resolve(data.answer as never);
    };
    const onCrash = () => {
      if (worker !== started) return;
      started.terminate();
      worker = null;
      for (const [turn, waiting] of [...turns]) {
        turns.delete(turn);
        waiting.reject(new WorkerCrash());
      }
    };
    started.onerror = onCrash;
    started.onmessageerror = onCrash;
    return started;
  }

  return <Name extends ComputationName>(
    name: Name,
    asked: Computations[Name]['asked'],
  ): Promise<Computations[Name]['answer']> => {
    worker ??= start();
    lastTurn += 1;
    const turn = lastTurn;
    worker.postMessage({ turn, name, asked });
    return new Promise((resolve, reject) => turns.set(turn, { resolve: resolve as Turn['resolve'], reject }));
  };
}

/** What a press asks: it does not wait behind what the page works out by itself. */
export const compute = askedInTurn();

/** What a page works out by itself, as the order changes. */
export const computeBeside = askedInTurn();

/** What was being worked out is lost; the next question starts another worker. */
export class WorkerCrash extends Error {
  constructor() {
    super(commonWords.thisCouldNotBeWorked);
  }
}

/**
 * A computation that follows its question; the last answer stays on the page while the next is worked out, and says by
 * `isOld` that it answers another question: what it offers is not to be pressed then.
 */
export function useComputed<Name extends OrderComputation>(
  name: Name,
  asked: Computations[Name]['asked'] | null,
  isWanted = true,
) {
  const question = asked && JSON.stringify(questionOf(asked));
  const { data, isPending, error } = useQuery({
    queryKey: ['computed', name, question, asked?.nowMs],
    queryFn: async () => ({
      question,
      answer: await computeBeside(name, asked as Computations[Name]['asked']),
    }),
    enabled: asked !== null && isWanted,
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    retry: (count, error) => error instanceof WorkerCrash && count < 2,
    retryDelay: 500,
  });
  return {
    data: data?.answer,
    isPending,
    isOld: data !== undefined && data.question !== question,
    error,
  };
}

/** What the answer turns on but the moment: the order and the versions of what it is planned from, not every byte. */
function questionOf(asked: Computations[OrderComputation]['asked']): unknown {
  const { kitchen, book, lots, nowMs: _nowMs, ...rest } = asked;
  const { clock: _clock, ...still } = kitchen;
  const shelf = lots.map((lot) => [lot.id, lot.leftKg, lot.useByMs, lot.mayBePast, lot.storage]);
  const { recipe, ...order } = 'recipe' in rest ? rest : { ...rest, recipe: null };
  return [order, recipe?.id, recipe?.version, book.map((one) => `${one.id} ${one.version}`), shelf, still];
}
