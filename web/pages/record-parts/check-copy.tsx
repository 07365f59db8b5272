import styled from 'styled-components';
import type { CopyFound } from '../../../contract';
import { FilePick } from '../../components/file-pick';
import { Caution, Errors, Soft } from '../../components/text';
import { useRecordCheck } from '../../data/queries';
import { recordWords } from '../../words';

/** Under the row of presses it stands among. */
const Found = styled.div`
  order: 1;
  flex-basis: 100%;
  &:empty {
    display: none;
  }
`;

/** A file of a record, held against its own hashes and against the kitchen. */
export function CheckCopy() {
  const check = useRecordCheck();
  return (
    <>
      <FilePick
        label={recordWords.checkACopy}
        accept=".csv,.jsonl,text/csv"
        onText={(_name, text) => check.mutate(text)}
      />
      <Found role="status">
        {check.data &&
          (check.data.kind === 'whole' ? (
            <Soft>{foundWords(check.data)}</Soft>
          ) : (
            <Caution>{foundWords(check.data)}</Caution>
          ))}
      </Found>
      {check.error && <Errors sentences={[check.error.message]} />}
    </>
  );
}

function foundWords(found: CopyFound): string {
  const { copy } = recordWords;
  switch (found.kind) {
    case 'noRecord':
      return copy.noRecord;
    case 'changed':
      return copy.changed(found.line);
    case 'cut':
      return copy.cut(found.lines);
    case 'whole':
      return `${copy.whole(found.lines, found.kitchen)} ${found.isAsNow ? copy.isAsNow : copy.isOlder}`;
  }
}
