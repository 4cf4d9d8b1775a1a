import { IsIn, IsInt, Max, Min } from 'class-validator';

/** The shop's chosen schools. */
export class Practice {
  /** Free space times velocity factor, or the 468 shop constant. */
  @IsIn(['exact', 'shop']) cutSchool!: 'exact' | 'shop';
  @IsIn(['a little', 'hard']) tapeStretch!: 'a little' | 'hard';
  /** Spare cable kept so that each end can be made again this many times. */
  @IsInt() @Min(0) @Max(10) remakesPerEnd!: number;
}

export const defaultPractice: Practice = { cutSchool: 'exact', tapeStretch: 'a little', remakesPerEnd: 1 };

/** Cable which one failed end costs, m. Common practice, no source. */
export const REMAKE_M = 0.06;
