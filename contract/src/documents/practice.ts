import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { Type } from 'class-transformer';
import * as core from '@kobran/core';
import {
  causeIds,
  centreSchools,
  markingSchools,
  tapeLaps,
  toolIds,
  uhfShieldSchools,
  unbraidingSchools,
  type CentreSchool,
  type MarkingSchool,
  type TapeLap,
  type ToolId,
  type UhfShieldSchool,
  type UnbraidingSchool,
  type CauseId,
} from '@kobran/core';
import { ID, ID_MESSAGE } from './ids.js';
import { AreParts, IsPart } from './parts.js';

export class CausePrior implements core.CausePrior {
  @IsIn(causeIds) cause!: CauseId;
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1) share!: number;
}

const number = { allowNaN: false, allowInfinity: false };
const IsMm2 = (): PropertyDecorator => (target, key) => {
  IsNumber(number)(target, key);
  Min(0.5)(target, key);
  Max(1000)(target, key);
};

export class CopperMm2 implements Record<core.BondRole, number> {
  @IsMm2() electrodes!: number;
  @IsMm2() mast!: number;
  @IsMm2() shield!: number;
  @IsMm2() arrester!: number;
  @IsMm2() equipment!: number;
}

export class CodeProfile implements core.CodeProfile {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsString() @MaxLength(40) edition!: string;
  @IsString() @MaxLength(60) country!: string;
  @IsString() @Length(1, 200) source!: string;
  @IsPart() @Type(() => CopperMm2) copperMm2!: CopperMm2;
  @IsNumber(number) @Min(0.1) @Max(10_000) earthOhm!: number;
}

const Months = (): PropertyDecorator => (target, key) => {
  IsOptional()(target, key);
  IsInt()(target, key);
  Min(1)(target, key);
  Max(120)(target, key);
};

export class InspectionMonths implements Partial<Record<core.TapedExposure, number>> {
  @Months() salt?: number;
  @Months() ice?: number;
  @Months() outdoor?: number;
  @Months() sheltered?: number;
}

export class OwnTape implements core.Tape {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(['rubber', 'silicone', 'mastic', 'vinyl']) kind!: core.Tape['kind'];
  @IsNumber(number) @Min(5) @Max(200) widthMm!: number;
  @IsNumber(number) @Min(0.05) @Max(10) thicknessMm!: number;
  @IsNumber(number) @Min(0.1) @Max(200) rollM!: number;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @IsNumber(number, { each: true })
  @Min(1, { each: true })
  @Max(5, { each: true })
  stretch!: readonly [number, number];
  @IsNumber(number) @Min(-60) @Max(40) lowestC!: number;
  @IsBoolean() liner!: boolean;
  @IsBoolean() uv!: boolean;
  @IsInt() @Min(1) @Max(240) shelfMonths!: number;
  @IsString() @Length(1, 200) source!: string;
}

export class OwnSleeve implements core.Sleeve {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(core.sleeveKinds) kind!: core.SleeveKind;
  @IsNumber(number) @Min(2) @Max(200) openMm!: number;
  @IsNumber(number) @Min(1) @Max(200) closedMm!: number;
  @IsNumber(number) @Min(20) @Max(2000) lengthMm!: number;
  @IsNumber(number) @Min(0.5) @Max(1) keeps!: number;
  @IsNumber(number) @Min(0.2) @Max(20) wallMm!: number;
  @IsNumber(number) @Min(-60) @Max(40) lowestC!: number;
  @IsString() @Length(1, 200) source!: string;
}

export class Practice implements core.Practice {
  @IsIn(['exact', 'shop']) cutSchool!: 'exact' | 'shop';
  @IsIn(['a little', 'hard']) tapeStretch!: 'a little' | 'hard';
  @IsOptional() @IsIn(tapeLaps) tapeLap?: TapeLap;
  @IsOptional() @IsIn(core.tapeAdvances) tapeAdvance?: core.TapeAdvance;
  @IsOptional() @IsInt() @Min(1) @Max(6) tapePasses?: number;
  @IsOptional() @IsBoolean() courtesyLayer?: boolean;
  @IsOptional() @Matches(ID, { message: ID_MESSAGE }) fusingTape?: string;
  @IsOptional() @Matches(ID, { message: ID_MESSAGE }) vinylTape?: string;
  @IsOptional() @Matches(ID, { message: ID_MESSAGE }) masticTape?: string;
  @IsOptional() @IsArray() @ArrayMaxSize(20) @AreParts() @Type(() => OwnTape) ownTapes?: OwnTape[];
  @IsOptional() @IsArray() @ArrayMaxSize(20) @AreParts() @Type(() => OwnSleeve) ownSleeves?: OwnSleeve[];
  @IsOptional() @IsIn(core.sealSystemIds) sealSystem?: core.SealSystemId;
  @IsOptional() @IsPart() @Type(() => InspectionMonths) inspectionMonths?: InspectionMonths;
  @IsInt() @Min(0) @Max(10) remakesPerEnd!: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  @Min(0.5, { each: true })
  @Max(60, { each: true })
  diesMm?: number[];
  @IsOptional() @IsArray() @ArrayMaxSize(40) @IsIn(toolIds, { each: true }) tools?: ToolId[];
  @IsOptional() @IsIn(centreSchools) centreSchool?: CentreSchool;
  @IsOptional() @IsIn(markingSchools) marking?: MarkingSchool;
  @IsOptional() @IsIn(unbraidingSchools) unbraiding?: UnbraidingSchool;
  @IsOptional() @IsIn(uhfShieldSchools) uhfShield?: UhfShieldSchool;
  @IsOptional() @IsBoolean() twoPersonCheck?: boolean;
  @IsOptional() @IsIn([2]) signatures?: 2;
  @IsOptional() @IsBoolean() tuner?: boolean;
  @IsOptional() @IsIn(['two-wire', 'four-wire']) ohmMeter?: 'two-wire' | 'four-wire';
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  crew?: string[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @AreParts()
  @Type(() => CausePrior)
  causePriors?: CausePrior[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(10)
  @AreParts()
  @Type(() => CodeProfile)
  codeProfiles?: CodeProfile[];
}
