import { useState } from 'react';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { Over } from '../../components/text';
import { allowNotices, isMuted, setMuted } from '../../data/alarm';
import { kitchenWords } from '../../words';

/** How this device calls: with sound or without, and with notices where the page is out of sight. */
export function CallSettings() {
  const [muted, setMutedHere] = useState(isMuted);
  const [answer, setAnswer] = useState<string | null>(null);
  return (
    <div>
      <Choice
        label={kitchenWords.whenAPotCallsOn}
        value={muted ? 'silent' : 'sound'}
        options={[
          { value: 'sound', text: kitchenWords.withSound },
          { value: 'silent', text: kitchenWords.onScreenOnly },
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
              ? kitchenWords.noticesComeWhenThisPage
              : kitchenWords.theBrowserAllowsNoNotices,
          )
        }
      >
        {kitchenWords.alsoShowNotices}
      </Button>
      <Over role="status">{answer}</Over>
    </div>
  );
}
