import * as v from 'valibot';

/** A picture of a pot is no larger than this, bytes: a tablet makes it smaller before it is sent. */
export const PHOTO_MOST_BYTES = 400_000;
/** So many of one batch. */
export const PHOTOS_MOST = 12;

/** Its id, made where it was taken: the same sent again is the same. */
export const photoIdSchema = v.pipe(v.string(), v.uuid('A picture has an id.'));

/** True for what begins and ends as a JPEG does. */
export const isJpeg = (bytes: Uint8Array): boolean =>
  bytes.length > 4 &&
  bytes[0] === 0xff &&
  bytes[1] === 0xd8 &&
  bytes[2] === 0xff &&
  bytes[bytes.length - 2] === 0xff &&
  bytes[bytes.length - 1] === 0xd9;
