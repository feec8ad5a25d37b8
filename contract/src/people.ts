import { languages, type Language } from '@dewpot/core/units';
import { IsEmail, IsIn, IsOptional, MaxLength } from 'class-validator';
import { Text, Whole } from './limits.js';
import type { MailState } from './mail.js';
import { roles, type Role } from './roles.js';

export interface PersonView {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** What a person may do from now on. */
export class RoleInput {
  @IsIn(roles) role: Role;
}

/** Somebody is to be let in. */
export class InvitationInput {
  @IsIn(roles) role: Role;
  /** Days until it is over. */
  @Whole(1, 30) days: number;
  /** Where its link is mailed to. */
  @IsOptional() @IsEmail() @MaxLength(254) email?: string;
}

/** An invitation that nobody has taken up. Times ms. */
export interface InvitationView {
  readonly id: string;
  /** The person who is to have a new passphrase; it is for somebody new where none is named. */
  readonly personId?: string;
  readonly role: Role;
  readonly invitedBy: string;
  readonly expiresAt: number;
}

/** A new invitation with its token, which is told this once. */
export interface NewInvitation extends InvitationView {
  readonly token: string;
  /** How far its mail is; none was asked for where it is left out. */
  readonly mail?: MailState;
}

/** The token of an invitation. */
export class InvitationToken {
  @Text(20, 100) token: string;
}

/** What an invitation offers. Times ms. */
export interface InvitationOffer {
  readonly workshop: string;
  readonly invitedBy: string;
  /** Who is to have a new passphrase. */
  readonly person?: string;
  readonly role: Role;
  readonly state: 'open' | 'used' | 'over';
}

/** An invitation that is taken up by somebody new. */
export class InvitationTaken extends InvitationToken {
  @Text(1, 80) name: string;
  @IsEmail() @MaxLength(254) email: string;
  @Text(10, 200) passphrase: string;
  /** What they read in. */
  @IsOptional() @IsIn(languages) language?: Language;
}

/** A person who lost their passphrase has a new one. */
export class PassphraseRenewed extends InvitationToken {
  @Text(10, 200) passphrase: string;
}
