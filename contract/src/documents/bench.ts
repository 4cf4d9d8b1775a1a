import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import type * as core from '@kobran/core';
import {
  BENCH_SCHEMA,
  catalog,
  farEnds,
  isObject,
  shopKinds,
  withShop,
  type FarEndKind,
  type Problem,
  type ReadBench,
  type ShopKind,
} from '@kobran/core';
import { readAs } from './readAs.js';
import { readDesign } from './readDesign.js';
import { readShopEntry } from './readShopEntry.js';
import { AreParts } from './parts.js';

const number = { allowNaN: false, allowInfinity: false };

/** An entry of the shop’s own catalogue which the design names. */
export class BenchEntry implements core.BenchEntry {
  @IsIn(shopKinds) kind!: ShopKind;
  @IsObject() data!: object;
}

/** What can be done with the device by hand, without naming the device. */
export class BenchHands implements core.BenchHands {
  /** What is on its far end. */
  @IsIn(farEnds) far!: FarEndKind;
  /** Water was poured over it. */
  @IsBoolean() rained!: boolean;
  /** Somebody flexes it at its ends while the instruments look. */
  @IsBoolean() wiggled!: boolean;
  /** While it is trimmed: cable between its two cut ends, m; the near connector is on, the far one is not. */
  @IsOptional() @IsNumber(number) @Min(0.005) @Max(10_000) cableM?: number;
}

/** What the bench holds. */
export class Bench extends BenchHands implements core.Bench {
  @IsIn([BENCH_SCHEMA], { message: `schema must be “${BENCH_SCHEMA}”` }) schema!: string;
  /** Run of Kobran whose design it is. */
  @IsOptional() @IsUUID() runId?: string;
  @IsObject() design!: object;
  @IsArray()
  @ArrayMaxSize(1000)
  @AreParts()
  @Type(() => BenchEntry)
  catalog!: BenchEntry[];
  /** An assembly alone; the whole run when empty. */
  @IsString() @MaxLength(40) pieceId!: string;
  /** What was done badly in making it follows from this number; 0 is sound work. */
  @IsInt() @Min(0) @Max(2 ** 31 - 1) seed!: number;
}

/** Reads an unknown value as a bench; every name must be known. */
export function readBench(
  value: unknown,
): { ok: true; bench: ReadBench } | { ok: false; problems: Problem[] } {
  if (!isObject(value)) return { ok: false, problems: [malformed('A bench is a JSON object.', 'bench')] };
  const shape = readAs(Bench, value);
  if (!shape.ok) return shape;
  const { design: plan, catalog: own, schema: _, runId: __, ...hands } = shape.value;
  const entries = own.map(({ kind, data }, k) => readShopEntry(kind, data, `catalog[${k}].data`));
  const refused = entries.flatMap((one) => (one.ok ? [] : one.problems));
  if (refused.length > 0) return { ok: false, problems: refused };
  const all = withShop(
    catalog,
    entries.flatMap((one) => (one.ok ? [one.entry] : [])),
  );
  const read = readDesign(plan, all);
  if (!read.ok) return read;
  const { design } = read;
  const isAssembly = design.pieces.some(({ id, kind }) => id === hands.pieceId && kind === 'assembly');
  if (hands.pieceId !== '' && !isAssembly)
    return { ok: false, problems: [malformed(`There is no assembly “${hands.pieceId}”.`, 'pieceId')] };
  if (hands.cableM !== undefined && hands.pieceId === '')
    return { ok: false, problems: [malformed('A whole run is not trimmed.', 'cableM')] };
  return { ok: true, bench: { ...hands, design, catalog: all } };
}

const malformed = (message: string, where: string): Problem => ({
  code: 'bench.malformed',
  message,
  where,
  remedy: 'Put a run or one of its assemblies on the bench again.',
});
