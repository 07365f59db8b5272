import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import {
  CODE_LIMITS,
  isLaxer,
  type KitchenView,
  LIMIT_NAMES,
  type LimitName,
  limitsSchema,
  typedNumber,
} from '../../../contract';
import { FOOD_CODE } from '../../../core/safety';
import { Button } from '../../components/button';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { SmallField } from '../../components/small-field';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';
import { useKitchenChange, useLots } from '../../data/queries';
import { space } from '../../theme/tokens';
import { kitchenWords } from '../../words';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: ${space.m};
`;

/** Asked for when they are drawn: degrees are the kitchen's own. */
const labels = (): Readonly<Record<LimitName, { label: string; unit: string }>> => ({
  dateMarkDays: { label: kitchenWords.shelfLifeInDaysDay, unit: 'days' },
  receivingC: { label: kitchenWords.coldDeliveriesAtMost, unit: '°C' },
  shellfishTagDays: { label: kitchenWords.shellfishTagsAreKept, unit: 'days' },
  hotHoldingC: { label: kitchenWords.hotHoldingAtLeast, unit: '°C' },
  reheatC: { label: kitchenWords.reheatingAtLeastTo, unit: '°C' },
  reheatWithinH: { label: kitchenWords.reheatingWithin, unit: 'h' },
  coolFirstWithinH: { label: kitchenWords.coolingToWithin(FOOD_CODE.coolFirstToC.value), unit: 'h' },
  coolWithinH: { label: kitchenWords.coolingToWithin(FOOD_CODE.coolToC.value), unit: 'h' },
});

const { entries } = limitsSchema;
const LIMITS = v.object({
  dateMarkDays: figure(entries.dateMarkDays),
  receivingC: figure(entries.receivingC),
  shellfishTagDays: figure(entries.shellfishTagDays),
  hotHoldingC: figure(entries.hotHoldingC),
  reheatC: figure(entries.reheatC),
  reheatWithinH: figure(entries.reheatWithinH),
  coolFirstWithinH: figure(entries.coolFirstWithinH),
  coolWithinH: figure(entries.coolWithinH),
});

/** The kitchen's own limits: stricter than the code as it likes, laxer only with a reason and a name. */
export function LimitsSection({ kitchen }: { kitchen: KitchenView }) {
  const { limits, limitReasons } = kitchen;
  const [reason, setReason] = useState('');
  const [by, setBy] = useState(kitchen.people.find((one) => one.role === 'inCharge')?.name ?? '');
  const { data: lots = [] } = useLots();
  const change = useKitchenChange();
  const form = useTypedForm({
    first: Object.fromEntries(LIMIT_NAMES.map((name) => [name, String(limits[name])])) as Record<
      LimitName,
      string
    >,
    schema: LIMITS,
    keep: (meant) =>
      change.mutate({
        change: 'limits',
        limits: meant,
        ...(reason.trim() ? { reason: reason.trim() } : {}),
        ...(by.trim() ? { by: by.trim() } : {}),
      }),
  });
  return (
    <section>
      <Subtitle>{kitchenWords.limits}</Subtitle>
      <Over>{kitchenWords.theyBeginAsTheFda}</Over>
      <TypedForm form={form}>
        <Fields>
          {LIMIT_NAMES.map((name) => (
            <form.AppField key={name} name={name}>
              {(field) => {
                const typed = typedNumber(field.state.value);
                const { value, section } = CODE_LIMITS[name];
                const said = limitReasons[name];
                return (
                  <div>
                    <field.InOffice {...labels()[name]} />
                    <Over>
                      {typed !== null && isLaxer(name, typed)
                        ? kitchenWords.laxerThan(
                            value,
                            section,
                            said ? `: ${said.reason}, ${said.by}` : kitchenWords.giveTheReasonBelow,
                          )
                        : `§ ${section}: ${value}`}
                    </Over>
                  </div>
                );
              }}
            </form.AppField>
          ))}
        </Fields>
        <form.Subscribe selector={(state) => state.values}>
          {(typed) => {
            const isLax = LIMIT_NAMES.some((name) => {
              const value = typedNumber(typed[name]);
              return value !== null && isLaxer(name, value) && value !== limits[name];
            });
            const isOtherDay = typedNumber(typed.dateMarkDays) !== limits.dateMarkDays;
            return (
              <>
                {isLax && (
                  <>
                    <Caution>{kitchenWords.thisIsLaxerThanThe}</Caution>
                    <SmallField label={kitchenWords.theReason} value={reason} onChange={setReason} />
                    <SmallField label={kitchenWords.personInCharge} value={by} onChange={setBy} />
                  </>
                )}
                {isOtherDay && lots.length > 0 && <Soft>{kitchenWords.theDatesOfLotOn(lots.length)}</Soft>}
              </>
            );
          }}
        </form.Subscribe>
        <Errors sentences={change.error ? [change.error.message] : []} />
        <span>
          <Button kind="main" type="submit">
            {kitchenWords.saveTheLimits}
          </Button>
        </span>
        <Over role="status">{change.isSuccess ? kitchenWords.savedEveryDateOnThe : ''}</Over>
      </TypedForm>
    </section>
  );
}
