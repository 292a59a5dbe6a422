-- Spring changes: a job as the acts that were done, what was found, and what stays open.
-- Every table has a _history twin kept by Envers: nothing is overwritten.

alter table lash_round add column only_valves varchar(400);
alter table lash_round_history add column only_valves varchar(400);

create table change_rules (
  id uuid primary key,
  engine_id uuid not null unique references engine (id),
  sheet clob not null,
  version integer not null
);
create table change_rules_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  sheet clob,
  primary key (id, rev)
);

create table job (
  id uuid primary key,
  engine_id uuid not null references engine (id),
  plan clob not null,
  engine_hours double precision not null,
  hand varchar(12) not null,
  started_at timestamp(3) with time zone not null,
  ended_at timestamp(3) with time zone,
  signed_by varchar(12),
  version integer not null
);
create table job_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  plan clob,
  engine_hours double precision,
  hand varchar(12),
  started_at timestamp(3) with time zone,
  ended_at timestamp(3) with time zone,
  signed_by varchar(12),
  primary key (id, rev)
);
create index job_by_engine on job (engine_id, started_at);

create table job_act (
  id uuid primary key,
  job_id uuid not null references job (id),
  place integer not null,
  act varchar(20) not null,
  step varchar(80) not null,
  cylinder integer,
  valve varchar(6),
  figure double precision,
  word varchar(400),
  hand varchar(12) not null,
  done_at timestamp(3) with time zone not null,
  version integer not null,
  unique (job_id, place)
);
create table job_act_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  job_id uuid,
  place integer,
  act varchar(20),
  step varchar(80),
  cylinder integer,
  valve varchar(6),
  figure double precision,
  word varchar(400),
  hand varchar(12),
  done_at timestamp(3) with time zone,
  primary key (id, rev)
);

create table job_finding (
  id uuid primary key,
  job_id uuid not null references job (id),
  valve varchar(6),
  what varchar(40) not null,
  grade varchar(12) not null,
  note varchar(400),
  photo_type varchar(20),
  hand varchar(12) not null,
  found_at timestamp(3) with time zone not null,
  version integer not null
);
create table job_finding_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  job_id uuid,
  valve varchar(6),
  what varchar(40),
  grade varchar(12),
  note varchar(400),
  photo_type varchar(20),
  hand varchar(12),
  found_at timestamp(3) with time zone,
  primary key (id, rev)
);
create index job_finding_by_job on job_finding (job_id);

create table open_item (
  id uuid primary key,
  engine_id uuid not null references engine (id),
  job_id uuid references job (id),
  kind varchar(20) not null,
  words varchar(400) not null,
  due_hours double precision,
  hand varchar(12) not null,
  opened_at timestamp(3) with time zone not null,
  closed_at timestamp(3) with time zone,
  closed_by varchar(12),
  closed_why varchar(400),
  version integer not null
);
create table open_item_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  job_id uuid,
  kind varchar(20),
  words varchar(400),
  due_hours double precision,
  hand varchar(12),
  opened_at timestamp(3) with time zone,
  closed_at timestamp(3) with time zone,
  closed_by varchar(12),
  closed_why varchar(400),
  primary key (id, rev)
);
create index open_item_by_engine on open_item (engine_id);
