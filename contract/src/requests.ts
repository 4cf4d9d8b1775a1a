import 'reflect-metadata';
import {
  labelForms,
  labelSizes,
  type LabelForm,
  type LabelSize,
  MAX_IN_BATCH,
  farEnds,
  instrumentKinds,
  shopKinds,
  stages,
  type FarEndKind,
  type InstrumentKind,
  type ShopKind,
  type SnagLevel,
  type StageId,
} from '@kobran/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
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
} from 'class-validator';

import { BenchHands } from './documents/bench.js';
import { Practice } from './documents/practice.js';
import { MAX_KEPT_POINTS } from './limits.js';
import { IsMoment, IsVersion } from './documents/kept.js';
import { AreParts, AreSamples, IsPart } from './documents/parts.js';

/** What the web sends to the server. A design travels as plain JSON and is read by `readDesign`. */

export class CreateJob {
  /** Chosen by the sender, so that a repeated request makes one job. */
  @IsUUID() id!: string;
  @IsString() @Length(1, 120) name!: string;
  @IsString() @MaxLength(200) site!: string;
  @IsOptional() @IsPart() @Type(() => Practice) practice?: Practice;
}

export class ReplaceJob {
  /** The version this change was made on. */
  @IsVersion(1) version!: number;
  @IsString() @Length(1, 120) name!: string;
  @IsString() @MaxLength(200) site!: string;
  @IsPart() @Type(() => Practice) practice!: Practice;
}

export class CreateRun {
  @IsUUID() id!: string;
  @IsObject() design!: object;
}

export class ReplaceRun {
  @IsVersion(1) version!: number;
  @IsObject() design!: object;
}

/** The place of a job: points and ways. It travels as plain JSON and is read by `readSite`. */
export class ReplaceSite {
  /** The version this change was made on; 0 before there was one. */
  @IsVersion(0) version!: number;
  @IsObject() site!: object;
}

/** A run which takes its route from the site. */
export class RunOnSite extends ReplaceRun {
  @IsUUID() id!: string;
}

/** The place of a job with the runs which lie in it: all or nothing. */
export class PutOnSite extends ReplaceSite {
  @IsArray() @ArrayMaxSize(200) @AreParts() @Type(() => RunOnSite) runs!: RunOnSite[];
}

/** How the shop works; a new job starts from it. */
export class ReplaceShopPractice {
  /** The version this change was made on; 0 before anybody changed it. */
  @IsVersion(0) version!: number;
  @IsPart() @Type(() => Practice) practice!: Practice;
}

/** How far a card or a batch is; the newest stands, whichever device it comes from. */
export class KeepProgress {
  @IsMoment() at!: string;
  /** Empty when the work is done or given up. */
  @IsOptional() @IsObject() body?: object;
}

/** One entry of the shop’s own catalogue; `readShopEntry` checks its data by its kind. */
export class PutShopEntry {
  /** The version this change was made on; 0 for a new entry. */
  @IsVersion(0) version!: number;
  @IsObject() data!: object;
}

export class ShopFileEntry {
  @IsIn(shopKinds) kind!: ShopKind;
  @IsObject() data!: object;
}

/** Many entries at once, all or none. */
export class ImportShop {
  @IsArray()
  @ArrayMaxSize(5000)
  @AreParts()
  @Type(() => ShopFileEntry)
  entries!: ShopFileEntry[];
}

export class TraceSeries {
  @AreSamples() re!: number[];
  @AreSamples() im!: number[];
}

/** A sweep of a run or of one of its assemblies. */
export class AddTrace {
  @IsUUID() id!: string;
  /** An assembly alone, or empty for the whole run. */
  @IsString() @MaxLength(40) pieceId!: string;
  @IsString() @Length(1, 120) name!: string;
  @IsIn(farEnds) far!: FarEndKind;
  /** Did it rain before? Water shows afterwards. */
  @IsBoolean() rained!: boolean;
  @IsString() @MaxLength(60) by!: string;
  /** Whose session signed it; the server writes it. */
  @IsOptional() @IsUUID() member?: string;
  @IsMoment() at!: string;
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0.001) @Max(1e6) referenceOhm!: number;
  @AreSamples() @ArrayMinSize(2) frequencyHz!: number[];
  @IsPart() @Type(() => TraceSeries) s11!: TraceSeries;
  @IsOptional() @IsPart() @Type(() => TraceSeries) s21?: TraceSeries;
  @IsOptional() @IsPart() @Type(() => TraceSeries) s12?: TraceSeries;
  @IsOptional() @IsPart() @Type(() => TraceSeries) s22?: TraceSeries;
}

/** Which strip gauges to print, and in which units. */
export class GaugeSheetQuery {
  /** `main.a`; every end when not given. */
  @IsOptional() @IsString() @Length(1, 60) end?: string;
  @IsOptional() @IsIn(['metric', 'imperial']) units?: 'metric' | 'imperial';
  /** To look at, or notches to cut out of card and feel. */
  @IsOptional() @IsIn(['sheet', 'tactile']) form?: 'sheet' | 'tactile';
}

/** Where somebody is just now: said again every half minute, and forgotten after a little more than one. */
export class Here {
  /** Of the page, so that one person at two devices is there twice. */
  @IsUUID() id!: string;
  @IsString() @MaxLength(60) name!: string;
  /** The address of the screen; nothing when the page is left. */
  @IsString() @MaxLength(300) path!: string;
}

/** Which page of the board. */
export class BoardQuery {
  /** Words somebody looks for, in any order. */
  @IsOptional() @IsString() @MaxLength(120) search?: string;
  /** Runs whose next step is in this stage. */
  @IsOptional() @IsIn(stages.map(({ id }) => id)) stage?: StageId;
  /** Runs whose worst problem is of this level, or which have none. */
  @IsOptional() @IsIn(['stop', 'caution', 'note', 'none']) problem?: SnagLevel | 'none';
  @IsOptional() @IsIn(['overdue', 'soon']) due?: 'overdue' | 'soon';
  /** Somebody who has signed something of it. */
  @IsOptional() @IsString() @MaxLength(60) person?: string;
  /** Only the runs of this job. */
  @IsOptional() @IsUUID() job?: string;
  /** As the page before it says. */
  @IsOptional() @Matches(/^\d{1,15}\.\d{1,15}$/) after?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(200) most?: number;
}

/** Which inspections. */
export class InspectionsQuery {
  /** `true`: overdue ones, and those which somebody would plan for now. */
  @IsOptional() @IsIn(['true', 'false']) soon?: 'true' | 'false';
}

/** How an as-built is printed. */
export class AsBuiltQuery {
  @IsOptional() @IsIn(['metric', 'imperial']) units?: 'metric' | 'imperial';
  /** A customer’s copy has no names of the crew. */
  @IsOptional() @IsIn(['crew', 'customer']) copy?: 'crew' | 'customer';
}

/** Labels of a whole site. */
export class SiteLabelsQuery {
  /** Folded round the cable, wrapped round it, or one by one from a roll. */
  @IsOptional() @IsIn(labelForms) form?: LabelForm;
  @IsOptional() @IsIn(labelSizes) size?: LabelSize;
}

/** Labels for several of one assembly. */
export class LabelSheetQuery extends SiteLabelsQuery {
  @IsOptional() @IsString() @Length(1, 40) piece?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(MAX_IN_BATCH) count?: number;
}

/** An instrument connected by its address. */
export class ConnectInstrument {
  @IsUUID() id!: string;
  @IsIn(instrumentKinds) kind!: InstrumentKind;
  @IsString() @Length(1, 60) name!: string;
  @IsString()
  @Matches(/^[a-zA-Z0-9.:-]{1,100}$/, { message: 'host must be a name or an address, got “$value”' })
  host!: string;
  @IsInt() @Min(1) @Max(65_535) port!: number;
}

/** Puts a run, or one of its assemblies, on the simulated bench. */
export class PutOnBench {
  @IsUUID() runId!: string;
  /** Empty for the whole run. */
  @IsString() @MaxLength(40) pieceId!: string;
  /** What was done badly follows from it; 0 is sound work. */
  @IsInt() @Min(0) @Max(2 ** 31 - 1) seed!: number;
  @IsPart() @Type(() => BenchHands) hands!: BenchHands;
}

/** How an analyser is to sweep. */
export class SweepSetup {
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(1e4) @Max(100e9) startHz!: number;
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(1e4) @Max(100e9) stopHz!: number;
  @IsInt() @Min(2) @Max(MAX_KEPT_POINTS) points!: number;
  @IsInt() @Min(1) @Max(100) averages!: number;
  @IsIn([1, 2]) ports!: 1 | 2;
}

export const calibrationSteps = [
  'open 1',
  'short 1',
  'load 1',
  'open 2',
  'short 2',
  'load 2',
  'through',
  'save',
] as const;
export type CalibrationStep = (typeof calibrationSteps)[number];

/** One standard is screwed on, or all were and are put to use. */
export class CalibrateAnalyser {
  @IsIn(calibrationSteps) step!: CalibrationStep;
  @IsPart() @Type(() => SweepSetup) setup!: SweepSetup;
}

/** Power to be sent into what is on the bench, *forward*, W. */
export class ReadPower {
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(1e6) @Max(3e9) frequencyHz!: number;
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0.1) @Max(1500) powerW!: number;
}

/** A piece that is cut, or whose cutting is taken back. */
export class BookedPiece {
  @IsUUID() id!: string;
  @IsUUID() runId!: string;
  @IsString() @Length(1, 40) pieceId!: string;
  /** Between the two cut ends, m, and the reel it comes from. */
  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0.001)
  @Max(10_000)
  lengthM?: number;
  @IsOptional() @IsString() @Length(1, 80) reel?: string;
}

/** A reel as it was when the plan was made. */
export class ReelVersion {
  @IsString() @Length(1, 80) id!: string;
  @IsVersion(1) version!: number;
}

/** A cutting plan that was cut, or taken back: shelf and log change together or not at all. */
export class BookCutting {
  @IsIn(['cut', 'not cut']) kind!: 'cut' | 'not cut';
  /** Reels which change or go, at the version they stand at; a new one has none. */
  @IsArray()
  @ArrayMaxSize(500)
  @AreParts()
  @Type(() => ReelVersion)
  standing!: ReelVersion[];
  /** Reels as they are afterwards; core checks them. */
  @IsArray() @ArrayMaxSize(1000) @IsObject({ each: true }) put!: object[];
  @IsArray() @ArrayMaxSize(500) @IsString({ each: true }) remove!: string[];
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(1000)
  @AreParts()
  @Type(() => BookedPiece)
  pieces!: BookedPiece[];
  @IsString() @MaxLength(60) by!: string;
  @IsMoment() at!: string;
}
