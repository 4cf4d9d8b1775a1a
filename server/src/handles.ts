import type { AnyRoute, OutputOf } from '@kobran/contract';
import { Delete, Get, HttpCode, Post, Put, applyDecorators } from '@nestjs/common';
import { ApiBody, ApiOperation } from '@nestjs/swagger';
import { schemaOf } from './openapi.js';

const methods = { GET: Get, POST: Post, PUT: Put, DELETE: Delete };

/** A method whose answer is that of the route. */
interface Handler<R> {
  value?: (...input: never[]) => OutputOf<R> | Promise<OutputOf<R>>;
}

/** This method answers a request of the contract’s table: path, status and description come from there, and its answer is checked. */
export const Handles =
  <R extends AnyRoute>(route: R) =>
  (target: object, key: string | symbol, descriptor: Handler<R>): void =>
    applyDecorators(
      methods[route.method](route.path),
      HttpCode(route.status),
      ApiOperation({ summary: route.summary }),
      ...(route.body ? [ApiBody(schemaOf({ name: route.body }))] : []),
    )(target, key, descriptor as TypedPropertyDescriptor<unknown>);

/** As {@link Handles}, for a file which is streamed. */
export const HandlesFile =
  (route: Pick<AnyRoute, 'path' | 'summary'>): MethodDecorator =>
  (target, key, descriptor) =>
    applyDecorators(Get(route.path), ApiOperation({ summary: route.summary }))(
      target,
      key,
      descriptor as TypedPropertyDescriptor<unknown>,
    );
