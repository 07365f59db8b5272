import { useState } from 'react';
import { typedNumber } from '../../contract';
import { FIELD_UNITS, type FieldUnit } from '../../core/units';
import { fieldUnit, readField, writeField } from '../words/amounts';

/** What stands in a field, the unit beside it, and what is to be done as it is typed. */
interface Measured {
  value: string;
  unit: string | undefined;
  onChange: (text: string) => void;
}

/**
 * A field whose figure is typed in any unit and shown in the kitchen's, for a form that thinks in the model's: “2 lb 3”
 * typed for kilograms is 0.992 to the form. What is no quantity is given on as it is, for the form to say so.
 */
export function useMeasured({ value, unit, onChange }: Measured): Measured {
  const [typed, setTyped] = useState({ text: value, meant: value, unit });
  if (!isFieldUnit(unit)) return { value, unit, onChange };
  const shownUnit = fieldUnit(unit);
  const isOwn = shownUnit === unit;
  const stands = typed.meant === value && typed.unit === shownUnit;
  const text = stands ? typed.text : isOwn ? value : shown(value, unit);
  return {
    value: text,
    unit: shownUnit,
    onChange(next) {
      const read = readField(next, unit);
      // a plain number in the form's own unit stays as it was typed
      const meant =
        read === null || (isOwn && typedNumber(next) !== null) ? next : String(Number(read.toPrecision(9)));
      setTyped({ text: next, meant, unit: shownUnit });
      onChange(meant);
    },
  };
}

function shown(value: string, unit: FieldUnit): string {
  const figure = typedNumber(value);
  return figure === null ? value : writeField(figure, unit);
}

const isFieldUnit = (unit: string | undefined): unit is FieldUnit => FIELD_UNITS.includes(unit as FieldUnit);
