import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { check, ITEM_KINDS, type KitchenFile, kitchenFileSchema } from '../../../contract';
import { Button } from '../../components/button';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { type KitchenChangeBody, useKitchenChange } from '../../data/queries';
import { KIND_WORDS } from '../../words/kitchen';

type ReadFile = Extract<KitchenChangeBody, { change: 'import' }>['file'];

/** The kitchen out as a file and in from one: what it would bring is said before anything is changed. */
export function MoveKitchen() {
  const [file, setFile] = useState<ReadFile | null>(null);
  const [errors, setErrors] = useState<readonly string[]>([]);
  const change = useKitchenChange();
  async function read(files: FileList | null): Promise<void> {
    const text = await files?.[0]?.text();
    if (text === undefined) return;
    const held = check(kitchenFileSchema, parsed(text));
    setFile(held.ok ? held.value : null);
    setErrors(held.ok ? [] : held.errors.slice(0, 3).map((one) => `${one.field}: ${one.sentence}`));
  }
  return (
    <section>
      <Subtitle>Move this kitchen</Subtitle>
      <Soft>One file with its place, pots, heat, services, people and limits. The log stays here.</Soft>
      <p>
        <a href="/api/kitchen.json" download="kitchen.json">
          Export the kitchen
        </a>
      </p>
      <FileTrigger acceptedFileTypes={['application/json', '.json']} onSelect={(files) => void read(files)}>
        <Button>Import a kitchen</Button>
      </FileTrigger>
      <Errors sentences={[...errors, ...(change.error ? [change.error.message] : [])]} />
      {file && (
        <div>
          <p>
            {file.place.name ?? 'A kitchen'}: {countsOf(file as KitchenFile)}. What has the same id here is
            replaced, the rest is added.
          </p>
          <Over>Batches that are cooking keep what they began with.</Over>
          <Button
            kind="main"
            onPress={() => change.mutate({ change: 'import', file }, { onSuccess: () => setFile(null) })}
          >
            Import it
          </Button>
        </div>
      )}
    </section>
  );
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function countsOf(file: KitchenFile): string {
  return ITEM_KINDS.flatMap((kind) => {
    const n = file.items[kind]?.length ?? 0;
    return n > 0 ? [`${n} ${KIND_WORDS[kind].one}${n === 1 ? '' : 's'}`] : [];
  }).join(', ');
}
