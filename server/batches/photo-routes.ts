import express, { Router } from 'express';
import * as v from 'valibot';
import {
  isJpeg,
  PHOTO_MOST_BYTES,
  PHOTOS_MOST,
  type PhotosView,
  type PhotoView,
  photoIdSchema,
} from '../../contract';
import { checked, impossible, notFound, saidOtherwise } from '../problem';
import type { ServerContext } from '../server-context';
import { batchRow, insertPhoto, lastPhotoOf, photoRow, photosOf } from '../storage';

const pathSchema = v.object({ id: v.string(), photoId: photoIdSchema });

/** Pictures of pots: taken by a tablet, kept with their batch, shown beside the last of the same dish. */
export function photoRoutes({ storage, clock, live }: ServerContext): Router {
  const routes = Router();
  routes.get('/batches/:id/photos', (request, response) => {
    const { id } = request.params;
    const batch = batchRow(storage.db, id);
    if (!batch) throw notFound('batch', id);
    response.json({
      photos: photosOf(storage.db, id),
      before: lastPhotoOf(storage.db, batch.recipeId, id) ?? null,
    } satisfies PhotosView);
  });
  routes.post(
    '/batches/:id/photos/:photoId',
    express.raw({ type: 'image/jpeg', limit: PHOTO_MOST_BYTES }),
    (request, response) => {
      const { id: batchId, photoId } = checked(pathSchema, request.params);
      const jpeg: unknown = request.body;
      if (!Buffer.isBuffer(jpeg) || !isJpeg(jpeg)) throw impossible('photo', 'A picture is sent as a JPEG.');
      const batch = batchRow(storage.db, batchId);
      if (!batch) throw notFound('batch', batchId);
      const { photo, isNew } = storage.transact((tx) => {
        const before = photoRow(tx, photoId);
        if (before && (before.batchId !== batchId || !before.jpeg.equals(jpeg)))
          throw saidOtherwise('A picture', photoId);
        if (before) return { photo: before, isNew: false };
        if (photosOf(tx, batchId).length >= PHOTOS_MOST)
          throw impossible('photo', `${PHOTOS_MOST} pictures of a batch are kept, and these are there.`);
        const row = { id: photoId, batchId, recipeId: batch.recipeId, takenAtMs: clock.nowMs(), jpeg };
        insertPhoto(tx, row);
        return { photo: row, isNew: true };
      });
      if (isNew) live.publish({ kind: 'photos', batchId });
      const { id, takenAtMs } = photo;
      response.status(isNew ? 201 : 200).json({ id, batchId, takenAtMs } satisfies PhotoView);
    },
  );
  routes.get('/photos/:id', (request, response) => {
    const row = photoRow(storage.db, request.params.id);
    if (!row) throw notFound('picture', request.params.id);
    // it never changes
    response.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(row.jpeg);
  });
  return routes;
}
