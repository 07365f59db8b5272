import { useState } from 'react';
import * as v from 'valibot';
import { numberField, textField } from '../../../contract';
import { type BatchState, type Fate, inPotKgOf, renderedFat } from '../../../core/batch';
import type { Ingredient } from '../../../core/matter';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, figureOrNone, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { PickOne } from '../../components/menu';
import { Errors, Soft } from '../../components/text';
import { potWords, weight } from '../../words';
import type { BatchHere } from '../batch-frame';
import { GiveBack } from './give-back';
import { useSubmit } from './use-submit';

const LIFTED = v.object({
  grams: figure(numberField(potWords.theWeight, 1, 100_000, 'g')),
  place: typedWords(textField(potWords.thePlace, 60)),
});

/** All of it comes out: what it weighs is good to know and no more. */
const LIFTED_WHOLE = v.object({
  grams: figureOrNone(numberField(potWords.theWeight, 1, 100_000, 'g')),
  place: typedWords(textField(potWords.thePlace, 60)),
});

const FATES = [
  { value: 'parked', text: potWords.parkedToGoBack2 },
  { value: 'salvaged', text: potWords.keptForAnotherUse },
  { value: 'thrown', text: potWords.thrownAway2 },
] as const;

/** What can be taken out: pieces of a food, floating fat, or a part of the liquid. */
const FAT = 'fat';
const LIQUID = 'liquid';

/** Out of the pot: pieces to be parked, salvaged or thrown away; fat poured off; what lies parked goes back from here. */
export function LiftForm({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { snapshot } = here.batch;
  const { state } = here.pot;
  const { tell, refusals } = useSubmit(here.batch.id);
  const pieces = piecesIn(state, snapshot.input.ingredients);
  const [what, setWhat] = useState(pieces[0]?.id ?? LIQUID);
  const [isAll, setAll] = useState<'all' | 'part'>('all');
  const piece = pieces.find((one) => one.id === what);
  const [fate, setFate] = useState<Fate['fate']>('parked');
  const later = snapshot.input.recipe.stages.filter(
    (stage) => state.stages.find((one) => one.stageId === stage.id)?.begunMs === null,
  );
  const [backFor, setBackFor] = useState(later[0]?.id ?? '');
  const isPieces = what !== FAT && what !== LIQUID;
  const fat = renderedFat(snapshot, state);

  const form = useTypedForm({
    first: { grams: '', place: potWords.traySpreadOut },
    schema: piece && isAll === 'all' ? LIFTED_WHOLE : LIFTED,
    keep: async ({ grams, place }) => {
      if (await tell(bodyOf(grams === undefined ? null : grams / 1000, place))) onClose();
    },
  });

  function bodyOf(weighedKg: number | null, place: string): BatchCommand {
    const kg = weighedKg ?? piece?.inPotKg ?? 0;
    if (what === FAT || what === LIQUID) return { type: 'pouredOff', payload: { what, kg } };
    const back = fate === 'parked' && backFor ? { backStageId: backFor } : {};
    const where = fate === 'thrown' ? {} : { place, ...(weighedKg === null ? {} : { weighedKg }) };
    if (!piece) throw new RangeError(`what must lie in the pot, got ${what}`);
    const which = { ingredientId: piece.ingredientId, ...(piece.itemId ? { itemId: piece.itemId } : {}) };
    const share = isAll === 'all' ? { share: 1 } : {};
    return { type: 'lifted', payload: { ...which, kg, ...share, fate, ...where, ...back } };
  }

  return (
    <>
      {state.parked.map((one) => (
        <GiveBack key={one.liftedId} here={here} parked={one} />
      ))}
      <TypedForm form={form}>
        <PickOne
          label={potWords.whatComesOut}
          value={what}
          options={[
            ...pieces.map(({ id, text }) => ({ id, text })),
            { id: FAT, text: potWords.fatOffTheTopAbout(weight(fat.floatsKg)) },
            { id: LIQUID, text: potWords.liquidLadledOut },
          ]}
          onChange={setWhat}
        />
        {what === FAT && fat.keepKg > 0.001 && (
          <Soft>{potWords.theFlourStillToCome(weight(fat.keepKg), weight(fat.pourOffKg))}</Soft>
        )}
        {piece && (
          <>
            <Choice label={potWords.howMuchOfIt} value={isAll} options={MUCH} onChange={setAll} atPot />
            <Soft>
              {potWords.itWentInAs(weight(piece.inPotKg))}
              {piece.hasBones && potWords.boneAndSkinWithIt}.
            </Soft>
          </>
        )}
        <form.AppField name="grams">
          {(field) => (
            <field.AtPot
              label={isAll === 'all' && piece ? potWords.itWeighsIfItIs : potWords.itWeighs}
              unit="g"
              refused={refusals[0] ?? null}
            />
          )}
        </form.AppField>
        {isPieces && (
          <Choice label={potWords.whatHappensToIt} value={fate} options={FATES} onChange={setFate} atPot />
        )}
        {isPieces && fate !== 'thrown' && (
          <form.AppField name="place">
            {(field) => <field.AtPot label={potWords.whereItIsKept} isText />}
          </form.AppField>
        )}
        {isPieces && fate === 'parked' && later.length > 0 && (
          <PickOne
            label={potWords.backInAt}
            value={backFor}
            options={later.map((stage) => ({ id: stage.id, text: stage.title }))}
            onChange={setBackFor}
          />
        )}
        <Errors sentences={refusals.slice(1)} />
        <Button kind="main" atPot type="submit">
          {potWords.itIsOut}
        </Button>
      </TypedForm>
    </>
  );
}

const MUCH = [
  { value: 'all', text: potWords.allOfIt },
  { value: 'part', text: potWords.aPartOfIt },
] as const;

/** Pieces that can be lifted: what hangs by a tag each for itself, the rest by its food. */
function piecesIn(state: BatchState, ingredients: Readonly<Record<string, Ingredient>>) {
  const rows = new Map<
    string,
    { id: string; itemId?: string; ingredientId: string; text: string; inPotKg: number; hasBones: boolean }
  >();
  for (const { id, ingredientId, tag, kg } of state.items) {
    const ingredient = ingredients[ingredientId];
    if (!ingredient || (kg < LEAST_KG && !tag)) continue;
    const key = tag ? id : ingredientId;
    const before = rows.get(key);
    rows.set(key, {
      id: key,
      ...(tag ? { itemId: id } : {}),
      ingredientId,
      text: tag ? `${ingredient.name}, ${tag.count} ${tag.word}` : ingredient.name,
      inPotKg: (before?.inPotKg ?? 0) + inPotKgOf(ingredient, kg),
      hasBones: ingredient.wholeInPot === true,
    });
  }
  return [...rows.values()];
}

/** Less than this is not lifted, kg. */
const LEAST_KG = 0.002;
