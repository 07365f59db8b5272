import { useState } from 'react';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Over } from '../../components/text';
import { allowNotices, isMuted, setMuted } from '../../data/alarm';

/** How this device calls: with sound or without, and with notices where the page is out of sight. */
export function CallSettings() {
  const [muted, setMutedHere] = useState(isMuted);
  const [answer, setAnswer] = useState<string | null>(null);
  return (
    <div>
      <Choice
        label="When a pot calls, on this device"
        value={muted ? 'silent' : 'sound'}
        options={[
          { value: 'sound', text: 'with sound' },
          { value: 'silent', text: 'by sight only' },
        ]}
        onChange={(next) => {
          setMuted(next === 'silent');
          setMutedHere(next === 'silent');
        }}
      />
      <Button
        kind="quiet"
        onPress={async () =>
          setAnswer(
            (await allowNotices())
              ? 'Notices come when this page is out of sight.'
              : 'The browser allows no notices here; the call stands on the page and sounds.',
          )
        }
      >
        Also show notices
      </Button>
      <Over role="status">{answer}</Over>
    </div>
  );
}
