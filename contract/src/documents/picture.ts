import 'reflect-metadata';
import { IsBase64, IsIn, IsUUID, MaxLength } from 'class-validator';

export const pictureTypes = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof pictureTypes)[number];

/** A picture is made smaller on the device which takes it: 2 MB are plenty for a screen and a page. */
export const MAX_PICTURE_BYTES = 2_000_000;

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
