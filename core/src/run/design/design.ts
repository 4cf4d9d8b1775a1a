import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import type { FaceCode } from '../../catalog/index.js';
import { legKinds, zones, type LegKind, type Zone } from '../../route/index.js';

/** The document people edit: one run from an equipment port to an antenna port. SI units. */

export const DESIGN_SCHEMA = 'kobran-design/1';

/** More pieces than any run has; a document beyond it is a mistake. */
export const MOST_PIECES = 120;
export const MOST_LEGS = 60;
export const MOST_BANDS = 8;

const ID = /^[a-z0-9][a-z0-9-]{0,39}$/;
const ID_SAID = '$property must be 1 to 40 of a–z, 0–9 and -, got “$value”';
const number = { allowNaN: false, allowInfinity: false };

export class Band {
  @IsString() @Length(1, 60) name!: string;
  @IsNumber(number) @Min(1e3) @Max(100e9) lowHz!: number;
  @IsNumber(number) @Min(1e3) @Max(100e9) highHz!: number;
}

/** An amplifier at the antenna, fed over the cable or by itself. */
export class Preamplifier {
  @IsNumber(number) @Min(0) @Max(30) noiseFigureDb!: number;
  @IsNumber(number) @Min(0) @Max(60) gainDb!: number;
}

/** What the run is for. */
export class Service {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_BANDS)
  @ValidateNested({ each: true })
  @Type(() => Band)
  bands!: Band[];
  /** *Forward* power: the transmitter's rating into a matched load, W; 0 for receive only. */
  @IsNumber(number) @Min(0) @Max(100e3) powerW!: number;
  /** Share of time on the air at full power, 0..1. */
  @IsNumber(number) @Min(0) @Max(1) duty!: number;
  @IsNumber(number) @Min(0) @Max(60) lossBudgetDb!: number;
  /** Is direct current fed over the cable, for a preamplifier, relay or tuner? */
  @IsBoolean() dcFeed!: boolean;
  @IsNumber(number) @Min(-60) @Max(85) ambientC!: number;
  /** Noise figure of the receiver; receive-only runs are judged by it. */
  @IsOptional() @IsNumber(number) @Min(0) @Max(40) noiseFigureDb?: number;
  /** The first amplifier, when it stands at the antenna. */
  @IsOptional() @ValidateNested() @Type(() => Preamplifier) preamplifier?: Preamplifier;
}

export class RadioPort {
  @IsString() @Length(1, 80) name!: string;
  @IsString() @MaxLength(40) face!: FaceCode;
  /** A handheld's port: small, deep, and easily strained. */
  @IsBoolean() handheld!: boolean;
}

/** Resistance, inductance and capacitance one after the other, as the antenna is near its resonance; 0 where there is none. */
export class SeriesLoad {
  @IsNumber(number) @Min(0.01) @Max(1e5) ohm!: number;
  @IsNumber(number) @Min(0) @Max(1) henry!: number;
  @IsNumber(number) @Min(0) @Max(1) farad!: number;
}

/** More points say no more of an antenna. */
export const MOST_LOAD_POINTS = 401;

/** What was measured at the antenna’s own port: reflection over frequency. */
export class MeasuredLoad {
  @IsNumber(number) @Min(0.1) @Max(1e4) referenceOhm!: number;
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(MOST_LOAD_POINTS)
  @IsNumber(number, { each: true })
  frequencyHz!: number[];
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(MOST_LOAD_POINTS) @IsNumber(number, { each: true }) re!: number[];
  @IsArray() @ArrayMinSize(2) @ArrayMaxSize(MOST_LOAD_POINTS) @IsNumber(number, { each: true }) im!: number[];
}

export class AntennaPort {
  @IsString() @Length(1, 80) name!: string;
  @IsString() @MaxLength(40) face!: FaceCode;
  /** SWR of the antenna itself in the band, against the run’s impedance. */
  @IsNumber(number) @Min(1) @Max(100) swr!: number;
  /** Does the antenna join pin and shell for direct current? */
  @IsBoolean() dcShort!: boolean;
  /** Its impedance, when more is known than its SWR: as a circuit, or as it was measured. */
  @IsOptional() @ValidateNested() @Type(() => SeriesLoad) series?: SeriesLoad;
  @IsOptional() @ValidateNested() @Type(() => MeasuredLoad) measured?: MeasuredLoad;
}

/** Names the connector part of one end. */
export class End {
  @IsString() @MaxLength(60) part!: string;
}

export class Target {
  @IsNumber(number) @Min(1e3) @Max(100e9) frequencyHz!: number;
  @IsNumber(number) @Min(0.1) @Max(36000) degrees!: number;
}

export class Piece {
  @IsIn(['assembly', 'adapter', 'arrester'], {
    message: 'kind must be assembly, adapter or arrester, got “$value”',
  })
  kind!: 'assembly' | 'adapter' | 'arrester';
  @Matches(ID, { message: ID_SAID }) id!: string;
}

/** A stretch of a cable with an impedance of its own: a known crush, a kink, a bend too sharp. */
export class Spot {
  /** From the radio end, m. */
  @IsNumber(number) @Min(0) @Max(10_000) atM!: number;
  @IsNumber(number) @Min(0.001) @Max(100) lengthM!: number;
  @IsNumber(number) @Min(1) @Max(500) ohm!: number;
}

/** A length of cable with two ends; `a` looks to the radio, `b` to the antenna. */
export class Assembly extends Piece {
  override kind!: 'assembly';
  @IsString() @Length(1, 60) label!: string;
  @IsString() @MaxLength(60) cable!: string;
  /** Finished length between the reference planes, m. */
  @IsNumber(number) @Min(0.02) @Max(10_000) lengthM!: number;
  @ValidateNested() @Type(() => End) a!: End;
  @ValidateNested() @Type(() => End) b!: End;
  /** Electrical length wanted, when this piece's length is phase. */
  @IsOptional() @ValidateNested() @Type(() => Target) target?: Target;
  /** Production batch of its cable, as the crew calls it: a lot has a velocity factor of its own. */
  @IsOptional() @IsString() @MaxLength(40) lot?: string;
  /** Set it belongs to: pieces of one set are cut from one lot and compared. */
  @IsOptional() @IsString() @MaxLength(40) set?: string;
  /** Known spots whose impedance is not the cable’s. */
  @IsOptional() @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => Spot) spots?: Spot[];
}

export class AdapterPiece extends Piece {
  override kind!: 'adapter';
  @IsString() @MaxLength(80) adapter!: string;
  /** Turned round: its second face looks to the radio. */
  @IsBoolean() reversed!: boolean;
}

export class ArresterPiece extends Piece {
  override kind!: 'arrester';
  @IsString() @MaxLength(80) arrester!: string;
  @IsBoolean() reversed!: boolean;
  /** Nominal voltage of the fitted gas tube. */
  @IsNumber(number) @Min(0) @Max(5000) tubeV!: number;
}

export type AnyPiece = Assembly | AdapterPiece | ArresterPiece;

/** One stretch of the route with its slack (drip, service or rotator loop). */
export class Leg {
  @Matches(ID, { message: ID_SAID }) id!: string;
  @IsString() @Length(1, 80) name!: string;
  @IsIn(legKinds) kind!: LegKind;
  @IsIn(zones) zone!: Zone;
  @IsNumber(number) @Min(0.01) @Max(5000) lengthM!: number;
  @IsNumber(number) @Min(0) @Max(100) slackM!: number;
  /** Tightest bend in this leg, mm. */
  @IsOptional() @IsNumber(number) @Min(1) @Max(10_000) bendRadiusMm?: number;
}

export class Design {
  @IsIn([DESIGN_SCHEMA], { message: `schema must be “${DESIGN_SCHEMA}”` }) schema!: string;
  @IsString() @Length(1, 120) name!: string;
  @ValidateNested() @Type(() => Service) service!: Service;
  @ValidateNested() @Type(() => RadioPort) radio!: RadioPort;
  @ValidateNested() @Type(() => AntennaPort) antenna!: AntennaPort;
  @IsArray()
  @ArrayMaxSize(MOST_PIECES, { message: `a run may have at most ${MOST_PIECES} pieces` })
  @ValidateNested({ each: true })
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
  pieces!: AnyPiece[];
  @IsArray() @ArrayMaxSize(MOST_LEGS) @ValidateNested({ each: true }) @Type(() => Leg) legs!: Leg[];
}
