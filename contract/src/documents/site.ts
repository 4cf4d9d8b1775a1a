import 'reflect-metadata';
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
import type * as core from '@kobran/core';
import {
  MAX_DAYS,
  besideKinds,
  conditions,
  legKinds,
  MAX_BENDS,
  MAX_BESIDE,
  MAX_POINTS,
  MAX_SITE_PHOTOS,
  MAX_VIA,
  MAX_WAYS,
  pointKinds,
  SITE_SCHEMA,
  skills,
  type LegKind,
} from '@kobran/core';
import { Ground } from './ground.js';
import { IsRecordOf } from './isRecordOf.js';
import { ID, ID_MESSAGE } from './ids.js';
import { IsMoment, IsSha256 } from './kept.js';
import { AreParts, IsPart } from './parts.js';

/** The limits of a site, member by member; what each member means is said in core. */

const number = { allowNaN: false, allowInfinity: false };
/** A site wider than this is two, m. */
const FAR_M = 20_000;
const IsPlace = (): PropertyDecorator => (target, key) => {
  IsNumber(number)(target, key);
  Min(-FAR_M)(target, key);
  Max(FAR_M)(target, key);
};

export class Place3 implements core.Place3 {
  @IsPlace() xM!: number;
  @IsPlace() yM!: number;
  @IsPlace() zM!: number;
}

export class SitePoint extends Place3 implements core.SitePoint {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(pointKinds) kind!: core.PointKind;
}

export class WayBend implements core.WayBend {
  @IsNumber(number) @Min(0) @Max(5000) atM!: number;
  @IsNumber(number) @Min(1) @Max(360) degrees!: number;
  @IsNumber(number) @Min(1) @Max(10_000) radiusMm!: number;
}

export class Duct implements core.Duct {
  @IsNumber(number) @Min(5) @Max(1000) boreMm!: number;
  @IsBoolean() lubricated!: boolean;
  @IsBoolean() drained!: boolean;
  @IsBoolean() cord!: boolean;
}

export class Beside implements core.Beside {
  @IsIn(besideKinds) what!: core.Beside['what'];
  @IsNumber(number) @Min(0) @Max(100_000) distanceMm!: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(90) crossingDegrees?: number;
}

export class Way implements core.Way {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(legKinds) kind!: LegKind;
  @Matches(ID, { message: ID_MESSAGE }) from!: string;
  @Matches(ID, { message: ID_MESSAGE }) to!: string;
  @IsArray() @ArrayMaxSize(MAX_VIA) @AreParts() @Type(() => Place3) via!: Place3[];
  @IsArray() @ArrayMaxSize(conditions.length) @IsIn(conditions, { each: true }) conditions!: core.Condition[];
  @IsOptional() @IsNumber(number) @Min(0.01) @Max(5000) lengthM?: number;
  @IsArray() @ArrayMaxSize(MAX_BENDS) @AreParts() @Type(() => WayBend) bends!: WayBend[];
  @IsOptional() @IsPart() @Type(() => Duct) duct?: Duct;
  @IsOptional() @IsNumber(number) @Min(0) @Max(20) depthM?: number;
  @IsOptional() @IsNumber(number) @Min(0.05) @Max(20) supportM?: number;
  @IsOptional() @IsNumber(number) @Min(0.01) @Max(200) sagM?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(200) iceMm?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(120) windMps?: number;
  @IsArray() @ArrayMaxSize(MAX_BESIDE) @AreParts() @Type(() => Beside) beside!: Beside[];
}

export class Origin implements core.Origin {
  @IsNumber(number) @Min(-90) @Max(90) latDeg!: number;
  @IsNumber(number) @Min(-180) @Max(180) lonDeg!: number;
}

export class KnownPlace implements core.KnownPlace {
  @IsNumber(number) @Min(-1e5) @Max(1e5) xPx!: number;
  @IsNumber(number) @Min(-1e5) @Max(1e5) yPx!: number;
  @IsNumber(number) @Min(-100_000) @Max(100_000) xM!: number;
  @IsNumber(number) @Min(-100_000) @Max(100_000) yM!: number;
}

export class PlanPicture implements Omit<core.PlanPicture, 'places'> {
  @IsUUID() id!: string;
  @IsInt() @Min(1) @Max(20_000) widthPx!: number;
  @IsInt() @Min(1) @Max(20_000) heightPx!: number;
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @AreParts() @Type(() => KnownPlace) places!: KnownPlace[];
}

/** From and up to, minutes from midnight. */
const IsDaySpan = (): PropertyDecorator => (target, key) => {
  IsArray()(target, key);
  ArrayMinSize(2)(target, key);
  ArrayMaxSize(2)(target, key);
  IsInt({ each: true })(target, key);
  Min(0, { each: true })(target, key);
  Max(24 * 60, { each: true })(target, key);
};
const AreDaySpans = (): PropertyDecorator => (target, key) => {
  IsArray()(target, key);
  ArrayMaxSize(12)(target, key);
  IsArray({ each: true })(target, key);
};

class Worker implements core.Worker {
  @IsString() @Length(1, 60) name!: string;
  @IsDaySpan() hours!: core.DaySpan;
  @IsArray() @ArrayMaxSize(skills.length) @IsIn(skills, { each: true }) skills!: core.Skill[];
  @AreDaySpans() away!: core.DaySpan[];
}

class FixedTask implements core.FixedTask {
  @IsString() @Length(1, 200) task!: string;
  @IsOptional() @IsInt() @Min(0) @Max(24 * 60) startMin?: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(10)
  @IsString({ each: true })
  @MaxLength(60, { each: true })
  people?: string[];
}

export class DaySetup implements core.DaySetup {
  @IsArray() @ArrayMaxSize(40) @AreParts() @Type(() => Worker) people!: Worker[];
  @IsObject()
  @IsRecordOf((value) => typeof value === 'number' && Number.isInteger(value) && value >= 0 && value <= 20)
  tools!: core.DaySetup['tools'];
  @AreDaySpans() wet!: core.DaySpan[];
  @AreDaySpans() windy!: core.DaySpan[];
  @IsArray() @ArrayMaxSize(300) @AreParts() @Type(() => FixedTask) fixed!: FixedTask[];
}

class SitePhoto implements core.SitePhoto {
  @IsUUID() id!: string;
  @IsString() @MaxLength(60) about!: string;
  @IsSha256() sha256!: string;
  @IsOptional() @IsString() @MaxLength(300) caption?: string;
  @IsString() @MaxLength(60) by!: string;
  @IsMoment() at!: string;
}

export class Site implements Omit<core.Site, 'ground' | 'picture'> {
  @IsIn([SITE_SCHEMA], { message: `schema must be “${SITE_SCHEMA}”` }) schema!: string;
  @IsOptional() @IsPart() @Type(() => Origin) origin?: Origin;
  @IsOptional() @IsPart() @Type(() => PlanPicture) picture?: PlanPicture;
  @IsArray() @ArrayMaxSize(MAX_POINTS) @AreParts() @Type(() => SitePoint) points!: SitePoint[];
  @IsArray() @ArrayMaxSize(MAX_WAYS) @AreParts() @Type(() => Way) ways!: Way[];
  @IsPart() @Type(() => Ground) ground!: Ground;
  @IsOptional() @IsPart() @Type(() => DaySetup) day?: DaySetup;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_DAYS - 1)
  @AreParts()
  @Type(() => DaySetup)
  nextDays?: DaySetup[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_SITE_PHOTOS)
  @AreParts()
  @Type(() => SitePhoto)
  photos?: SitePhoto[];
}
