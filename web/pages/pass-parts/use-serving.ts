import { useState } from 'react';
import { toComeOut } from '../../../core/batch';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

/** What is asked before it goes out: so many of a kind, for an order or for nobody in particular. */
export interface Serving {
  kindId: string;
  portions: number;
  orderId?: string;
}

export interface ServingHere {
  serve: (what: Serving) => void;
  /** what waits for what hangs in the pot */
  asked: Serving | null;
  refusals: string[];
  put: (overrideReason: string) => Promise<void>;
  forget: () => void;
}

/** Portions out, each said to the log; the first is held back while something hangs in the pot. */
export function useServing(here: BatchHere): ServingHere {
  const { tell, refusals, forget } = useSubmit(here.batch.id);
  const [asked, setAsked] = useState<Serving | null>(null);
  const say = (what: Serving, overrideReason = '') =>
    tell({
      type: 'portioned',
      payload: { ...what, fate: 'served', ...(overrideReason ? { overrideReason } : {}) },
    });
  return {
    asked,
    refusals,
    serve: (what) => {
      if (toComeOut(here.pot.state).length > 0) setAsked(what);
      else void say(what);
    },
    put: async (overrideReason) => {
      if (asked && (await say(asked, overrideReason))) setAsked(null);
    },
    forget: () => {
      setAsked(null);
      forget();
    },
  };
}
