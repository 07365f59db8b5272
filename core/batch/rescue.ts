import { massesOf, massKg, saltPercent } from '../matter';
import { own } from '../own';
import { liquidLitres } from '../pot';
import { dilutionKg } from '../salt';
import { thicknessBand } from '../thickness';

import type { BatchSnapshot, Slip, Trouble } from './batch-event';
import type { BatchState } from './batch-state';
import { lossKgPerHour } from './stage-clock';
import { rowsInPot } from './went-in';

/** What is done about a slip: sentences in the order they are done, with the figures of this pot. */
export interface Rescue {
  title: string;
  steps: string[];
  /** minutes it costs, as far as it can be computed; null where only the mouth can say */
  minutes: number | null;
  /** the bench has the rest: salt or thickness to be put right side by side */
  toBench: boolean;
}

/** Trouble at the pot, and what is done at once. source: common practice */
const TROUBLE: Readonly<Record<Trouble, Omit<Rescue, 'minutes'> & { minutes: number | null }>> = {
  scorched: {
    title: 'It has caught',
    steps: [
      'Off the heat now.',
      'Pour what runs freely into a clean pot. Do not scrape: the floor stays behind.',
      'Taste. If it is only a shadow, go on gently; if it is smoke, it cannot be mended.',
    ],
    minutes: 6,
    toBench: false,
  },
  curdled: {
    title: 'It has curdled',
    steps: [
      'Off the heat, a splash of cold cream or a ladle of cold stock to stop it.',
      'Blend the liquid smooth and pass it, or bind it: a little starch holds what has not split yet.',
      'Under its top temperature from here on.',
    ],
    minutes: 8,
    toBench: false,
  },
  lumps: {
    title: 'There are lumps',
    steps: [
      'Pass it through a sieve and press the lumps through, or a few seconds of the stick blender.',
      'Next time one of roux and stock is cold, and the first of the liquid goes in by splashes.',
    ],
    minutes: 5,
    toBench: false,
  },
  burntRoux: {
    title: 'The roux is burnt',
    steps: [
      'Black specks are bitter and stay bitter: throw it away and start again with new fat and flour.',
      'Wipe the pan clean first. A lower flame, and stay with it.',
    ],
    minutes: 12,
    toBench: false,
  },
  boiledOver: {
    title: 'It has boiled over',
    steps: [
      'Heat down, lid off; wipe the burner before it bakes on.',
      'Read the level again: what is on the floor is not in the pot, and its salt went with it.',
    ],
    minutes: 3,
    toBench: false,
  },
};

/** A liquid that is mostly water can be boiled away. */
const MOSTLY = 0.5;

/** More salt than this over the wanted share is worth mending, percent points. */
const SALT_WORTH_MENDING = 0.05;
/** A band further off than this is worth mending. */
const BAND_WORTH_MENDING = 0.4;

/**
 * What mends a slip, for the pot as it is after it. Undo is only for what did not happen.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch with the slip already in it
 * @param slip what happened
 * @returns the steps with their figures
 * @source common practice; figures by mass balance from the pot's own state
 */
export function rescueOf(snapshot: BatchSnapshot, state: BatchState, slip: Slip): Rescue {
  switch (slip.kind) {
    case 'trouble':
      return TROUBLE[slip.trouble];
    case 'forgot': {
      const line = snapshot.plan.lines.find((one) => one.lineId === slip.lineId);
      const name = line?.name.toLowerCase() ?? slip.lineId;
      return {
        title: `No ${name} in it yet`,
        steps: [
          `Put it in now: it is back on the list, ${name} is wanted with the next that goes in.`,
          'What needed sweating or browning first: do that apart, in a pan, and scrape it in.',
        ],
        minutes: null,
        toBench: false,
      };
    }
    case 'tooMuch':
    case 'wrongPot':
      return surplus(snapshot, state, slip);
  }
}

function surplus(
  snapshot: BatchSnapshot,
  state: BatchState,
  slip: Extract<Slip, { ingredientId: string }>,
): Rescue {
  const { input } = snapshot;
  const ingredient = own(rowsInPot(snapshot, state), slip.ingredientId);
  const name = ingredient?.name.toLowerCase() ?? slip.ingredientId;
  const steps: string[] = [];
  let minutes: number | null = null;
  let toBench = false;
  const { mixture } = state.pot;
  const salt = saltPercent(mixture, 'all');
  if (ingredient?.share === 'pieces')
    steps.push(`Fish out what of the ${name} can be caught, before it gives.`);
  if (salt > input.saltPercent + SALT_WORTH_MENDING) {
    const kg = dilutionKg({ massKg: massKg(mixture), nowPercent: salt, targetPercent: input.saltPercent });
    steps.push(
      `It stands at ${salt.toFixed(2)} % salt. Unsalted liquid brings it back to ${input.saltPercent} %: ${kg.toFixed(1)} kg, and so much more to reduce or to serve.`,
    );
    toBench = true;
  }
  const litres = liquidLitres(state.pot);
  const band =
    litres > 0 ? thicknessBand({ flourEquivalentGPerL: Math.max(0, mixture.flourEquivalentG / litres) }) : 0;
  if (band > input.band + BAND_WORTH_MENDING) {
    steps.push('Thicker than wanted: only thinning mends that, and it makes bowls nobody ordered.');
    toBench = true;
  }
  const waterKg = ingredient ? massesOf(ingredient, slip.kg).water : 0;
  const lossKg = lossKgPerHour(state.setup, state.pot);
  if (ingredient?.kind === 'fat')
    steps.push(
      'It floats: off the boil for a minute, then skim or pour it off. Log it under “Out of the pot”.',
    );
  if (ingredient?.share === 'liquid' && waterKg > MOSTLY * slip.kg) {
    minutes = lossKg > 0.05 ? (waterKg / lossKg) * 60 : null;
    steps.push(
      minutes === null
        ? `${waterKg.toFixed(1)} kg of it is water: with the lid off and the heat up it can be boiled away.`
        : `${waterKg.toFixed(1)} kg of it is water: at this heat it is gone again in about ${Math.round(minutes)} min. The mark stays where it was.`,
    );
  }
  if (ingredient?.kind === 'wine' || ingredient?.kind === 'acid')
    steps.push(
      'Sharp? Fat, a little sugar or unsalted starch first; bicarbonate only by the pinch, tasting.',
    );
  if (steps.length === 0) steps.push(`Taste. The plan counts the ${name} as it is in the pot now.`);
  return {
    title:
      slip.kind === 'tooMuch'
        ? `Too much ${name}`
        : `${name} in the wrong pot`.replace(/^./, (c) => c.toUpperCase()),
    steps,
    minutes,
    toBench,
  };
}
