import { useEffect, useRef, useState } from 'react';
import type { ChoicesAsked, PotChoice } from './pot-choices';

/** The order in every pot, worked out off the page's own thread; the answer to the last question only. */
export function usePotChoices(asked: ChoicesAsked | null): PotChoice[] {
  const worker = useRef<Worker | null>(null);
  const turn = useRef(0);
  const [choices, setChoices] = useState<PotChoice[]>([]);
  useEffect(() => {
    const own = new Worker(new URL('./pot-choices.worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<{ turn: number; choices: PotChoice[] }>) => {
      if (data.turn === turn.current) setChoices(data.choices);
    };
    worker.current = own;
    return () => own.terminate();
  }, []);
  const key = asked ? JSON.stringify(asked.request) : null;
  // The question is its request; the kitchen and the recipe that come along do not change under it.
  useEffect(() => {
    if (!asked) return;
    turn.current += 1;
    worker.current?.postMessage({ turn: turn.current, asked });
  }, [key]);
  return choices;
}
