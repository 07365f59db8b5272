import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import {
  type BurnerView,
  check,
  HEAT_KINDS,
  ITEM_SCHEMAS,
  type ItemOf,
  type KitchenView,
  typedNumber,
} from '../../../contract';
import {
  DIAL_KINDS,
  type Dial,
  type DialKind,
  EFFICIENCY,
  firstDial,
  type LearnedMark,
  learnedMarks,
} from '../../../core/kitchen';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { useOneAtATime } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft } from '../../components/text';
import { Tick } from '../../components/tick';
import { ApiError, sentencesOf } from '../../data/api';
import { useKitchenChange, useLearned } from '../../data/queries';
import { space } from '../../theme/tokens';
import { decimal, HEAT_WORDS, heatingWords } from '../../words';
import { HeatTestSheet } from './heat-test';
import { ItemList } from './item-list';
import { LearnedTable } from './learned-table';
import { useTouched } from './use-touched';

const Form = styled.form`
  display: grid;
  gap: ${space.m};
  max-width: 520px;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space.m};
`;

/** The burners: what each is rated, how it is set, what is known of what it gives. */
export function HeatSection({ kitchen }: { kitchen: KitchenView }) {
  const [edited, setEdited] = useState<BurnerView | 'new' | null>(
    kitchen.burners.length === 0 ? 'new' : null,
  );
  const [tested, setTested] = useState<BurnerView | null>(null);
  const [merged, setMerged] = useState<BurnerView | null>(null);
  const { data: learned } = useLearned();
  return (
    <>
      <ItemList
        kind="burner"
        title={heatingWords.heat}
        items={kitchen.burners}
        kitchen={kitchen}
        empty={heatingWords.aBurnerAPlateA}
        about={(burner) => (
          <>
            {heatingWords.kwRated(
              HEAT_WORDS[burner.kind],
              decimal(burner.powerW / 1000, 1),
              knownWords(burner),
            )}
            {burner.dial && (
              <div>
                {dialWords(
                  learnedMarks(
                    burner.dial,
                    (learned?.rates ?? []).filter((rate) => rate.burnerId === burner.id),
                    burner.heatFactor.mean,
                  ),
                )}
              </div>
            )}
          </>
        )}
        more={(burner) => (
          <>
            {kitchen.pots.length > 0 && (
              <Button
                kind="quiet"
                onPress={() => setTested(burner)}
                aria-label={heatingWords.test(burner.name)}
              >
                {heatingWords.fiveMinuteTest}
              </Button>
            )}
            {kitchen.burners.length > 1 && (
              <Button
                kind="quiet"
                onPress={() => setMerged(burner)}
                aria-label={heatingWords.merge(burner.name)}
              >
                {heatingWords.merge2}
              </Button>
            )}
          </>
        )}
        onEdit={(burner) => setEdited(burner ?? 'new')}
      />
      <LearnedTable kitchen={kitchen} />
      {edited && (
        <Sheet
          title={edited === 'new' ? heatingWords.addABurner : heatingWords.edit(edited.name)}
          isOpen
          onClose={() => setEdited(null)}
        >
          <BurnerForm
            burner={edited === 'new' ? null : edited}
            kitchen={kitchen}
            onDone={() => setEdited(null)}
          />
        </Sheet>
      )}
      {tested && <HeatTestSheet burner={tested} kitchen={kitchen} onClose={() => setTested(null)} />}
      {merged && <MergeSheet burner={merged} kitchen={kitchen} onClose={() => setMerged(null)} />}
    </>
  );
}

function knownWords({ powerW, efficiency, heatFactor }: BurnerView): string {
  const kW = decimal((powerW * efficiency * heatFactor.mean) / 1000, 2);
  const { batches, tests = 0, sd, mean } = heatFactor;
  if (batches + tests === 0) return heatingWords.aboutKwIntoThePot(kW, Math.round(100 * sd));
  const by = [
    ...(tests > 0 ? [tests === 1 ? heatingWords.oneTest : heatingWords.tests(tests)] : []),
    ...(batches > 0 ? [batches === 1 ? heatingWords.oneBatch : heatingWords.batches(batches)] : []),
  ];
  return heatingWords.kwIntoThePotFrom(kW, Math.round((100 * sd) / mean), by.join(' and '));
}

/** What each setting gives of full heat; the guesses, which no pot has shown yet, in brackets. */
function dialWords(marks: readonly LearnedMark[]): string {
  const words = marks.map((mark) => {
    const gives = `${Math.round(100 * mark.gives.mean)} %`;
    return `${mark.word}: ${mark.seen > 0 ? gives : `(${gives})`}`;
  });
  return heatingWords.ofFullGuessesInBrackets(words.join(', '));
}

const DIAL_WORDS: Readonly<Record<DialKind, string>> = {
  percent: 'percent',
  marks: 'numbers',
  words: heatingWords.lowMediumHigh,
  flame: heatingWords.heightOfTheFlame,
};

function dialKindOf(dial: Dial | undefined): DialKind {
  const words = (of: Dial | undefined) => of?.map((mark) => mark.word).join();
  const isLike = (kind: DialKind) => words(firstDial(kind, dial?.length ?? 9)) === words(dial);
  return DIAL_KINDS.find(isLike) ?? 'percent';
}

function BurnerForm({
  burner,
  kitchen,
  onDone,
}: {
  burner: ItemOf<'burner'> | null;
  kitchen: KitchenView;
  onDone: () => void;
}) {
  const [id] = useState(() => burner?.id ?? uuid());
  const [name, setName] = useState(burner?.name ?? '');
  const [kind, setKind] = useState<ItemOf<'burner'>['kind']>(burner?.kind ?? 'gas');
  const [power, setPower] = useState(burner ? String(burner.powerW / 1000) : '');
  const [dial, setDial] = useState<DialKind>(dialKindOf(burner?.dial));
  const [marks, setMarks] = useState(
    String(burner?.dial && dialKindOf(burner.dial) === 'marks' ? burner.dial.length : 9),
  );
  const [potIds, setPotIds] = useState<readonly string[]>(
    burner?.potIds ?? kitchen.pots.map((pot) => pot.id),
  );
  const [errors, setErrors] = useState<readonly string[]>([]);
  const change = useKitchenChange();
  const touched = useTouched('burner', id);
  const keep = useOneAtATime(async () => {
    const kW = typedNumber(power);
    const numbers = typedNumber(marks) ?? 0;
    if (dial === 'marks' && !(Number.isInteger(numbers) && numbers >= 2 && numbers <= 12))
      return setErrors([heatingWords.theHighestNumberOnIt]);
    const isSame =
      burner?.dial &&
      dialKindOf(burner.dial) === dial &&
      (dial !== 'marks' || burner.dial.length === numbers);
    const dialSaid = isSame ? burner.dial : firstDial(dial, numbers);
    const held = check(ITEM_SCHEMAS.burner, {
      id,
      name,
      kind,
      powerW: kW === null ? power : kW * 1000,
      efficiency: burner?.kind === kind ? burner.efficiency : EFFICIENCY[kind],
      potIds,
      ...(dialSaid ? { dial: dialSaid } : {}),
    });
    if (!held.ok) return setErrors(held.errors.map((one) => one.sentence));
    try {
      await change.mutateAsync({ change: 'save', kind: 'burner', item: held.value });
      onDone();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setErrors(sentencesOf(error));
    }
  });
  return (
    <Form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <SmallField label={heatingWords.nameOfTheBurner} value={name} onChange={setName} />
      <Choice
        label={heatingWords.heat}
        value={kind}
        options={HEAT_KINDS.map((one) => ({ value: one, text: HEAT_WORDS[one] }))}
        onChange={setKind}
      />
      <SmallField label={heatingWords.rated} unit="kW" value={power} onChange={setPower} />
      <Choice
        label={heatingWords.youSetItBy}
        value={dial}
        options={DIAL_KINDS.map((one) => ({ value: one, text: DIAL_WORDS[one] }))}
        onChange={setDial}
      />
      {dial === 'marks' && (
        <SmallField
          label={heatingWords.highestNumberOnIt}
          inputMode="decimal"
          value={marks}
          onChange={setMarks}
        />
      )}
      {kitchen.pots.length > 0 && (
        <div>
          <Over>{heatingWords.potsThatStandOnIt}</Over>
          <Row role="group" aria-label={heatingWords.potsThatStandOnIt}>
            {kitchen.pots.map((pot) => (
              <Tick
                key={pot.id}
                isOn={potIds.includes(pot.id)}
                onChange={(isOn) =>
                  setPotIds(isOn ? [...potIds, pot.id] : potIds.filter((one) => one !== pot.id))
                }
              >
                {pot.name}
              </Tick>
            ))}
          </Row>
        </div>
      )}
      <Over>{heatingWords.ofAboutReachesAPot(HEAT_WORDS[kind], Math.round(100 * EFFICIENCY[kind]))}</Over>
      {burner && touched && <Soft>{touched}</Soft>}
      <Errors sentences={errors} />
      <Row>
        <Button kind="main" type="submit">
          {heatingWords.saveThisBurner}
        </Button>
        <Button kind="quiet" onPress={onDone}>
          {heatingWords.cancel}
        </Button>
      </Row>
    </Form>
  );
}

/** Two burners that are one: what each has shown is added up as the other's. */
function MergeSheet({
  burner,
  kitchen,
  onClose,
}: {
  burner: BurnerView;
  kitchen: KitchenView;
  onClose: () => void;
}) {
  const others = kitchen.burners.filter((one) => one.id !== burner.id);
  const [intoId, setIntoId] = useState(others[0]!.id);
  const change = useKitchenChange();
  return (
    <Sheet title={heatingWords.merge(burner.name)} isOpen onClose={onClose}>
      <p>{heatingWords.forOneBurnerThatWas(burner.name)}</p>
      <Choice
        label={heatingWords.itIsTheSameAs}
        value={intoId}
        options={others.map((one) => ({ value: one.id, text: one.name }))}
        onChange={setIntoId}
      />
      <Soft>{heatingWords.noNewPlanUsesBatches(burner.name)}</Soft>
      <Errors sentences={change.error ? [change.error.message] : []} />
      <Button
        kind="main"
        onPress={() =>
          change.mutate(
            { change: 'merge', kind: 'burner', itemId: burner.id, intoId },
            { onSuccess: onClose },
          )
        }
      >
        {heatingWords.mergeThem}
      </Button>
    </Sheet>
  );
}
