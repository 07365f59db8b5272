import { sentenceCase } from '../../contract';
import type { BatchHolds } from '../../core/batch';
import { commonWords, containsWords, dietWords, notAsOrdered } from '../words';
import { Caution, Over } from './text';

/** What a guest may be told of a dish, and what of it was never ordered. */
export function HoldsLine({ holds }: { holds: BatchHolds }) {
  return (
    <section aria-label={commonWords.contains}>
      <Over as="p">
        {containsWords(holds)}. {sentenceCase(dietWords(holds.diet))}.
      </Over>
      {notAsOrdered(holds).map((sentence) => (
        <Caution key={sentence}>{sentence}</Caution>
      ))}
    </section>
  );
}
