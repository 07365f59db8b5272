import type { LotStorage } from '../../core/matter';
import { commonWords } from '../words';
import { Choice } from './choice';

/** How a lot is kept. */
export function StorageChoice({
  value,
  onChange,
}: {
  value: LotStorage;
  onChange: (storage: LotStorage) => void;
}) {
  return (
    <Choice
      label={commonWords.storage}
      value={value}
      options={[
        { value: 'chilled', text: commonWords.chilled },
        { value: 'frozen', text: commonWords.frozen },
        { value: 'dry', text: commonWords.dry },
      ]}
      onChange={onChange}
    />
  );
}
