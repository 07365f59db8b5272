import type { ClockNote, DoseNote, RouxNote, ScalingNote } from '../../../core/order';
import { decimal, depth, litres, weight } from '../amounts';

/** What does not scale straight, as the plan says it: what a plain multiple would say, what is so here, and why. */
export interface ScalingWords {
  what: string;
  plain: string;
  here: string;
  why: string;
}

export function scalingWords(note: ScalingNote): ScalingWords {
  switch (note.law) {
    case 'rounds':
      return {
        what: note.what,
        plain: 'all in at once',
        here: `in ${note.loads} loads`,
        why: 'Raw it lies loose and would not go in at once. Each load goes in as the one before has collapsed.',
      };
    case 'sweat':
      return {
        what: note.what,
        plain: min(note.plainMin),
        here: min(note.minutes),
        why: 'So much more has first to get hot on the same burner before it gives up its water.',
      };
    case 'liquid':
      return {
        what: note.names.join(', '),
        plain: litres(note.plainLitres),
        here: litres(note.litres),
        why: `What boils away follows the pot’s surface and burner, not the volume: ${weight(note.evaporatedKg)} leave here.`,
      };
    case 'reduction':
    case 'heatUp':
      return clockWords(note);
    case 'fat':
      return {
        what: note.what,
        ...amounts(note),
        why: 'Fat for sweating covers the pan’s bottom. The pan does not grow with the amount.',
      };
    case 'roux':
      return rouxWords(note);
    case 'browning':
      return {
        what: note.what,
        plain: loads(note.plainLoads),
        here: `${loads(note.loads)}, ${min(note.minutes)}`,
        why: `One layer with gaps: ${weight(note.kgAtATime)} at a time ${note.where === null ? 'on the trays' : `on the bottom of the ${note.where}`}. Crowded it stews.`,
      };
    case 'blender':
      return {
        what: note.what,
        plain: note.plainMin === null ? '' : min(note.plainMin),
        here: blenderWords(note),
        why: `${litres(note.litres)} to purée. Fill a hot jar a third to a half, lid vented: steam blows it off.`,
      };
    case 'taste':
    case 'alcohol':
    case 'garlic':
      return doseWords(note);
    case 'salt':
      return {
        what: note.what,
        ...amounts(note),
        why: `To ${decimal(note.saltPercent, 2)} % at the end, after what the rest of the pot brings (${weight(note.broughtG / 1000)}).`,
      };
    case 'garnish':
      return {
        what: note.what,
        plain: weight(note.plainKg),
        here: `${weight(note.perBowlKg)} a bowl, ${weight(note.kg)} in all`,
        why: 'By the bowl, whatever the bowl holds.',
      };
  }
}

const min = (value: number): string => `${decimal(value, 0)} min`;

const amounts = ({ plainKg, kg }: { plainKg: number; kg: number }) => ({
  plain: weight(plainKg),
  here: weight(kg),
});

const loads = (count: number): string => (count === 1 ? 'one load' : `${count} loads`);

function clockWords({
  law,
  what,
  plainMin,
  minutes,
  plainLitres,
  times,
  amounts: of,
}: ClockNote): ScalingWords {
  const why =
    law === 'heatUp'
      ? `The same burner has that much ${of > 1 ? 'more' : 'less'} to heat.`
      : of > 1
        ? `${decimal(of, 1)} times as much stands deeper over the same surface, and takes about as many times longer.`
        : `${decimal(of, 1)} times as much stands lower over the same surface, and is reduced sooner.`;
  return {
    what,
    plain: `${min(plainMin)}, as for ${litres(plainLitres)}`,
    here: `${min(minutes)}, ${decimal(times, 1)} times`,
    why,
  };
}

function rouxWords(note: RouxNote): ScalingWords {
  return {
    what: `Roux, ${weight(note.kg)}`,
    plain: `${min(note.plainMin)}, as for ${weight(note.plainKg)}`,
    here: `${min(note.minutes)} in a pan of ${depth(Math.ceil(note.panCm))} or wider`,
    why: `It needs ${min(note.heatMin)} to get hot, and lies ${depth(note.depthCm)} deep in this pot. Over ${depth(note.mostDepthCm)} it cooks unevenly.`,
  };
}

function blenderWords({
  fills,
  fillLitres,
  minutes,
  hasStick,
}: Extract<ScalingNote, { law: 'blender' }>): string {
  const jar = fills > 0 ? [`${fills} fills of ${litres(fillLitres)}, ${min(minutes)}`] : [];
  const stick = hasStick ? ['the stick blender in the pot'] : [];
  return [...jar, ...stick].join(', or ') || 'no blender in this kitchen';
}

function doseWords(note: DoseNote): ScalingWords {
  const share = `${decimal(note.startPercent, 0)} %`;
  return {
    what: note.what,
    plain: weight(note.plainKg),
    here: `${weight(note.kg)} first, ${weight(note.keptByKg)} kept back`,
    why:
      note.law === 'garlic'
        ? `Cut for so many it stands ${min(note.standsMin)} and bites ${decimal(note.bites, 2)} times as hard, ${note.cut}. Then taste.`
        : note.buildsUp
          ? `Heat and spirit start at ${share} of the multiple: they build up, and cannot be taken out.`
          : `Strong herbs and spices start at ${share} of the multiple; the rest after tasting.`,
  };
}
