import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { type KitchenPot, typedNumber } from '../../../contract';
import {
  brimSdWithLevel,
  type FittedVessel,
  fitVessel,
  type WaterLevel,
  worthOfMeasuring,
} from '../../../core/vessel';
import { Button } from '../../components/button';
import { SmallField } from '../../components/small-field';
import { FigureText, Over, Soft } from '../../components/text';
import { Tick } from '../../components/tick';
import { colour, space } from '../../theme/tokens';
import { decimal, levelWords, litres, potsWords, SHAPE_WORDS } from '../../words';

/** A pot measured by water: the levels as they are typed, and what they come to. */

const Levels = styled.div`
  display: grid;
  grid-template-columns: 132px 132px 1fr;
  gap: ${space.s};
  align-items: center;
`;

const Worth = styled.p`
  border-left: 4px solid ${colour.act};
  padding: 2px 0 2px ${space.m};
`;

const Rim = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: end;
  > div {
    width: 116px;
  }
`;

/** Steam that leaves an open pot on a common burner, L an hour: for what a wrong shape would have cost. Common practice. */
const USUAL_L_PER_H = 5;

export interface TypedLevel {
  id: string;
  litres: string;
  depth: string;
}

const noLevel = (): TypedLevel => ({ id: uuid(), litres: '', depth: '' });

/** Water poured in and the stick read, level by level; each with how it fits. */
export function WaterLevels(of: {
  levels: readonly TypedLevel[];
  onLevels: (levels: TypedLevel[]) => void;
  rim: string;
  onRim: (text: string) => void;
  isRound: boolean;
  onRound: (isRound: boolean) => void;
  fitted: FittedVessel | null;
}) {
  const { levels, onLevels, fitted } = of;
  const read = levels.filter(isTyped);
  const noteOf = (level: TypedLevel) => {
    const i = read.indexOf(level);
    return fitted && i >= 0 ? levelWords(fitted, fitted.straight, i, typedNumber(level.depth)!) : '';
  };
  return (
    <>
      <div>
        <strong>{potsWords.pourReadTheStickTwice}</strong>
        <Over>{potsWords.fiveLitresAtATime}</Over>
      </div>
      <Rim>
        <SmallField label={potsWords.bottomToRim} unit="cm" value={of.rim} onChange={of.onRim} />
        <Tick isOn={!of.isRound} onChange={(isOn) => of.onRound(!isOn)}>
          {potsWords.itHasCorners}
        </Tick>
      </Rim>
      <Levels>
        <Over>{potsWords.waterIn}</Over>
        <Over>{potsWords.onTheStick}</Over>
        <span />
        {levels.map((level, i) => (
          <LevelRow
            key={level.id}
            level={level}
            n={i + 1}
            note={noteOf(level)}
            onChange={(next) => onLevels(levels.map((one) => (one.id === level.id ? next : one)))}
          />
        ))}
      </Levels>
      <span>
        <Button onPress={() => onLevels([...levels, noLevel()])}>{potsWords.anotherLevel}</Button>
      </span>
    </>
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
        label={potsWords.levelPouredIn(n)}
        isLabelHidden
        unit="L"
        value={level.litres}
        onChange={(text) => onChange({ ...level, litres: text })}
      />
      <SmallField
        label={potsWords.levelOnTheStick(n)}
        isLabelHidden
        unit="cm"
        value={level.depth}
        onChange={(text) => onChange({ ...level, depth: text })}
      />
      <Over>{note}</Over>
    </>
  );
}

/** What the levels come to, how sure that is, and what measuring was worth. */
export function Found({
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
        <Over>{potsWords.brimsAt}</Over>
        <FigureText>{litres(brim.litres)}</FigureText>
        <Over>
          ± {litres(brim.sd)}
          {better < 0.7 * brim.sd && potsWords.oneMoreLevelNearThe(litres(better))}
        </Over>
      </div>
      <Soft>
        {potsWords.keptAs(
          SHAPE_WORDS[vessel.shape],
          isMeasured ? potsWords.noPlainShapeComesWithin : potsWords.within(decimal(100 * of.misfit, 1)),
        )}
      </Soft>
      {worth && (
        <Worth>
          {potsWords.aStraightPotOfIts(
            litres(Math.abs(worth.litresOffAtHalf)),
            decimal(Math.abs(worth.minutesEarly), 0),
            worth.minutesEarly > 0,
          )}
        </Worth>
      )}
    </>
  );
}

export function typedLevels(pot: KitchenPot | null): TypedLevel[] {
  const known = pot?.levels ?? (pot?.vessel.shape === 'measured' ? pot.vessel.levels : []);
  const typed = known.map((one) => ({ id: uuid(), litres: String(one.litres), depth: String(one.depthCm) }));
  return typed.length > 0 ? typed : [noLevel(), noLevel(), noLevel()];
}

/** The levels that are typed in full, in their order. */
export function levelsRead(levels: readonly TypedLevel[]): WaterLevel[] {
  return levels
    .filter(isTyped)
    .map((level) => ({ litres: typedNumber(level.litres)!, depthCm: typedNumber(level.depth)! }));
}

export function fitOf(levels: readonly WaterLevel[], heightCm: number, isRound: boolean) {
  if (levels.length < 2 || !(heightCm > 0)) return null;
  try {
    return fitVessel({ levels, heightCm, isRound });
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const isTyped = (level: TypedLevel): boolean =>
  typedNumber(level.litres) !== null && typedNumber(level.depth) !== null;
