import type { ShownUnits } from '@clay-pot/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { IdColumn } from '../database/columns.js';

/** A studio: everything else belongs to one. */
@Entity('studios')
export class StudioRow {
  @PrimaryColumn('char', { length: 36 })
  id: string;

  @Column('varchar', { length: 120 })
  name: string;

  /** IANA name. */
  @Column('varchar', { name: 'time_zone', length: 64 })
  timeZone: string;

  /** Made up: anybody may visit it. */
  @Column('boolean', { name: 'is_demo', default: false })
  isDemo: boolean;
}

/** Somebody who can sign in. */
@Entity('accounts')
export class AccountRow {
  @PrimaryColumn('char', { length: 36 })
  id: string;

  @IdColumn('studio_id')
  studioId: string;

  @Column('varchar', { length: 254 })
  email: string;

  @Column('varchar', { length: 120 })
  name: string;

  @Column('varchar', { name: 'password_hash', length: 255 })
  passwordHash: string;

  @Column('char', { name: 'mass_unit', length: 2, default: 'kg' })
  massUnit: ShownUnits['mass'];

  @Column('char', { name: 'length_unit', length: 2, default: 'cm' })
  lengthUnit: ShownUnits['length'];
}

/** A signed-in browser. Only a hash of its token is kept. */
@Entity('sign_ins')
export class SignInRow {
  @PrimaryColumn('char', { name: 'token_hash', length: 64 })
  tokenHash: string;

  @IdColumn('account_id')
  accountId: string;

  @Column('datetime', { name: 'expires_at', precision: 3 })
  expiresAt: Date;
}

/** A device on which an account was signed in before. Only a hash of its token is kept. */
@Entity('known_devices')
export class KnownDeviceRow {
  @PrimaryColumn('char', { name: 'token_hash', length: 64 })
  tokenHash: string;

  @IdColumn('account_id')
  accountId: string;

  @Column('datetime', { name: 'expires_at', precision: 3 })
  expiresAt: Date;
}

/** A failed try, kept as long as it counts against the next one. */
@Entity('sign_in_failures')
export class SignInFailureRow {
  @PrimaryColumn('bigint', { generated: 'increment' })
  id: string;

  @Column('varchar', { length: 254 })
  email: string;

  @Column('varchar', { length: 64 })
  address: string;

  @Column('datetime', { precision: 3 })
  at: Date;
}
