import { ChevronDown } from 'lucide-react';
import {
  Button,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Select,
  SelectValue,
  TextField,
} from 'react-aria-components';
import styled from 'styled-components';
import { type KitchenView, zonedTimeMs } from '../../../contract';
import type { Recipe } from '../../../core/recipe';
import { BANDS } from '../../../core/thickness';
import type { FieldUnit } from '../../../core/units';
import { Menu } from '../../components/menu';
import { Errors } from '../../components/text';
import { useMeasured } from '../../components/use-measured';
import { useMinuteMs } from '../../data/clock';
import { colour, font } from '../../theme/tokens';
import { day, fieldUnit, litresWord, planWords } from '../../words';
import { type AmountBy, amountWords, type Draft, MOST_DAYS_AHEAD, type Order } from './use-order';

const Sentence = styled.div`
  font-family: ${font.title};
  font-weight: 650;
  font-size: 24px;
  line-height: 1.62;
`;

const underlined = `
  display: inline-block;
  padding: 0 4px;
  border: 0;
  border-bottom: 3px solid ${colour.act};
  border-radius: 0;
  background: none;
  color: ${colour.act};
  font: inherit;
  line-height: 1.2;
  min-height: 34px;
  text-align: left;
`;

const Typed = styled(TextField)`
  display: inline-block;
  label {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  input {
    ${underlined}
  }
  &[data-invalid] input {
    color: ${colour.danger};
    border-bottom-color: ${colour.danger};
    border-bottom-style: double;
  }
`;

const Picked = styled(Select)`
  display: inline-block;
  button {
    ${underlined}
    cursor: pointer;
  }
  svg {
    width: 17px;
    height: 17px;
    margin-left: 2px;
    vertical-align: -2px;
  }
`;

const AMOUNT_LABELS: Record<AmountBy, string> = {
  portions: planWords.bowls4,
  litres: planWords.amountOfIt,
  multiple: planWords.timesTheRecipe,
};

/** A figure of the sentence, typed in any unit. */
function TypedWord(of: {
  value: string;
  onChange: (value: string) => void;
  isWrong: boolean;
  label: string;
  width: number;
  unit: FieldUnit | undefined;
  inputMode: 'text' | 'decimal';
}) {
  const shown = useMeasured(of);
  return (
    <Typed
      value={shown.value}
      onChange={shown.onChange}
      isInvalid={of.isWrong}
      aria-describedby="order-errors"
    >
      <Label>{of.label}</Label>
      <Input
        inputMode={of.inputMode}
        autoComplete="off"
        style={{ width: `${Math.max(of.width, shown.value.length + 0.6)}ch` }}
      />
    </Typed>
  );
}

/** The order as one sentence; its underlined words are the form. */
export function OrderSentence({
  order,
  recipe,
  book,
  kitchen,
  onRecipe,
}: {
  order: Order;
  recipe: Recipe;
  book: readonly Recipe[];
  kitchen: KitchenView;
  onRecipe: (id: string) => void;
}) {
  const { draft, change } = order;
  const wrong = (field: string) => order.errors.some((error) => error.field === field);
  const burner = kitchen.burners.find((one) => one.id === draft.burnerId);
  const typed = (
    field: 'portions' | 'portionMl' | 'saltPercent' | 'by',
    label: string,
    width: number,
    unit?: FieldUnit,
  ) => (
    <TypedWord
      value={draft[field]}
      onChange={(value) => change({ [field]: value } as Partial<Draft>)}
      isWrong={wrong(field)}
      label={label}
      width={width}
      unit={unit}
      inputMode={field === 'by' ? 'text' : 'decimal'}
    />
  );
  return (
    <div>
      <Sentence role="group" aria-label={planWords.theOrder}>
        <Pick
          label={planWords.dish}
          value={recipe.id}
          options={(book.some((one) => one.id === recipe.id) ? book : [recipe, ...book]).map((one) => ({
            id: one.id,
            text: one.name,
          }))}
          onChange={onRecipe}
        />{' '}
        {recipe.base ? (
          <>
            {planWords.made}
            {typed('portions', planWords.amountOfIt, 2.2, 'L')}
            {planWords.ofItReadyBy(litresWord())}
            {typed('by', planWords.readyBy, 4.4)} <DayPick order={order} zone={kitchen.zone} />
            {planWords.inThe}
          </>
        ) : (
          <>
            {planWords.for}
            {typed(
              'portions',
              AMOUNT_LABELS[draft.amountBy],
              2.2,
              draft.amountBy === 'litres' ? 'L' : undefined,
            )}{' '}
            <Pick
              label={planWords.amountIn}
              value={draft.amountBy}
              options={amountWords()}
              onChange={(amountBy) => change({ amountBy: amountBy as AmountBy })}
            />
            {planWords.of5}
            {typed('portionMl', planWords.bowlSize, 3, 'mL')}
            {planWords.mlForThe(fieldUnit('mL'))}
            <Pick
              label={planWords.service}
              value={draft.by ? BY_HOUR : draft.serviceId}
              options={[
                ...(draft.by ? [{ id: BY_HOUR, text: planWords.batchReadyBy(draft.by) }] : []),
                ...kitchen.services.map((service) => ({ id: service.id, text: service.name })),
              ]}
              onChange={(id) => id !== BY_HOUR && change({ serviceId: id, by: '' })}
            />{' '}
            <DayPick order={order} zone={kitchen.zone} />
            {planWords.oneThat}
            <Pick
              label={planWords.thickness}
              value={draft.bandName}
              options={BANDS.map((band) => ({ id: band.name, text: band.name }))}
              onChange={(bandName) => change({ bandName })}
            />
            {planWords.at}
            {typed('saltPercent', planWords.saltPercent, 3)}
            {planWords.saltInThe}
          </>
        )}
        <Pick
          label={planWords.pot}
          value={draft.potId}
          options={kitchen.pots.map((pot) => ({ id: pot.id, text: pot.name }))}
          onChange={(potId) =>
            change({
              potId,
              burnerId: burner?.potIds.includes(potId)
                ? draft.burnerId
                : (kitchen.burners.find((one) => one.potIds.includes(potId))?.id ?? draft.burnerId),
            })
          }
        />
        {planWords.on}
        <Pick
          label={planWords.burner}
          value={draft.burnerId}
          options={kitchen.burners
            .filter((one) => one.potIds.includes(draft.potId))
            .map((one) => ({ id: one.id, text: one.name }))}
          onChange={(burnerId) => change({ burnerId })}
        />
        .
      </Sentence>
      <Errors id="order-errors" sentences={[...new Set(order.errors.map((error) => error.sentence))]} />
    </div>
  );
}

/** An earlier batch for a service is ready by an hour of its own. */
const BY_HOUR = ' by hour';

/** On which day: the next time it comes round, or one of the days ahead. */
function DayPick({ order, zone }: { order: Order; zone: string }) {
  const nowMs = useMinuteMs();
  const wordOf = (atMs: number) => {
    const word = day(atMs, zone);
    if (word === day(nowMs, zone)) return planWords.today;
    return word === day(zonedTimeMs('12:00', zone, nowMs, 1), zone)
      ? planWords.tomorrow
      : planWords.onDay(word);
  };
  const next = order.draft.day === '' ? order.serviceAtMs : null;
  const days = Array.from({ length: MOST_DAYS_AHEAD + 1 }, (_, n) => ({
    id: String(n),
    text: wordOf(zonedTimeMs('12:00', zone, nowMs, n)),
  })).filter((one) => next === null || one.text !== wordOf(next));
  return (
    <Pick
      label={planWords.day}
      value={order.draft.day || 'next'}
      options={[...(next === null ? [] : [{ id: 'next', text: wordOf(next) }]), ...days]}
      onChange={(id) => order.change({ day: id === 'next' ? '' : id })}
    />
  );
}

function Pick(of: {
  label: string;
  value: string;
  options: readonly { id: string; text: string }[];
  onChange: (id: string) => void;
}) {
  return (
    <Picked
      aria-label={of.label}
      value={of.value}
      onChange={(key) => key !== null && of.onChange(String(key))}
    >
      <Button>
        <SelectValue />
        <ChevronDown aria-hidden />
      </Button>
      <Menu>
        <ListBox>
          {of.options.map((option) => (
            <ListBoxItem key={option.id} id={option.id} textValue={option.text}>
              {option.text}
            </ListBoxItem>
          ))}
        </ListBox>
      </Menu>
    </Picked>
  );
}
