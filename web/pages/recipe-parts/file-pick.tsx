import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../../components/button';

/** A file from this device, handed on as text. */
export function FilePick({
  label,
  accept,
  onText,
}: {
  label: string;
  accept: string;
  onText: (name: string, text: string) => void;
}) {
  const [isBusy, setBusy] = useState(false);
  return (
    <FileTrigger
      acceptedFileTypes={accept.split(',')}
      onSelect={async (files) => {
        const file = files?.[0];
        if (!file) return;
        setBusy(true);
        onText(file.name, await file.text());
        setBusy(false);
      }}
    >
      <Button isDisabled={isBusy}>{label}</Button>
    </FileTrigger>
  );
}
