import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
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
import type * as core from '@kobran/core';
import {
  bondJoints,
  bondMethods,
  earthMethods,
  groundNodeKinds,
  lightningLevels,
  MAX_BONDS,
  MAX_GROUND_READINGS,
  MAX_NODES,
  metals,
} from '@kobran/core';
import { ID, ID_MESSAGE } from './ids.js';
import { IsMoment } from './kept.js';
import { AreParts, IsPart } from './parts.js';
import { UsedPart } from './usedPart.js';

/** The limits of a site’s ground, member by member; what each member means is said in core. */

const number = { allowNaN: false, allowInfinity: false };
/** A part of the ground, or the arrester of a run. */
const END = /^[a-z0-9][a-z0-9-]{0,39}(\.[a-z0-9][a-z0-9-]{0,39})?$/;
const DAY = /^\d{4}-\d{2}-\d{2}$/;
const DAY_MESSAGE = '$property must be a day as 2026-11-20, got “$value”';

export class ElectrodeSize implements core.ElectrodeSize {
  @IsNumber(number) @Min(0.05) @Max(1000) lengthM!: number;
  @IsNumber(number) @Min(1) @Max(1000) diameterMm!: number;
  @IsNumber(number) @Min(0) @Max(50) depthM!: number;
}

export class Kit {
  @Matches(ID, { message: ID_MESSAGE }) run!: string;
  @IsNumber(number) @Min(0) @Max(100) fromMm!: number;
  @IsNumber(number) @Min(0) @Max(100) toMm!: number;
}

export class GroundNode implements core.GroundNode {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(groundNodeKinds) kind!: core.GroundNodeKind;
  @IsOptional() @Matches(ID, { message: ID_MESSAGE }) point?: string;
  @IsIn(metals) metal!: core.Metal;
  @IsOptional() @IsPart() @Type(() => ElectrodeSize) electrode?: ElectrodeSize;
  @IsOptional() @IsPart() @Type(() => Kit) kit?: Kit;
  @IsOptional() @IsString() @MaxLength(80) protector?: string;
}

/** A round conductor by its area, or a strap by width and thickness. */
export class Section {
  @IsOptional() @IsNumber(number) @Min(0.1) @Max(10_000) areaMm2?: number;
  @IsOptional() @IsNumber(number) @Min(1) @Max(2000) widthMm?: number;
  @IsOptional() @IsNumber(number) @Min(0.05) @Max(50) thicknessMm?: number;
}

export class Made {
  @IsString() @Length(1, 80) by!: string;
  @Matches(DAY, { message: DAY_MESSAGE }) on!: string;
  @IsOptional() @IsMoment() at?: string;
  @IsOptional() @IsArray() @ArrayMaxSize(10) @AreParts() @Type(() => UsedPart) used?: UsedPart[];
}

export class Bond implements Omit<core.Bond, 'section'> {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @Matches(END) from!: string;
  @Matches(END) to!: string;
  @IsOptional() @IsNumber(number) @Min(0) @Max(1000) lengthM?: number;
  @IsPart() @Type(() => Section) section!: Section;
  @IsIn(metals) metal!: core.Metal;
  @IsInt() @Min(1) @Max(12) parallel!: number;
  @IsInt() @Min(0) @Max(40) sharpBends!: number;
  @IsIn(bondJoints) joint!: core.BondJoint;
  @IsBoolean() bimetal!: boolean;
  @IsOptional() @IsNumber(number) @Min(0) @Max(10) bareDepthM?: number;
  @IsOptional() @IsPart() @Type(() => Made) made?: Made;
}

export class GroundReading implements core.GroundReading {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsIn(['earth', 'bond']) kind!: core.GroundReading['kind'];
  @Matches(ID, { message: ID_MESSAGE }) about!: string;
  @IsNumber(number) @Min(0) @Max(100_000) ohm!: number;
  @IsIn([...new Set([...earthMethods, ...bondMethods])]) method!: core.GroundReading['method'];
  @IsOptional() @IsNumber(number) @Min(0) @Max(1000) spacingM?: number;
  @IsOptional() @IsString() @MaxLength(200) weather?: string;
  @IsString() @Length(1, 80) by!: string;
  @Matches(DAY, { message: DAY_MESSAGE }) on!: string;
}

export class Ground implements Omit<core.Ground, 'bonds'> {
  @IsNumber(number) @Min(0.1) @Max(100_000) soilOhmM!: number;
  @IsNumber(number) @Min(0.1) @Max(10) season!: number;
  @IsIn(lightningLevels) level!: core.LightningLevel;
  @IsNumber(number) @Min(0.01) @Max(1) share!: number;
  @Matches(ID, { message: ID_MESSAGE }) profile!: string;
  @IsArray() @ArrayMaxSize(MAX_NODES) @AreParts() @Type(() => GroundNode) nodes!: GroundNode[];
  @IsArray() @ArrayMaxSize(MAX_BONDS) @AreParts() @Type(() => Bond) bonds!: Bond[];
  @IsArray()
  @ArrayMaxSize(MAX_GROUND_READINGS)
  @AreParts()
  @Type(() => GroundReading)
  readings!: GroundReading[];
}
