import { useCallback, useState } from 'react';
import type { BatchCommand } from '../../../core/rules';
import { submitEvents } from '../../data/outbox';

/** Says what was done to one batch in one go; what the server would not have comes back as sentences. */
export function useSubmit(batchId: string): {
  tell: (...bodies: BatchCommand[]) => Promise<boolean>;
  refusals: string[];
  forget: () => void;
} {
  const [refusals, setRefusals] = useState<string[]>([]);
  const tell = useCallback(
    async (...bodies: BatchCommand[]) => {
      setRefusals([]);
      const answer = await submitEvents(batchId, bodies);
      if (answer.kind === 'refused') {
        setRefusals(answer.errors.map((error) => error.sentence));
        return false;
      }
      return true;
    },
    [batchId],
  );
  const forget = useCallback(() => setRefusals([]), []);
  return { tell, refusals, forget };
}
