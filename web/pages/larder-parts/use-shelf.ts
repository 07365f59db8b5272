import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import type { LarderEventBody } from '../../../core/larder';
import { LARDER, submitEvents } from '../../data/outbox';
import { KEYS } from '../../data/queries';

/** Says what was done on the shelf in one go; what the server would not have comes back as sentences. */
export function useShelf(): {
  tell: (...bodies: LarderEventBody[]) => Promise<boolean>;
  refusals: string[];
} {
  const client = useQueryClient();
  const [refusals, setRefusals] = useState<string[]>([]);
  const tell = useCallback(
    async (...bodies: LarderEventBody[]) => {
      setRefusals([]);
      const answer = await submitEvents(LARDER, bodies);
      if (answer.kind === 'refused') {
        setRefusals(answer.errors.map((error) => error.sentence));
        return false;
      }
      await client.invalidateQueries({ queryKey: KEYS.lots });
      return true;
    },
    [client],
  );
  return { tell, refusals };
}
