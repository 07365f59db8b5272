import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { check, ITEM_KINDS, type KitchenFile, kitchenFileSchema } from '../../../contract';
import { Button } from '../../components/button';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { type KitchenChangeBody, useKitchenChange } from '../../data/queries';
import { KIND_WORDS, kitchenWords } from '../../words';

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
      <Subtitle>{kitchenWords.moveThisKitchen}</Subtitle>
      <Soft>{kitchenWords.oneFileWithItsPlace}</Soft>
      <p>
        <a href="/api/kitchen.json" download="kitchen.json">
          {kitchenWords.exportTheKitchen}
        </a>
      </p>
      <FileTrigger acceptedFileTypes={['application/json', '.json']} onSelect={(files) => void read(files)}>
        <Button>{kitchenWords.importAKitchen}</Button>
      </FileTrigger>
      <Errors sentences={[...errors, ...(change.error ? [change.error.message] : [])]} />
      {file && (
        <div>
          <p>
            {kitchenWords.whatHasTheSameId(
              file.place.name ?? kitchenWords.aKitchen,
              countsOf(file as KitchenFile),
            )}
          </p>
          <Over>{kitchenWords.batchesThatAreCookingKeep}</Over>
          <Button
            kind="main"
            onPress={() => change.mutate({ change: 'import', file }, { onSuccess: () => setFile(null) })}
          >
            {kitchenWords.importIt}
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
