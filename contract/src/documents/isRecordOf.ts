import { ValidateBy, buildMessage } from 'class-validator';

/** No card has more steps with a reading. */
const MAX_MEMBERS = 60;

/** An object whose members are all of one sort, and not many. */
export const IsRecordOf = (isMember: (value: unknown) => boolean): PropertyDecorator =>
  ValidateBy({
    name: 'isRecordOf',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        Object.keys(value).length <= MAX_MEMBERS &&
        Object.values(value).every(isMember),
      defaultMessage: buildMessage((each) => `${each}$property must have numbers or null as its members`),
    },
  });
