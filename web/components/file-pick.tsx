import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button } from './button';

/** A file from this device, handed on as text. */
export function FilePick({
  label,
  accept,
  onText,
  kind = 'plain',
}: {
  label: string;
  kind?: 'plain' | 'quiet';
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
      <Button kind={kind} isDisabled={isBusy}>
        {label}
      </Button>
    </FileTrigger>
  );
}
