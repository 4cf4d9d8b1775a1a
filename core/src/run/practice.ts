import { ArrayMaxSize, IsArray, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';

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
}

export const defaultPractice: Practice = { cutSchool: 'exact', tapeStretch: 'a little', remakesPerEnd: 1 };

/** Cable which one failed end costs, m. Common practice, no source. */
export const REMAKE_M = 0.06;
