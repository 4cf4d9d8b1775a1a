import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';

/** Work on ends which a record may be about. */
export const recordWorks = ['new end', 're-end', 'shrink'] as const;

/** What a log entry about an end says in figures, so that a shop can learn from it. */
export class EndRecord {
  /** Id of the connector part, and of the cable it went on. */
  @IsString() @Length(1, 80) part!: string;
  @IsString() @Length(1, 80) cable!: string;
  /** Which recipe it was made by. */
  @IsString() @Length(1, 60) recipe!: string;
  @IsIn(recordWorks) work!: (typeof recordWorks)[number];
  /** Why it failed or was damaged, or what was done differently. */
  @IsOptional() @IsString() @MaxLength(300) cause?: string;
  /** Step of the card at which it happened. */
  @IsOptional() @IsString() @MaxLength(60) step?: string;
  /** Cable lost, m. */
  @IsOptional() @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1000) lostM?: number;
  /** The second person of a two-person check. */
  @IsOptional() @IsString() @MaxLength(60) checkedBy?: string;
  /** What was done differently on the way to a made end. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @MaxLength(300, { each: true })
  deviations?: string[];
}
