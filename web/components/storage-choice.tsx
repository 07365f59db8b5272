import type { LotStorage } from '../../core/matter';
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
      label="Kept"
      value={value}
      options={[
        { value: 'chilled', text: 'chilled' },
        { value: 'frozen', text: 'frozen' },
        { value: 'dry', text: 'dry' },
      ]}
      onChange={onChange}
    />
  );
}
