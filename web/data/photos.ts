import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { PHOTO_MOST_BYTES, type PhotosView, type Problem } from '../../contract';
import { ApiError, ask } from './api';
import { KEYS } from './queries';

/** Pictures of a pot, and the last of the same dish. */
export const usePhotos = (batchId: string) =>
  useQuery({
    queryKey: KEYS.photos(batchId),
    queryFn: () => ask<PhotosView>('GET', `/batches/${encodeURIComponent(batchId)}/photos`),
  });

export const photoAddress = (id: string): string => `/api/photos/${encodeURIComponent(id)}`;

/** The longer side of a picture that is kept, in dots; tried in turn until it is small enough. */
const LONGER_SIDES = [1280, 960, 640] as const;
const QUALITIES = [0.85, 0.7, 0.5] as const;

/** What a tablet's camera gave, small enough to be kept. */
export async function madeSmall(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('That file is no picture that can be read here.');
  });
  try {
    for (const side of LONGER_SIDES)
      for (const quality of QUALITIES) {
        const small = await drawn(picture, side, quality);
        if (small && small.size <= PHOTO_MOST_BYTES) return small;
      }
  } finally {
    picture.close();
  }
  throw new Error('This picture cannot be made small enough.');
}

function drawn(picture: ImageBitmap, side: number, quality: number): Promise<Blob | null> {
  const times = Math.min(1, side / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * times));
  canvas.height = Math.max(1, Math.round(picture.height * times));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality));
}

/** Sends a picture; the same one sent again is kept once. */
async function sendPhoto(batchId: string, id: string, jpeg: Blob): Promise<void> {
  const response = await fetch(`/api/batches/${encodeURIComponent(batchId)}/photos/${id}`, {
    method: 'POST',
    headers: { 'Content-Type': 'image/jpeg' },
    body: jpeg,
  }).catch(() => null);
  if (response?.ok) return;
  const problem = (await response?.json().catch(() => null)) as Problem | null | undefined;
  throw new ApiError(
    problem?.title ?? 'The picture was not sent: the line is down. Take it again when it is back.',
    problem?.errors ?? [],
    response?.status ?? 0,
    problem != null,
  );
}

export function useTakePhoto(batchId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (file: Blob) => sendPhoto(batchId, uuid(), await madeSmall(file)),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.photos(batchId) }),
  });
}
