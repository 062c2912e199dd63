import { Migration } from '@mikro-orm/migrations';

const NO_CARE = `'{"quarantine":null,"fedOn":null,"treatedOn":null,"waxMoth":false,"cutBy":null,"from":null}'`;

/** Columns that are new; those with a value are filled for the rows that are there, and have no default afterwards. */
const COLUMNS: readonly (readonly [table: string, column: string, type: string, value?: string])[] = [
  ['yard', 'closed_on', 'date'],
  ['yard', 'position', 'jsonb'],
  ['stand', 'spot', 'jsonb'],
  ['hive', 'entrance', 'jsonb', `'{"state":"open","since":null}'`],
  ['hive', 'wears', 'jsonb', `'[]'`],
  ['box', 'sheet_below', 'text'],
  ['box', 'inserts', 'jsonb', `'[]'`],
  ['colony', 'end', 'jsonb'],
  ['frame', 'care', 'jsonb', NO_CARE],
  ['queen', 'born_within', 'jsonb'],
  ['queen', 'number', 'text'],
  ['queen', 'clipped', 'boolean'],
  ['queen', 'mating_place', 'text'],
  ['queen', 'origin', 'text'],
  ['queen', 'mother_colony_id', 'uuid'],
  ['queen', 'mother_queen_id', 'uuid'],
  ['queen', 'line', 'text'],
  ['queen', 'breeder', 'text'],
  ['queen', 'caged_since', 'date'],
  ['queen', 'laying_since', 'date'],
  ['queen', 'end', 'jsonb'],
  ['queen', 'history', 'jsonb', `'[]'`],
];

/** Columns by which rows are looked up, or checked when what they refer to changes. */
const INDEXES = [
  ['stand', 'yard_id'],
  ['hive', 'stand_id'],
  ['box', 'hive_id'],
  ['colony', 'hive_id'],
  ['frame', 'reading_id'],
  ['reading', 'box_id'],
  ['follow_up', 'work_id'],
] as const;

const reference = (table: string, column: string, to: string, rest: string) =>
  `alter table "${table}" add constraint "${table}_${column}_foreign" foreign key ("${column}") references "${to}" ("id") on update cascade ${rest}deferrable initially deferred`;

/** What happens in a yard: queens, cells and combs as things of their own, what is given, where hives went. */
export class Migration20261202Happenings extends Migration {
  override up(): void {
    for (const [table, column, type, value] of COLUMNS) {
      this.addSql(
        `alter table "${table}" add column "${column}" ${type} ${value ? `not null default ${value}` : 'null'}`,
      );
      if (value) this.addSql(`alter table "${table}" alter column "${column}" drop default`);
    }
    for (const column of ['visit_id', 'box_id', 'slot'])
      this.addSql(`alter table "reading" alter column "${column}" drop not null`);
    for (const [column, to] of [
      ['visit_id', 'visit'],
      ['box_id', 'box'],
    ] as const) {
      this.addSql(`alter table "reading" drop constraint "reading_${column}_foreign"`);
      this.addSql(reference('reading', column, to, 'on delete no action '));
    }
    for (const [table, column] of INDEXES)
      this.addSql(`create index "${table}_${column}_index" on "${table}" ("${column}")`);
    this.addSql(
      `create table "cell" ("id" uuid not null, "operation_id" uuid not null, "frame_id" uuid not null, "place" text not null, "egg" jsonb not null, "dated_by" text not null, "noted_on" date not null, "quality" text null, "origin" text not null, "reserved" boolean not null, "from_colony_id" uuid null, "fate" jsonb null, "history" jsonb not null, constraint "cell_pkey" primary key ("id"))`,
    );
    this.addSql(
      `create table "given" ("id" uuid not null, "operation_id" uuid not null, "colony_id" uuid not null, "day" date not null, "body" jsonb not null, "out_on" date null, "note" text not null, constraint "given_pkey" primary key ("id"))`,
    );
    this.addSql(
      `create table "event" ("id" uuid not null, "operation_id" uuid not null, "colony_id" uuid not null, "day" date not null, "body" jsonb not null, constraint "event_pkey" primary key ("id"))`,
    );
    for (const [table, column, to] of [
      ['cell', 'frame_id', 'frame'],
      ['given', 'colony_id', 'colony'],
      ['event', 'colony_id', 'colony'],
    ] as const) {
      this.addSql(`create index "${table}_operation_id_index" on "${table}" ("operation_id")`);
      this.addSql(`create index "${table}_${column}_index" on "${table}" ("${column}")`);
      this.addSql(reference(table, 'operation_id', 'operation', 'on delete cascade '));
      this.addSql(reference(table, column, to, ''));
    }
  }
}
