import type { CodePurpose, DoorEventKind } from '@winter-jar/contracts';
import type { Role } from '@winter-jar/core';
import { Column, Entity, Index, PrimaryColumn, PrimaryGeneratedColumn } from 'typeorm';

/** Somebody of the set-up who may sign in, and what they may. */
@Entity('account')
export class AccountRow {
  @PrimaryColumn('text') personId!: string;
  @Column('text') name!: string;
  /** As it is compared, see accounts.ts. */
  @Column('text', { unique: true }) foldedName!: string;
  @Column('text') role!: Role;
  /** Argon2id with its parameters and salt; null until one was chosen. */
  @Column('text', { nullable: true }) passwordHash!: string | null;
  @Column('text') createdAt!: string;
  /** Sites that they are bound to; null for all. */
  @Column('simple-json', { nullable: true }) siteIds!: string[] | null;
  /** As a password is kept; null where a tap does at a shared tablet. */
  @Column('text', { nullable: true }) pinHash!: string | null;
}

/** A browser or a device that somebody is signed in at. What it holds is not kept, only what comes of hashing it. */
@Entity('session')
export class SessionRow {
  @PrimaryColumn('text') tokenHash!: string;
  @Column('text', { unique: true }) id!: string;
  /** Empty for a shared tablet. */
  @Column('text') personId!: string;
  /** Of a shared tablet; null for what is somebody's. */
  @Column('text', { nullable: true }) siteId!: string | null;
  @Column('text') kind!: 'browser' | 'device' | 'tablet';
  @Column('text') name!: string;
  @Column('text') address!: string;
  @Column('text') createdAt!: string;
  @Column('text') lastUsedAt!: string;
}

/** A code that lets one do one thing, once. */
@Entity('one_time_code')
export class CodeRow {
  @PrimaryColumn('text') codeHash!: string;
  @Column('text') purpose!: CodePurpose;
  @Column('text', { nullable: true }) personId!: string | null;
  /** Of the tablet that it is for. */
  @Column('text', { nullable: true }) siteId!: string | null;
  @Column('text') expiresAt!: string;
}

/** The record of the doors. Names as they were then. */
@Entity('door_event')
@Index(['at'])
export class DoorEventRow {
  @PrimaryGeneratedColumn() id!: number;
  @Column('text') at!: string;
  @Column('text') what!: DoorEventKind;
  @Column('text', { nullable: true }) by!: string | null;
  @Column('text', { nullable: true }) about!: string | null;
  @Column('text') address!: string;
  @Column('text', { nullable: true }) detail!: string | null;
}

/** The name of the house's cookie: browsers share cookies between the ports of a machine. */
@Entity('house_name')
export class HouseNameRow {
  @PrimaryColumn('text') name!: string;
}

export const PEOPLE_ROWS = [AccountRow, SessionRow, CodeRow, DoorEventRow, HouseNameRow];
