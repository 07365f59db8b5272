import { tastersDiffer } from '../../../core/taste';
import { Soft } from '../../components/text';
import { adjustWords, SCALE_WORDS, verdictWords } from '../../words';
import type { BatchHere } from '../batch-frame';

/** Two cooks who tasted the same pot: shown only when both have said, so that neither sways the other. */
export function Differing({ here }: { here: BatchHere }) {
  const { tastings, dosed } = here.pot.state;
  const differ = tastersDiffer(tastings, Math.max(0, ...dosed.map((one) => one.atMs)));
  if (!differ) return null;
  const { first, second, on } = differ;
  const { colour } = here.batch.snapshot.input.recipe;
  const words = on.map((one) =>
    adjustWords.theyDiffer(
      SCALE_WORDS[one.scale],
      first,
      verdictWords(one.scale, one.first, colour),
      second,
      verdictWords(one.scale, one.second, colour),
    ),
  );
  return (
    <Soft role="status">
      {adjustWords.twoTasted(first, second)} {words.length > 0 ? words.join(' ') : adjustWords.ofOneMind}
    </Soft>
  );
}
