import 'reflect-metadata';
import type * as core from '@kobran/core';
import type {
  EndRecord as EndRecordOf,
  EndWork,
  FactKindId,
  FarEnd,
  PowerStep as PowerStepOf,
  RunReadingId,
  TrimRecord as TrimRecordOf,
  TubeReason,
} from '@kobran/core';
import {
  closureIds,
  endWorks,
  gasTubeVolts,
  openedFinds,
  sealSystemIds,
  type SealSystemId,
  runReadingIds,
  tubeReasons,
} from '@kobran/core';
import { Type, type ClassConstructor } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator';
import { IsRecordOf } from './isRecordOf.js';
import { IsMoment, IsSha256 } from './kept.js';
import { AreParts, IsPart } from './parts.js';
import { UsedPart } from './usedPart.js';

/** The limits of every kind of fact; what each member means is said in core. */

const number = { allowNaN: false, allowInfinity: false };
const MAX_W = 100e3;

/** Who says it, and when. */
export class SignedFact {
  @IsUUID() id!: string;
  @IsString() @Length(1, 40) kind!: FactKindId;
  @IsString() @MaxLength(60) by!: string;
  @IsMoment() at!: string;
  @IsOptional() @IsUUID() member?: string;
  @IsOptional() @IsString() @MaxLength(500) wording?: string;
}

export class EndRecord implements EndRecordOf {
  @IsString() @Length(1, 80) part!: string;
  @IsString() @Length(1, 80) cable!: string;
  @IsString() @Length(1, 60) recipe!: string;
  @IsIn(endWorks) work!: EndWork;
  @IsOptional() @IsIn([true]) lined?: true;
  @IsOptional() @IsString() @MaxLength(300) cause?: string;
  @IsOptional() @IsString() @MaxLength(60) step?: string;
  @IsOptional() @IsNumber(number) @Min(0) @Max(1000) lostM?: number;
  @IsOptional() @IsString() @MaxLength(60) checkedBy?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @MaxLength(300, { each: true })
  deviations?: string[];
}

export class PieceOfBatch {
  @IsInt() @Min(1) @Max(1000) piece!: number;
  @IsInt() @Min(1) @Max(1000) of!: number;
}

class EndFact extends SignedFact {
  @IsString() @Length(1, 60) endId!: string;
  @IsOptional() @IsPart() @Type(() => EndRecord) end?: EndRecord;
  @IsOptional() @IsPart() @Type(() => PieceOfBatch) batch?: PieceOfBatch;
}

class EndMadeFact extends EndFact {
  @IsOptional()
  @IsObject()
  @IsRecordOf((value) => value === null || (typeof value === 'number' && Number.isFinite(value)))
  readings?: Record<string, number | null>;
}

class PieceFact extends SignedFact {
  @IsString() @Length(1, 40) pieceId!: string;
}

class ReadingFact extends PieceFact {
  @IsString() @Length(1, 60) expectation!: string;
  @ValidateIf((reading: ReadingFact) => reading.value !== null)
  @IsNumber(number)
  value!: number | null;
}

class CutFact extends PieceFact {
  @IsOptional() @IsNumber(number) @Min(0.001) @Max(10_000) lengthM?: number;
  @IsOptional() @IsString() @Length(1, 80) reel?: string;
}

export class TrimRecord implements TrimRecordOf {
  @IsString() @Length(1, 80) cable!: string;
  @IsString() @MaxLength(40) lot!: string;
  @IsNumber(number) @Min(0.005) @Max(10_000) lengthM!: number;
  @IsNumber(number) @Min(1e4) @Max(100e9) frequencyHz!: number;
  @IsIn(['open', 'shorted']) far!: FarEnd;
  @IsInt() @Min(1) @Max(999) order!: number;
  @IsNumber(number) @Min(-1e-6) @Max(1e-6) nearS!: number;
  @IsOptional() @IsIn([true]) notAsNamed?: true;
}

class TrimmedFact extends PieceFact {
  @IsPart() @Type(() => TrimRecord) trim!: TrimRecord;
}

export class PowerStep implements PowerStepOf {
  @IsNumber(number) @Min(1e4) @Max(100e9) frequencyHz!: number;
  @IsNumber(number) @Min(0.001) @Max(MAX_W) forwardW!: number;
  @IsNumber(number) @Min(0) @Max(MAX_W) reflectedW!: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(MAX_W) loadW?: number;
  @IsOptional() @IsIn([true]) inSeries?: true;
}

class RunReadingFact extends SignedFact {
  @IsIn(runReadingIds) what!: RunReadingId;
  @ValidateIf(({ value }: { value: unknown }) => value !== null)
  @IsNumber(number)
  @Min(-200)
  @Max(1e13)
  value!: number | null;
}

class WithdrawnFact extends SignedFact {
  @IsString() @Length(1, 80) of!: string;
  @IsString() @MaxLength(90) about!: string;
  @IsString() @MaxLength(300) text!: string;
  @IsString() @Length(1, 500) why!: string;
}

class PowerStepFact extends SignedFact {
  @IsPart() @Type(() => PowerStep) power!: PowerStep;
}

/** Of one work: more kinds of parts nobody uses at once. */
const MAX_USED = 60;

/** A joint, and those under the same wrap. */
class JointFact extends SignedFact {
  @IsString() @Length(1, 90) jointId!: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(10)
  @IsString({ each: true })
  @MaxLength(90, { each: true })
  with?: string[];
}

class SealedFact extends JointFact {
  @IsOptional() @IsIn(sealSystemIds) system?: SealSystemId;
  @IsOptional() @IsInt() @Min(1) @Max(20) passes?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(200) torqueNm?: number;
  @IsOptional() @IsIn([true]) noSpanner?: true;
  @IsOptional() @IsIn([true]) noPhoto?: true;
  @IsOptional() @IsNumber(number) @Min(-60) @Max(70) celsius?: number;
  @IsOptional() @IsString() @Length(1, 300) unproved?: string;
  @IsOptional() @IsIn(closureIds) closure?: core.ClosureId;
  @IsOptional() @IsArray() @ArrayMaxSize(MAX_USED) @AreParts() @Type(() => UsedPart) used?: UsedPart[];
}

class OpenedFact extends JointFact {
  @IsOptional() @IsIn(openedFinds) found?: core.OpenedFind;
  @IsOptional() @IsString() @Length(1, 300) reason?: string;
}

class HandedOverFact extends SignedFact {
  @IsOptional()
  @Matches(/^[0-9a-f]{64}$/, { message: 'design must be a SHA-256 in hexadecimal' })
  design?: string;
  @IsOptional() @IsString() @MaxLength(300) problems?: string;
  @IsOptional() @IsString() @MaxLength(500) reason?: string;
}

class InWay {
  @IsString() @Length(1, 40) id!: string;
  @IsString() @Length(1, 80) name!: string;
}

class InstalledFact extends SignedFact {
  @IsOptional() @IsPart() @Type(() => InWay) way?: InWay;
  @IsOptional() @IsArray() @ArrayMaxSize(MAX_USED) @AreParts() @Type(() => UsedPart) used?: UsedPart[];
}

class GroundedFact extends SignedFact {
  @IsOptional() @IsArray() @ArrayMaxSize(MAX_USED) @AreParts() @Type(() => UsedPart) used?: UsedPart[];
}

class TubeCheckedFact extends PieceFact {
  @IsIn(tubeReasons) reason!: TubeReason;
  @IsIn(['sound', 'damaged']) found!: 'sound' | 'damaged';
  @IsOptional() @IsIn(gasTubeVolts) newV?: number;
}

class TaskEnd {
  @IsString() @Length(1, 40) kind!: string;
  @IsOptional() @IsString() @MaxLength(90) about?: string;
}

class TaskBegunFact extends SignedFact {
  @IsString() @Length(1, 90) task!: string;
  @IsOptional() @IsString() @Length(1, 60) learnedBy?: string;
  @IsOptional() @IsString() @Length(1, 20) place?: string;
  @IsOptional() @IsPart() @Type(() => TaskEnd) ends?: TaskEnd;
}

class TaskDoneFact extends SignedFact {
  @IsString() @Length(1, 90) task!: string;
  @IsString() @Length(1, 60) learnedBy!: string;
  @IsString() @Length(1, 20) place!: string;
  @IsOptional() @IsNumber(number) @Min(0.1) @Max(1440) minutes?: number;
  @IsOptional() @IsArray() @ArrayMaxSize(MAX_USED) @AreParts() @Type(() => UsedPart) used?: UsedPart[];
}

class PhotoFact extends SignedFact {
  @IsString() @MaxLength(200) about!: string;
  @IsUUID() pictureId!: string;
  @IsSha256() sha256!: string;
  @IsOptional() @IsString() @MaxLength(300) caption?: string;
}

class PhotoWithdrawnFact extends SignedFact {
  @IsString() @MaxLength(200) about!: string;
  @IsUUID() pictureId!: string;
}

class SweepFact extends SignedFact {
  @IsString() @MaxLength(40) pieceId!: string;
  @IsString() @Length(1, 120) name!: string;
  @IsSha256() sha256!: string;
}

class NoteFact extends SignedFact {
  @IsString() @MaxLength(90) about!: string;
  @IsString() @Length(1, 500) text!: string;
}

/** The rules of every kind: a new kind is a class and a line here. */
export const factRules: Record<FactKindId, ClassConstructor<SignedFact>> = {
  reading: ReadingFact,
  'end made': EndMadeFact,
  'end failed': EndFact,
  deviation: EndFact,
  damaged: EndFact,
  'shrink fitted': EndFact,
  cut: CutFact,
  'not cut': PieceFact,
  trimmed: TrimmedFact,
  'power step': PowerStepFact,
  'run reading': RunReadingFact,
  installed: InstalledFact,
  grounded: GroundedFact,
  'tube checked': TubeCheckedFact,
  sealed: SealedFact,
  opened: OpenedFact,
  'handed over': HandedOverFact,
  'task begun': TaskBegunFact,
  'task done': TaskDoneFact,
  photo: PhotoFact,
  'photo withdrawn': PhotoWithdrawnFact,
  sweep: SweepFact,
  'sweep withdrawn': SweepFact,
  withdrawn: WithdrawnFact,
  'birth record': SweepFact,
  note: NoteFact,
};
