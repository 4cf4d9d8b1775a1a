import { problemsOf } from '@kobran/contract';
import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { invalid } from './problem.js';

/** Every body is a class of the contract: whitelisted, limited, and refused with places and remedies. */
export const contractPipe = (): ValidationPipe =>
  new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    transform: true,
    exceptionFactory: (errors: ValidationError[]) =>
      invalid(errors.flatMap((error) => problemsOf(error, ''))),
  });
