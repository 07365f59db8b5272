import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import type { PhotoView } from '../../../contract';
import { Button } from '../../components/button';
import { Errors, Over, Subtitle } from '../../components/text';
import { sentencesOf } from '../../data/api';
import { photoAddress, usePhotos, useTakePhoto } from '../../data/photos';
import { colour, radius, space } from '../../theme/tokens';
import { adjustWords, dayAndHour, hourMinute } from '../../words';

const Section = styled.section`
  display: grid;
  gap: ${space.s};
  margin-top: ${space.l};
`;

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: ${space.m};
  max-width: 560px;
  figure {
    display: grid;
    gap: ${space.xs};
    margin: 0;
  }
  img {
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    border: 1px solid ${colour.line};
    border-radius: ${radius.m};
  }
`;

/** This pot beside the last of the same dish, in the same light if the cook holds the spoon so. */
export function PotPhotos({ batchId, zone, mayTake }: { batchId: string; zone: string; mayTake: boolean }) {
  const { data } = usePhotos(batchId);
  const take = useTakePhoto(batchId);
  if (!data || (!mayTake && data.photos.length === 0)) return null;
  const [newest] = data.photos;
  return (
    <Section aria-label={adjustWords.pictures}>
      <Subtitle>{adjustWords.pictures}</Subtitle>
      {(newest || data.before) && (
        <Pair>
          {newest && <Shown photo={newest} words={adjustWords.thisPot(hourMinute(newest.takenAtMs, zone))} />}
          {data.before && (
            <Shown
              photo={data.before}
              words={adjustWords.theLastOne(dayAndHour(data.before.takenAtMs, zone))}
            />
          )}
        </Pair>
      )}
      {mayTake && (
        <>
          <div>
            <FileTrigger
              acceptedFileTypes={['image/*']}
              defaultCamera="environment"
              onSelect={(files) => {
                const file = files?.[0];
                if (file) take.mutate(file);
              }}
            >
              <Button isDisabled={take.isPending}>{adjustWords.takeAPicture}</Button>
            </FileTrigger>
          </div>
          <Over>{adjustWords.sameLight}</Over>
        </>
      )}
      <Errors sentences={sentencesOf(take.error)} />
    </Section>
  );
}

function Shown({ photo, words }: { photo: PhotoView; words: string }) {
  return (
    <figure>
      <img src={photoAddress(photo.id)} alt={words} />
      <Over as="figcaption">{words}</Over>
    </figure>
  );
}
