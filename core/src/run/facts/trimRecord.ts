import { IsIn, IsInt, IsNumber, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import type { FarEnd } from '../../cut/index.js';

const number = { allowNaN: false, allowInfinity: false };

/** A resonance read while a piece was trimmed. */
export class TrimRecord {
  /** Id of the cable, and its lot; empty when the lot is not known. */
  @IsString() @Length(1, 80) cable!: string;
  @IsString() @MaxLength(40) lot!: string;
  /** Between the two cut ends, m. */
  @IsNumber(number) @Min(0.005) @Max(10_000) lengthM!: number;
  @IsNumber(number) @Min(1e4) @Max(100e9) frequencyHz!: number;
  @IsIn(['open', 'shorted']) far!: FarEnd;
  @IsInt() @Min(1) @Max(999) order!: number;
  /** Delay of the connector on the near end, s. */
  @IsNumber(number) @Min(0) @Max(1e-6) nearS!: number;
}
