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
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { Type } from 'class-transformer';
import { causeIds, type CauseId } from '../prove/index.js';
import {
  centreSchools,
  markingSchools,
  toolIds,
  uhfShieldSchools,
  unbraidingSchools,
  usualSchools,
  type CentreSchool,
  type MakeSchools,
  type MarkingSchool,
  type ToolId,
  type UhfShieldSchool,
  type UnbraidingSchool,
} from '../make/index.js';

/** How common a cause is in this shop, share of the faulty runs. */
export class CausePrior {
  @IsIn(causeIds) cause!: CauseId;
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1) share!: number;
}

/** The shop's chosen schools. */
export class Practice {
  /** Free space times velocity factor, or the 468 shop constant. */
  @IsIn(['exact', 'shop']) cutSchool!: 'exact' | 'shop';
  @IsIn(['a little', 'hard']) tapeStretch!: 'a little' | 'hard';
  /** Spare cable kept so that each end can be made again this many times. */
  @IsInt() @Min(0) @Max(10) remakesPerEnd!: number;
  /** Hex dies the shop owns, mm across flats; not stated, every die is taken as owned. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  @Min(0.5, { each: true })
  @Max(60, { each: true })
  diesMm?: number[];
  /** Tools the shop owns; not stated, every tool is taken as owned. */
  @IsOptional() @IsArray() @ArrayMaxSize(40) @IsIn(toolIds, { each: true }) tools?: ToolId[];
  /** How the centre contact is fastened. */
  @IsOptional() @IsIn(centreSchools) centreSchool?: CentreSchool;
  /** How strip lengths are marked. */
  @IsOptional() @IsIn(markingSchools) marking?: MarkingSchool;
  /** What opens the braid. */
  @IsOptional() @IsIn(unbraidingSchools) unbraiding?: UnbraidingSchool;
  /** Which UHF plug is taken first where several fit. */
  @IsOptional() @IsIn(uhfShieldSchools) uhfShield?: UhfShieldSchool;
  /** A second person looks at each end before it is signed off. */
  @IsOptional() @IsBoolean() twoPersonCheck?: boolean;
  /** Who may sign, by first name. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  crew?: string[];
  /** How common each cause is here; those not stated are as everywhere. */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => CausePrior)
  causePriors?: CausePrior[];
}

export const defaultPractice: Practice = { cutSchool: 'exact', tapeStretch: 'a little', remakesPerEnd: 1 };

/** The schools which change a card: the shop's own, the usual one where it has not chosen. */
export const makeSchools = ({ centreSchool, marking, unbraiding }: Practice): MakeSchools => ({
  centreSchool: centreSchool ?? usualSchools.centreSchool,
  marking: marking ?? usualSchools.marking,
  unbraiding: unbraiding ?? usualSchools.unbraiding,
});

/** Cable which one failed end costs, m. Common practice, no source. */
export const REMAKE_M = 0.06;
