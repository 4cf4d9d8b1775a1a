import { IsNumber, IsOptional, Max, Min } from 'class-validator';
import type { PowerStep } from '../../prove/index.js';

const number = { allowNaN: false, allowInfinity: false };
const MOST_W = 100e3;

/** What the meters showed at one power, W. */
export class PowerRecord implements PowerStep {
  @IsNumber(number) @Min(1e4) @Max(100e9) frequencyHz!: number;
  @IsNumber(number) @Min(0.001) @Max(MOST_W) forwardW!: number;
  @IsNumber(number) @Min(0) @Max(MOST_W) reflectedW!: number;
  @IsOptional() @IsNumber(number) @Min(0) @Max(MOST_W) loadW?: number;
}
