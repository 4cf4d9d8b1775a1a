import 'reflect-metadata';
import { IsBase64, IsIn, IsUUID, MaxLength } from 'class-validator';

export const pictureTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof pictureTypes)[number];

/** A picture is made smaller on the device which takes it: 2 MB are plenty for a screen and a page. */
export const MAX_PICTURE_BYTES = 2_000_000;

/** A photo is one of many: half a megabyte shows a joint as large as a hand. */
export const MAX_PHOTO_BYTES = 500_000;

/** Pictures of one job, photos included: with their limit a job file stays one which can be read. */
export const MAX_PICTURES = 300;

/** A picture of a job, as it is sent. */
export class Picture {
  @IsIn(pictureTypes) type!: PictureType;
  @IsBase64()
  @MaxLength(Math.ceil((MAX_PICTURE_BYTES * 4) / 3), { message: 'a picture may have 2 MB: make it smaller' })
  base64!: string;
}

/** A picture as a job’s file carries it. */
export class PictureInFile extends Picture {
  @IsUUID() id!: string;
}
