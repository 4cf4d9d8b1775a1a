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
} from 'class-validator';
import type * as core from '@kobran/core';
import {
  DESIGN_SCHEMA,
  MAX_BANDS,
  MAX_IN_BATCH,
  MAX_LEGS,
  MAX_LOAD_POINTS,
  MAX_PIECES,
  housingKinds,
  sealSystemIds,
  tapeLaps,
  legKinds,
  noisePlaces,
  slackCauses,
  toleranceUnits,
  zones,
  type FaceCode,
  type LegKind,
  type Zone,
} from '@kobran/core';
import { ID, ID_MESSAGE } from './ids.js';
import { AreParts, IsPart } from './parts.js';

/** The limits of a design, member by member; what each member means is said in core. */

const number = { allowNaN: false, allowInfinity: false };

export class Band implements core.Band {
  @IsString() @Length(1, 60) name!: string;
  @IsNumber(number) @Min(1e3) @Max(100e9) lowHz!: number;
  @IsNumber(number) @Min(1e3) @Max(100e9) highHz!: number;
}

export class Preamplifier implements core.Preamplifier {
  @IsNumber(number) @Min(0) @Max(30) noiseFigureDb!: number;
  @IsNumber(number) @Min(0) @Max(60) gainDb!: number;
}

export class Service implements core.Service {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MAX_BANDS)
  @AreParts()
  @Type(() => Band)
  bands!: Band[];
  @IsNumber(number) @Min(0) @Max(100e3) powerW!: number;
  @IsNumber(number) @Min(0) @Max(1) duty!: number;
  @IsNumber(number) @Min(0) @Max(60) lossBudgetDb!: number;
  @IsBoolean() dcFeed!: boolean;
  @IsNumber(number) @Min(-60) @Max(85) ambientC!: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(40) noiseFigureDb?: number;
  @IsOptional() @IsPart() @Type(() => Preamplifier) preamplifier?: Preamplifier;
  @IsOptional() @IsIn(noisePlaces) noisePlace?: core.NoisePlace;
  @IsOptional() @IsNumber(number) @Min(0) @Max(90) elevationDeg?: number;
}

export class RadioPort implements core.RadioPort {
  @IsString() @Length(1, 80) name!: string;
  @IsString() @MaxLength(40) face!: FaceCode;
  @IsBoolean() handheld!: boolean;
  @IsOptional() @IsNumber(number) @Min(0) @Max(20) insulatorDepthMm?: number;
}

export class SeriesLoad implements core.SeriesLoad {
  @IsNumber(number) @Min(0.01) @Max(1e5) ohm!: number;
  @IsNumber(number) @Min(0) @Max(1) henry!: number;
  @IsNumber(number) @Min(0) @Max(1) farad!: number;
}

export class MeasuredLoad implements core.MeasuredLoad {
  @IsNumber(number) @Min(0.1) @Max(1e4) referenceOhm!: number;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(MAX_LOAD_POINTS)
  @IsNumber(number, { each: true })
  frequencyHz!: number[];
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(MAX_LOAD_POINTS) @IsNumber(number, { each: true }) re!: number[];
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(MAX_LOAD_POINTS) @IsNumber(number, { each: true }) im!: number[];
}

export class AntennaPort implements core.AntennaPort {
  @IsString() @Length(1, 80) name!: string;
  @IsString() @MaxLength(40) face!: FaceCode;
  @IsNumber(number) @Min(1) @Max(100) swr!: number;
  @IsBoolean() dcShort!: boolean;
  @IsOptional() @IsNumber(number) @Min(0) @Max(2000) drainMm?: number;
  @IsOptional() @IsPart() @Type(() => SeriesLoad) series?: SeriesLoad;
  @IsOptional() @IsPart() @Type(() => MeasuredLoad) measured?: MeasuredLoad;
}

export class End implements core.End {
  @IsString() @MaxLength(60) part!: string;
}

export class PhaseTolerance implements core.PhaseTolerance {
  @IsNumber(number) @Min(0.001) @Max(10_000) value!: number;
  @IsIn(toleranceUnits) unit!: core.PhaseTolerance['unit'];
}

export class Target implements core.Target {
  @IsNumber(number) @Min(1e3) @Max(100e9) frequencyHz!: number;
  @IsNumber(number) @Min(0.1) @Max(36000) degrees!: number;
  @IsOptional() @IsPart() @Type(() => PhaseTolerance) tolerance?: PhaseTolerance;
}

export class Piece {
  @IsIn(['assembly', 'adapter', 'arrester'], {
    message: 'kind must be assembly, adapter or arrester, got “$value”',
  })
  kind!: 'assembly' | 'adapter' | 'arrester';
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
}

export class Spot implements core.Spot {
  @IsNumber(number) @Min(0) @Max(10_000) atM!: number;
  @IsNumber(number) @Min(0.001) @Max(100) lengthM!: number;
  @IsNumber(number) @Min(1) @Max(500) ohm!: number;
}

export class Assembly extends Piece implements core.Assembly {
  override kind!: 'assembly';
  @IsString() @Length(1, 60) label!: string;
  @IsString() @MaxLength(60) cable!: string;
  @IsNumber(number) @Min(0.02) @Max(10_000) lengthM!: number;
  @IsPart() @Type(() => End) a!: End;
  @IsPart() @Type(() => End) b!: End;
  @IsOptional() @IsPart() @Type(() => Target) target?: Target;
  @IsOptional() @IsString() @MaxLength(40) lot?: string;
  @IsOptional() @IsString() @MaxLength(40) set?: string;
  @IsOptional() @IsInt() @Min(1) @Max(MAX_IN_BATCH) count?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(1_000) woundM?: number;
  @IsOptional() @IsArray() @ArrayMaxSize(20) @AreParts() @Type(() => Spot) spots?: Spot[];
}

export class AdapterPiece extends Piece implements core.AdapterPiece {
  override kind!: 'adapter';
  @IsString() @MaxLength(80) adapter!: string;
  @IsBoolean() reversed!: boolean;
}

export class ArresterPiece extends Piece implements core.ArresterPiece {
  override kind!: 'arrester';
  @IsString() @MaxLength(80) arrester!: string;
  @IsBoolean() reversed!: boolean;
  @IsNumber(number) @Min(0) @Max(5000) tubeV!: number;
}

export class Leg implements core.Leg {
  @Matches(ID, { message: ID_MESSAGE }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(legKinds) kind!: LegKind;
  @IsIn(zones) zone!: Zone;
  @IsNumber(number) @Min(0.01) @Max(5000) lengthM!: number;
  @IsNumber(number) @Min(0) @Max(100) slackM!: number;
  @IsOptional() @IsNumber(number) @Min(1) @Max(10_000) bendRadiusMm?: number;
  @IsOptional() @IsNumber(number) @Min(5) @Max(1000) boreMm?: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(60) hotterK?: number;
  @IsOptional() @IsNumber() @Min(-1000) @Max(1000) riseM?: number;
}

export class WaySlack implements core.WaySlack {
  @IsIn(slackCauses) cause!: core.SlackCause;
  @IsNumber(number) @Min(0) @Max(100) lengthM!: number;
}

export class RouteStep implements core.RouteStep {
  @Matches(ID, { message: ID_MESSAGE }) way!: string;
  @IsArray() @ArrayMaxSize(slackCauses.length) @AreParts() @Type(() => WaySlack) slack!: WaySlack[];
}

export class Housing implements core.Housing {
  @IsString() @MaxLength(90) joint!: string;
  @IsIn(housingKinds) kind!: core.Housing['kind'];
}

export class Hang implements core.Hang {
  @IsString() @MaxLength(90) joint!: string;
  @IsIn(['radio', 'antenna']) lower!: core.Hang['lower'];
}

export class JointSeal implements core.JointSeal {
  @IsString() @MaxLength(90) joint!: string;
  @IsIn(sealSystemIds) system!: core.SealSystemId;
  @IsOptional() @IsInt() @Min(1) @Max(6) passes?: number;
  @IsOptional() @IsIn(['a little', 'hard']) stretch?: core.TapeStretch;
  @IsOptional() @IsIn(tapeLaps) lap?: core.TapeLap;
  @IsOptional() @IsBoolean() courtesy?: boolean;
  @IsString() @Length(1, 300) reason!: string;
}

export class Design implements core.Design {
  @IsIn([DESIGN_SCHEMA], { message: `schema must be “${DESIGN_SCHEMA}”` }) schema!: string;
  @IsString() @Length(1, 120) name!: string;
  @IsPart() @Type(() => Service) service!: Service;
  @IsPart() @Type(() => RadioPort) radio!: RadioPort;
  @IsPart() @Type(() => AntennaPort) antenna!: AntennaPort;
  @IsArray()
  @ArrayMaxSize(MAX_PIECES, { message: `a run may have at most ${MAX_PIECES} pieces` })
  @AreParts()
  @Type(() => Piece, {
    discriminator: {
      property: 'kind',
      subTypes: [
        { name: 'assembly', value: Assembly },
        { name: 'adapter', value: AdapterPiece },
        { name: 'arrester', value: ArresterPiece },
      ],
    },
    keepDiscriminatorProperty: true,
  })
  pieces!: core.AnyPiece[];
  @IsArray() @ArrayMaxSize(MAX_LEGS) @AreParts() @Type(() => Leg) legs!: Leg[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_LEGS)
  @AreParts()
  @Type(() => RouteStep)
  route?: RouteStep[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_PIECES)
  @AreParts()
  @Type(() => Housing)
  housings?: Housing[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_PIECES)
  @AreParts()
  @Type(() => JointSeal)
  seals?: JointSeal[];
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MAX_PIECES)
  @AreParts()
  @Type(() => Hang)
  hangs?: Hang[];
}
