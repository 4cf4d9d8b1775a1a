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
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator';
import type * as core from '@kobran/core';
import {
  adapterForms,
  deviceKinds,
  directCurrents,
  styleIds,
  type Adapter,
  type AdapterForm,
  type Cable,
  type FaceCode,
  type PartDimensions,
  type PinBore,
  type Style,
} from '@kobran/core';
import { IsMoment } from './kept.js';
import { AreParts, IsPart } from './parts.js';

/** What a shop adds to the catalogue: its own cables, parts, adapters and ports, and what lies on its shelf. */

const number = { allowNaN: false, allowInfinity: false };
const ID = /^[a-z0-9][a-z0-9-]{0,79}$/;
const ID_MESSAGE = { message: '$property must be 1 to 80 of a–z, 0–9 and -, got “$value”' };
const mm =
  (least: number, most: number): PropertyDecorator =>
  (target, property) => {
    IsNumber(number)(target, property);
    Min(least, { message: `$property must be at least ${least} mm, got $value` })(target, property);
    Max(most, { message: `$property must be at most ${most} mm, got $value` })(target, property);
  };

/** One figure of a cable’s sheet: loss at a frequency. */
export class LossPoint implements core.LossPoint {
  @IsNumber(number) @Min(1e4) @Max(100e9) frequencyHz!: number;
  @IsNumber(number) @Min(0.001) @Max(1000) dbPer100M!: number;
}

export class OwnCable implements Cable {
  @Matches(ID, ID_MESSAGE) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsOptional() @IsString() @MaxLength(120) aliases?: string;
  @IsNumber(number) @Min(20) @Max(300) impedanceOhm!: number;
  @IsNumber(number) @Min(0.4) @Max(1) velocityFactor!: number;
  @mm(0.1, 40) centreMm!: number;
  @IsString() @MaxLength(80) centre!: string;
  @IsIn(['solid', 'stranded']) centreKind!: Cable['centreKind'];
  @mm(0.3, 100) dielectricMm!: number;
  @IsString() @MaxLength(80) dielectric!: string;
  @IsString() @MaxLength(80) shield!: string;
  @IsIn(['braid', 'two braids', 'foil and braid', 'tube']) shieldKind!: Cable['shieldKind'];
  @mm(0.5, 120) jacketMm!: number;
  @IsString() @MaxLength(80) jacket!: string;
  @IsNumber(number) @Min(0) @Max(50) k1!: number;
  @IsNumber(number) @Min(0) @Max(5) k2!: number;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(20)
  @AreParts()
  @Type(() => LossPoint)
  lossPoints?: LossPoint[];
  @IsOptional() @IsNumber(number) @Min(0.001) @Max(1000) lawFromMhz?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(0.2) velocityTolerance?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(0.5) lossTolerance?: number;
  @IsNumber(number) @Min(10) @Max(500) capacitancePfPerM!: number;
  @IsOptional() @IsNumber(number) @Min(1) @Max(50_000) maxVoltageRms?: number;
  @IsNumber(number) @Min(1) @Max(50_000) peakRfV!: number;
  @mm(1, 5000) bendOnceMm!: number;
  @mm(1, 5000) bendRepeatedMm!: number;
  @IsNumber(number) @Min(1) @Max(10_000) massKgPerKm!: number;
  @IsOptional() @IsNumber(number) @Min(1) @Max(100_000) pullN?: number;
  @IsIn(['yes', 'no', 'flooded type only']) directBurial!: Cable['directBurial'];
  @IsOptional() @IsIn(['yes', 'with care', 'no']) wetDuct?: NonNullable<Cable['wetDuct']>;
  @IsOptional() @IsIn(['tinned throughout', 'shield only', 'no']) salt?: NonNullable<Cable['salt']>;
  @IsBoolean() uvResistant!: boolean;
  @IsNumber(number) @Min(30) @Max(400) maxJacketC!: number;
  @IsNumber(number) @Min(0) @Max(5000) innerOhmPerKm!: number;
  @IsNumber(number) @Min(0) @Max(5000) outerOhmPerKm!: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(100_000) costPerM?: number;
  @IsString() @Length(1, 200, { message: 'source must say where the figures come from' }) source!: string;
}

export class OwnPinBore implements PinBore {
  @mm(0.1, 20) boreMm!: number;
  @mm(0, 100) depthMm!: number;
  @IsIn(['solid', 'stranded', 'either']) made!: PinBore['made'];
}

const given = (key: keyof PartDimensions): PropertyDecorator =>
  ValidateIf((part: PartDimensions) => part[key] !== null);

export class OwnPart implements PartDimensions {
  @Matches(ID, ID_MESSAGE) id!: string;
  @IsString() @Length(1, 100) name!: string;
  @IsString() @MaxLength(40) face!: FaceCode;
  @IsIn(styleIds) style!: Style;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(4)
  @AreParts()
  @Type(() => OwnPinBore)
  pins!: OwnPinBore[];
  @given('bodyBoreMm') @mm(0.3, 100) bodyBoreMm!: number | null;
  @mm(0, 100) seatMm!: number;
  @IsOptional() @mm(0, 50) rearMm?: number;
  @mm(0, 100) neckMm!: number;
  @given('neckOuterMm') @mm(0.3, 100) neckOuterMm!: number | null;
  @given('gripBoreMm') @mm(0.5, 120) gripBoreMm!: number | null;
  @mm(0, 150) gripMm!: number;
  @mm(0, 100) foldBackMm!: number;
  @given('hexMm') @mm(0.5, 60) hexMm!: number | null;
  @mm(1, 200) jacketToPlaneMm!: number;
  @mm(0, 50) proudMm!: number;
  @mm(0, 200) electricalMm!: number;
  @IsOptional() @IsBoolean() captiveNut?: boolean;
  @IsNumber(number) @Min(1) @Max(600) minutes!: number;
  @IsString() @Length(1, 200, { message: 'source must say where the figures come from' }) source!: string;
}

/** What a device does besides carrying the wave on. */
export class OwnDevice implements core.InlineDevice {
  @IsIn(deviceKinds) kind!: core.DeviceKind;
  @IsNumber(number) @Min(1) @Max(100e9) lowHz!: number;
  @IsNumber(number) @Min(0) @Max(100) lossDb!: number;
  @IsNumber(number) @Min(0.001) @Max(1e6) averageW!: number;
  @IsIn(directCurrents) dc!: core.InlineDevice['dc'];
  @IsNumber(number) @Min(0.01) @Max(100) ratio!: number;
}

export class OwnAdapter implements Adapter {
  @Matches(ID, ID_MESSAGE) id!: string;
  @IsString() @Length(1, 100) name!: string;
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @IsString({ each: true }) faces!: [FaceCode, FaceCode];
  @IsIn(adapterForms) form!: AdapterForm;
  @mm(2, 1000) lengthMm!: number;
  @IsNumber(number) @Min(0.5) @Max(5000) massG!: number;
  @mm(0, 1000) electricalMm!: number;
  @IsOptional() @mm(0, 20) insulatorDepthMm?: number;
  @IsOptional() @IsPart() @Type(() => OwnDevice) device?: OwnDevice;
  @IsNumber(number) @Min(1e5) @Max(110e9) maxFrequencyHz!: number;
  @IsString() @Length(1, 200, { message: 'source must say where the figures come from' }) source!: string;
}

/** The port of a radio, an antenna or a cable end which somebody owns. */
export class Port implements core.Port {
  @Matches(ID, ID_MESSAGE) id!: string;
  @IsString() @Length(1, 80) name!: string;
  /** Where it stands in a run: equipment, or what it is joined to. */
  @IsIn(['radio', 'antenna']) side!: 'radio' | 'antenna';
  @IsString() @MaxLength(40) face!: FaceCode;
  @IsNumber(number) @Min(1e3) @Max(100e9) lowHz!: number;
  @IsNumber(number) @Min(1e3) @Max(100e9) highHz!: number;
  /** *Forward* power it gives, or may take, W; 0 for receive only. */
  @IsNumber(number) @Min(0) @Max(100e3) powerW!: number;
  @IsBoolean() handheld!: boolean;
  @IsOptional() @mm(0, 20) insulatorDepthMm?: number;
  @IsNumber(number) @Min(1) @Max(100) swr!: number;
  @IsBoolean() dcShort!: boolean;
  /** How often it has been coupled. */
  @IsInt() @Min(0) @Max(1e6) matings!: number;
}

/** Parts of any kind on the shelf. */
export class Stock implements core.Stock {
  @Matches(ID, ID_MESSAGE) id!: string;
  /** Pieces, rolls, or m. */
  @IsNumber(number) @Min(0) @Max(10_000) count!: number;
  @IsOptional() @IsMoment() countedAt?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(500)
  @IsString({ each: true })
  @MaxLength(90, { each: true })
  putBack?: string[];
  @IsOptional() @IsInt() @Min(0) @Max(10_000) lowest?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(1e6) price?: number;
  @IsOptional() @IsString() @Length(1, 80) supplier?: string;
  @IsOptional() @IsString() @Length(1, 80) place?: string;
  @IsOptional() @IsString() @Length(1, 40) lot?: string;
  /** Couplings of the most used of them. */
  @IsInt() @Min(0) @Max(1e6) matings!: number;
}

/** A stretch of a reel which nobody may use, m from its outer end. */
export class DamagedSpan implements core.DamagedSpan {
  @IsNumber(number) @Min(0) @Max(10_000) fromM!: number;
  @IsNumber(number) @Min(0) @Max(10_000) toM!: number;
}

/** Cable on the shelf: a reel or what is left of one. */
export class Reel implements core.Reel {
  @Matches(ID, ID_MESSAGE) id!: string;
  @IsString() @Length(1, 80) name!: string;
  /** The cable’s id. */
  @Matches(ID, ID_MESSAGE) cable!: string;
  /** Production batch; empty when nobody knows. */
  @IsString() @MaxLength(40) lot!: string;
  @IsNumber(number) @Min(0.02) @Max(10_000) lengthM!: number;
  /** A reel nobody has begun: offcuts are used up before it. */
  @IsBoolean() isNew!: boolean;
  @IsArray()
  @ArrayMaxSize(50)
  @AreParts()
  @Type(() => DamagedSpan)
  damaged!: DamagedSpan[];
}

export const shopClasses = {
  cable: OwnCable,
  part: OwnPart,
  adapter: OwnAdapter,
  port: Port,
  stock: Stock,
  reel: Reel,
} as const;
