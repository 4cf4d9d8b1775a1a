import 'reflect-metadata';
import { isObject } from '@kobran/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsObject,
  IsOptional,
  IsString,
  Length,
  MaxLength,
} from 'class-validator';
import { AddTrace, ShopFileEntry } from '../requests.js';
import { IsMoment, IsSha256 } from './kept.js';
import { MAX_PICTURES, PictureInFile } from './picture.js';
import { Practice } from './practice.js';
import { factOfLogEntry, factOfReading } from './upgradeFacts.js';
import { AreParts, IsPart } from './parts.js';

export const JOB_FILE_SCHEMA = 'kobran-job/2';

/** A sweep as a file carries it. */
export class TraceInFile extends AddTrace {
  /** The first accepted proof, with which later ones are compared. */
  @IsOptional() @IsBoolean() birth?: boolean;
}

/** The chain of a run’s log, as {@link checkLog} of core reads it. */
export class LogInFile {
  @IsArray() @ArrayMaxSize(10_000) @IsString({ each: true }) @MaxLength(64, { each: true }) hashes!: string[];
  @IsSha256() head!: string;
}

export class JobFileRun {
  @IsObject() design!: object;
  /** Read one by one by `readFact`, by their kinds. */
  @IsArray() @ArrayMaxSize(10_000) @IsObject({ each: true }) facts!: object[];
  /** How the facts are chained, in their order; files of before they were have none. */
  @IsOptional() @IsPart() @Type(() => LogInFile) log?: LogInFile;
  /** Designs as they were handed over, read by `readDesign`. */
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsObject({ each: true }) revisions?: object[];
  /** Sweeps; files of before they were kept have none. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(500)
  @AreParts()
  @Type(() => TraceInFile)
  traces?: TraceInFile[];
}

/** A whole job as one open JSON file. */
export class JobFile {
  @IsIn([JOB_FILE_SCHEMA], { message: `schema must be “${JOB_FILE_SCHEMA}” or an older one` })
  schema!: string;
  @IsMoment() exportedAt!: string;
  @IsString() @Length(1, 120) name!: string;
  @IsString() @MaxLength(200) site!: string;
  @IsPart() @Type(() => Practice) practice!: Practice;
  /** Points and ways, read by `readSite`; jobs without a drawn place have none. */
  @IsOptional() @IsObject() place?: object;
  /** Pictures which the place names, and photos of ends, joints and bars. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_PICTURES)
  @AreParts()
  @Type(() => PictureInFile)
  pictures?: PictureInFile[];
  /** Own catalogue entries which the designs name, so that the file stands by itself. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(1000)
  @AreParts()
  @Type(() => ShopFileEntry)
  catalog?: ShopFileEntry[];
  @IsArray() @ArrayMaxSize(200) @AreParts() @Type(() => JobFileRun) runs!: JobFileRun[];
}

const list = (value: unknown): unknown[] => (Array.isArray(value) ? (value as unknown[]) : []);

/** A job file of any schema as one of today’s; what is no job file is left for the rules to refuse. */
export function upgradeJobFile(value: unknown): unknown {
  if (!isObject(value) || value.schema !== 'kobran-job/1' || !Array.isArray(value.runs)) return value;
  return {
    ...value,
    schema: JOB_FILE_SCHEMA,
    runs: value.runs.map((run: unknown) => {
      if (!isObject(run)) return run;
      const { readings, log, ...rest } = run;
      return { ...rest, facts: [...list(readings).map(factOfReading), ...list(log).map(factOfLogEntry)] };
    }),
  };
}
