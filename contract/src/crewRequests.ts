import 'reflect-metadata';
import { MAX_PHRASE, memberRoles, type MemberRole } from '@kobran/core';
import { IsIn, IsInt, IsString, IsUUID, Length, Matches, Max, Min } from 'class-validator';
import { MAX_LINK_DAYS } from './limits.js';

/** What the web sends about who may come in. */

/** A name as the crew knows it: it signs what its owner does. */
const IsName = (): PropertyDecorator => (target, key) => {
  IsString()(target, key);
  Length(1, 60)(target, key);
  Matches(/^\S(.*\S)?$/u, { message: '$property begins and ends with a letter, not a blank' })(target, key);
};

/** What is typed at a sign-in may be any text; how long a new one has to be is said in core. */
const IsPhrase = (): PropertyDecorator => (target, key) => {
  IsString()(target, key);
  Length(1, MAX_PHRASE)(target, key);
};

/** A code as it stands in a link or is typed from a screen; blanks, dashes and small letters are the typist’s. */
const IsCode = (): PropertyDecorator => (target, key) => {
  IsString()(target, key);
  Length(1, 60)(target, key);
};

export class SignIn {
  @IsName() name!: string;
  @IsPhrase() phrase!: string;
}

/** The first owner, made at the machine itself. */
export class MakeOwner extends SignIn {}

export class UseCode {
  @IsCode() code!: string;
}

/** Somebody takes up an invitation, under the name it was made for. */
export class Join extends UseCode {
  @IsPhrase() phrase!: string;
}

export class ChangePhrase {
  @IsPhrase() old!: string;
  @IsPhrase() phrase!: string;
}

export class Invite {
  @IsName() name!: string;
  @IsIn(memberRoles) role!: MemberRole;
}

export class ChangeMember {
  @IsIn(memberRoles) role!: MemberRole;
}

/** A link for a customer: one site, to look at, for so many days. */
export class MakeLink {
  @IsUUID() jobId!: string;
  @IsName() whom!: string;
  @IsInt() @Min(1) @Max(MAX_LINK_DAYS) days!: number;
}
