import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import {
  check,
  ITEM_SCHEMAS,
  type KitchenPot,
  type KitchenView,
  litres,
  typedNumber,
  vesselSchema,
} from '../../../contract';
import {
  brimSdWithLevel,
  fitVessel,
  type Vessel,
  type WaterLevel,
  worthOfMeasuring,
} from '../../../core/vessel';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { useOneAtATime } from '../../components/form';
import { SmallField } from '../../components/small-field';
import { Errors, FigureText, Over, Soft, Title } from '../../components/text';
import { Tick } from '../../components/tick';
import { ApiError, sentencesOf } from '../../data/api';
import { type KitchenChangeBody, useKitchenChange } from '../../data/queries';
import { colour, media, space } from '../../theme/tokens';
import { brimLitres, levelWords, SHAPE_WORDS } from '../../words/kitchen';
import { useTouched } from './item-list';
import { PotDrawing } from './pot-drawing';
import { COMMON_POTS, guessedMassKg } from './pot-sizes';

const Sides = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: ${space.l};
  > div {
    display: grid;
    gap: ${space.m};
    align-content: start;
  }
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
    > div:first-child {
      order: 2;
      justify-items: center;
    }
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: end;
  > div {
    width: 116px;
  }
`;

const Levels = styled.div`
  display: grid;
  grid-template-columns: 104px 104px 1fr;
  gap: ${space.s};
  align-items: center;
`;

const Worth = styled.p`
  border-left: 4px solid ${colour.act};
  padding: 2px 0 2px ${space.m};
`;

type Shape = Exclude<Vessel['shape'], 'measured'>;
const SHAPES: readonly Shape[] = ['cylinder', 'tapered', 'kettle', 'box'];

/** Which measures a shape has, and what they are called. */
const MEASURES: Readonly<Record<Shape, readonly { name: string; label: string }[]>> = {
  cylinder: [
    { name: 'diameterCm', label: 'Across, inside' },
    { name: 'heightCm', label: 'High, inside' },
  ],
  tapered: [
    { name: 'bottomDiameterCm', label: 'Across the bottom' },
    { name: 'topDiameterCm', label: 'Across the top' },
    { name: 'heightCm', label: 'High, inside' },
  ],
  kettle: [
    { name: 'diameterCm', label: 'Across, inside' },
    { name: 'heightCm', label: 'High, with its bowl' },
  ],
  box: [
    { name: 'lengthCm', label: 'Long, inside' },
    { name: 'widthCm', label: 'Wide, inside' },
    { name: 'heightCm', label: 'High, inside' },
  ],
};

/** Steam that leaves an open pot on a common burner, L an hour: for what a wrong shape would have cost. Common practice. */
const USUAL_L_PER_H = 5;

interface TypedLevel {
  id: string;
  litres: string;
  depth: string;
}

const noLevel = (): TypedLevel => ({ id: uuid(), litres: '', depth: '' });

/** A pot: by its inside measures, or by water poured in and a stick read. What it comes to is drawn as it is typed. */
export function PotForm({
  pot,
  kitchen,
  onDone,
}: {
  pot: KitchenPot | null;
  kitchen: KitchenView;
  onDone: () => void;
}) {
  const [id] = useState(() => pot?.id ?? uuid());
  const [name, setName] = useState(pot?.name ?? '');
  const [how, setHow] = useState<'size' | 'water'>(
    pot?.levels || pot?.vessel.shape === 'measured' ? 'water' : 'size',
  );
  const [shape, setShape] = useState<Shape>(shapeOf(pot?.vessel));
  const [measures, setMeasures] = useState<Record<string, string>>(() => typedMeasures(pot?.vessel));
  const [isRound, setRound] = useState(pot?.vessel.shape !== 'box');
  const [levels, setLevels] = useState<TypedLevel[]>(() => typedLevels(pot));
  const [mass, setMass] = useState(pot ? String(pot.emptyMassKg) : '');
  const [burnerIds, setBurnerIds] = useState<readonly string[]>(() =>
    kitchen.burners
      .filter((one) => (pot ? one.potIds.includes(pot.id) : one.kind !== 'steam'))
      .map((one) => one.id),
  );
  const [learned, setLearned] = useState<'keep' | 'anew'>('keep');
  const [errors, setErrors] = useState<readonly string[]>([]);
  const change = useKitchenChange();
  const touched = useTouched('pot', id);

  const read = levelsRead(levels);
  const heightCm = typedNumber(measures.heightCm ?? '') ?? 0;
  const fitted = how === 'water' ? fitOf(read, heightCm, isRound) : null;
  const vessel = how === 'water' ? (fitted?.vessel ?? null) : vesselOf(shape, measures);
  const isOtherPot = pot !== null && vessel !== null && JSON.stringify(vessel) !== JSON.stringify(pot.vessel);

  const keep = useOneAtATime(async () => {
    const emptyMassKg = mass.trim() === '' && vessel ? guessedMassKg(brimLitres(vessel)) : typedNumber(mass);
    const made = {
      id,
      name,
      vessel: vessel ?? { shape, ...meantMeasures(shape, measures) },
      emptyMassKg: emptyMassKg ?? mass,
      ...(how === 'water' ? { levels: read } : {}),
    };
    if (how === 'water' && !fitted) {
      setErrors(['Type its height and two levels or more, each more water and higher than the one before.']);
      return;
    }
    const held = check(ITEM_SCHEMAS.pot, made);
    if (!held.ok) {
      setErrors(held.errors.map((one) => one.sentence));
      return;
    }
    const body: KitchenChangeBody = {
      change: 'save',
      kind: 'pot',
      item: held.value,
      burnerIds: [...burnerIds],
    };
    try {
      await change.mutateAsync(isOtherPot ? { ...body, learned } : body);
      onDone();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setErrors(sentencesOf(error));
    }
  });

  return (
    <Sides
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div>
        <Title>{name || (pot ? pot.name : 'A pot')}</Title>
        {vessel ? (
          <PotDrawing vessel={vessel} levels={how === 'water' ? read : []} />
        ) : (
          <Soft>It is drawn here as you type.</Soft>
        )}
        {fitted && <Found of={fitted} levels={read} heightCm={heightCm} isRound={isRound} />}
        {how === 'size' && vessel && (
          <div>
            <Over>brims at</Over>
            <FigureText>{litres(brimLitres(vessel))}</FigureText>
          </div>
        )}
      </div>
      <div>
        {!pot && how === 'size' && (
          <div>
            <Over>Common sizes, to start from</Over>
            <Row as="div">
              {COMMON_POTS.map((one) => (
                <Button
                  key={one.name}
                  kind="quiet"
                  onPress={() => {
                    setName(one.name);
                    setShape(shapeOf(one.vessel));
                    setMeasures(typedMeasures(one.vessel));
                    setMass(String(one.emptyMassKg));
                  }}
                >
                  {one.name}
                </Button>
              ))}
            </Row>
          </div>
        )}
        <SmallField label="Name of the pot" value={name} onChange={setName} />
        <Choice
          label="Its measures"
          value={how}
          options={[
            { value: 'size', text: 'Type its size' },
            { value: 'water', text: 'Measure by water' },
          ]}
          onChange={setHow}
        />
        {how === 'size' ? (
          <>
            <Choice
              label="Shape"
              value={shape}
              options={SHAPES.map((one) => ({ value: one, text: SHAPE_WORDS[one] }))}
              onChange={setShape}
            />
            <Row>
              {MEASURES[shape].map((one) => (
                <SmallField
                  key={one.name}
                  label={one.label}
                  unit="cm"
                  value={measures[one.name] ?? ''}
                  onChange={(text) => setMeasures((before) => ({ ...before, [one.name]: text }))}
                />
              ))}
            </Row>
          </>
        ) : (
          <>
            <div>
              <strong>Pour, read the stick, twice or more</strong>
              <Over>Five litres at a time, from any jug you trust.</Over>
            </div>
            <Row>
              <SmallField
                label="Bottom to rim"
                unit="cm"
                value={measures.heightCm ?? ''}
                onChange={(text) => setMeasures((before) => ({ ...before, heightCm: text }))}
              />
              <Tick isOn={!isRound} onChange={(isOn) => setRound(!isOn)}>
                It has corners
              </Tick>
            </Row>
            <Levels>
              <Over>litres in</Over>
              <Over>stick, cm</Over>
              <span />
              {levels.map((level, i) => (
                <LevelRow
                  key={level.id}
                  level={level}
                  n={i + 1}
                  note={
                    fitted && i < read.length ? levelWords(fitted, fitted.straight, i, read[i]!.depthCm) : ''
                  }
                  onChange={(next) =>
                    setLevels((all) => all.map((one) => (one.id === level.id ? next : one)))
                  }
                />
              ))}
            </Levels>
            <span>
              <Button onPress={() => setLevels((all) => [...all, noLevel()])}>Another level</Button>
            </span>
          </>
        )}
        <SmallField
          label={
            vessel && mass.trim() === ''
              ? `Weight empty (about ${guessedMassKg(brimLitres(vessel))} kg is taken if left open)`
              : 'Weight empty'
          }
          unit="kg"
          value={mass}
          onChange={setMass}
        />
        {kitchen.burners.length > 0 && (
          <div>
            <Over>Burners it stands on</Over>
            <Row as="div" role="group" aria-label="Burners it stands on">
              {kitchen.burners.map((burner) => (
                <Tick
                  key={burner.id}
                  isOn={burnerIds.includes(burner.id)}
                  onChange={(isOn) =>
                    setBurnerIds(
                      isOn ? [...burnerIds, burner.id] : burnerIds.filter((id) => id !== burner.id),
                    )
                  }
                >
                  {burner.name}
                </Tick>
              ))}
            </Row>
          </div>
        )}
        {isOtherPot && (
          <>
            <Choice
              label="What was learned in the old measures"
              value={learned}
              options={[
                { value: 'keep', text: 'keep it' },
                { value: 'anew', text: 'start anew' },
              ]}
              onChange={setLearned}
            />
            {touched && <Soft>{touched}</Soft>}
          </>
        )}
        <Errors sentences={errors} />
        <Row as="div">
          <Button kind="main" type="submit">
            {kitchen.pots.length === 0 ? 'Save the first pot' : 'Save this pot'}
          </Button>
          <Button kind="quiet" onPress={onDone}>
            Cancel
          </Button>
        </Row>
      </div>
    </Sides>
  );
}

function LevelRow({
  level,
  n,
  note,
  onChange,
}: {
  level: TypedLevel;
  n: number;
  note: string;
  onChange: (level: TypedLevel) => void;
}) {
  return (
    <>
      <SmallField
        label={`Level ${n}, litres poured in`}
        isLabelHidden
        inputMode="decimal"
        value={level.litres}
        onChange={(text) => onChange({ ...level, litres: text })}
      />
      <SmallField
        label={`Level ${n}, centimetres on the stick`}
        isLabelHidden
        inputMode="decimal"
        value={level.depth}
        onChange={(text) => onChange({ ...level, depth: text })}
      />
      <Over>{note}</Over>
    </>
  );
}

/** What the levels come to, how sure that is, and what measuring was worth. */
function Found({
  of,
  levels,
  heightCm,
  isRound,
}: {
  of: ReturnType<typeof fitVessel>;
  levels: readonly WaterLevel[];
  heightCm: number;
  isRound: boolean;
}) {
  const { brim, vessel, straight } = of;
  const isMeasured = vessel.shape === 'measured';
  const nearTop = heightCm * 0.92;
  const better =
    levels.at(-1)!.depthCm < 0.8 * heightCm
      ? brimSdWithLevel({ levels, heightCm, isRound }, nearTop)
      : brim.sd;
  const worth = isMeasured ? worthOfMeasuring(vessel, straight.vessel, USUAL_L_PER_H) : null;
  return (
    <>
      <div>
        <Over>brims at</Over>
        <FigureText>{litres(brim.litres)}</FigureText>
        <Over>
          ± {litres(brim.sd)}
          {better < 0.7 * brim.sd && `; one more level near the top makes that ± ${litres(better)}`}
        </Over>
      </div>
      <Soft>
        Kept as {SHAPE_WORDS[vessel.shape]}
        {isMeasured ? ': no plain shape comes within 2 %.' : `, within ${(100 * of.misfit).toFixed(1)} %.`}
      </Soft>
      {worth && (
        <Worth>
          A straight pot of its width would have been {litres(Math.abs(worth.litresOffAtHalf))} off at half. A
          third gone would have been called {Math.abs(worth.minutesEarly).toFixed(0)} min{' '}
          {worth.minutesEarly > 0 ? 'early' : 'late'}.
        </Worth>
      )}
    </>
  );
}

function shapeOf(vessel: Vessel | undefined): Shape {
  return vessel && vessel.shape !== 'measured' ? vessel.shape : 'cylinder';
}

function typedMeasures(vessel: Vessel | undefined): Record<string, string> {
  if (!vessel) return {};
  return Object.fromEntries(
    Object.entries(vessel).flatMap(([name, value]) =>
      typeof value === 'number' ? [[name, String(Math.round(value * 10) / 10)]] : [],
    ),
  );
}

function typedLevels(pot: KitchenPot | null): TypedLevel[] {
  const known = pot?.levels ?? (pot?.vessel.shape === 'measured' ? pot.vessel.levels : []);
  const typed = known.map((one) => ({ id: uuid(), litres: String(one.litres), depth: String(one.depthCm) }));
  return typed.length > 0 ? typed : [noLevel(), noLevel(), noLevel()];
}

/** The levels that are typed in full, in their order. */
function levelsRead(levels: readonly TypedLevel[]): WaterLevel[] {
  return levels.flatMap((level) => {
    const poured = typedNumber(level.litres);
    const depthCm = typedNumber(level.depth);
    return poured === null || depthCm === null ? [] : [{ litres: poured, depthCm }];
  });
}

function fitOf(levels: readonly WaterLevel[], heightCm: number, isRound: boolean) {
  if (levels.length < 2 || !(heightCm > 0)) return null;
  try {
    return fitVessel({ levels, heightCm, isRound });
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

function meantMeasures(
  shape: Shape,
  measures: Readonly<Record<string, string>>,
): Record<string, number | string> {
  return Object.fromEntries(
    MEASURES[shape].map(({ name }) => [name, typedNumber(measures[name] ?? '') ?? measures[name] ?? '']),
  );
}

/** Null while what is typed is no pot. */
function vesselOf(shape: Shape, measures: Readonly<Record<string, string>>): Vessel | null {
  const held = check(vesselSchema, { shape, ...meantMeasures(shape, measures) });
  return held.ok ? held.value : null;
}
