import type * as core from '@kobran/core';
import { IsNumber, IsString, Length, Max, Min } from 'class-validator';

/** So much of a part as left the shelf. */
export class UsedPart implements core.UsedPart {
  @IsString() @Length(1, 80) part!: string;
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1e5) amount!: number;
}
