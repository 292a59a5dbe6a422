-- How often a round, a test or a job was changed: of two answers the one that has seen more is newer.

alter table lash_round add column if not exists changes bigint default 0 not null;
alter table spring_test add column if not exists changes bigint default 0 not null;
alter table job add column if not exists changes bigint default 0 not null;
