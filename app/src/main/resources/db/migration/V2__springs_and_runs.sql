-- Runs, springs as individuals with their fittings, and their tests.
-- Every table has a _history twin kept by Envers: nothing is overwritten.

create table race_run (
  id uuid primary key,
  engine_id uuid not null references engine (id),
  event_id uuid references race_event (id),
  kind varchar(12) not null,
  on_date date not null,
  minutes double precision not null,
  top_rpm double precision,
  over_revs integer not null,
  cycles double precision,
  hottest_f double precision,
  from_logger boolean not null,
  hand varchar(12) not null,
  note varchar(2000),
  version integer not null
);
create table race_run_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  event_id uuid,
  kind varchar(12),
  on_date date,
  minutes double precision,
  top_rpm double precision,
  over_revs integer,
  cycles double precision,
  hottest_f double precision,
  from_logger boolean,
  hand varchar(12),
  note varchar(2000),
  primary key (id, rev)
);
create index race_run_by_engine on race_run (engine_id);

create table spring_type (
  id uuid primary key,
  name varchar(80) not null,
  sheet clob not null,
  version integer not null
);
create table spring_type_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  name varchar(80),
  sheet clob,
  primary key (id, rev)
);

create table spring (
  id uuid primary key,
  type_id uuid not null references spring_type (id),
  mark varchar(20) not null,
  set_name varchar(40),
  batch varchar(40),
  hours_before double precision not null,
  od_in double precision,
  scrapped boolean not null,
  broke_at_hours double precision,
  note varchar(400),
  version integer not null
);
create table spring_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  type_id uuid,
  mark varchar(20),
  set_name varchar(40),
  batch varchar(40),
  hours_before double precision,
  od_in double precision,
  scrapped boolean,
  broke_at_hours double precision,
  note varchar(400),
  primary key (id, rev)
);

create table spring_fitting (
  id uuid primary key,
  spring_id uuid not null references spring (id),
  engine_id uuid not null references engine (id),
  valve varchar(6) not null,
  from_hours double precision not null,
  fitted_at timestamp(3) with time zone not null,
  to_hours double precision,
  removed_at timestamp(3) with time zone,
  height_in double precision,
  shims varchar(80),
  retainer varchar(40),
  locks varchar(40),
  locator varchar(40),
  seal_gap_in double precision,
  pocket_in double precision,
  hand varchar(12) not null,
  why varchar(400),
  version integer not null
);
create table spring_fitting_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  spring_id uuid,
  engine_id uuid,
  valve varchar(6),
  from_hours double precision,
  fitted_at timestamp(3) with time zone,
  to_hours double precision,
  removed_at timestamp(3) with time zone,
  height_in double precision,
  shims varchar(80),
  retainer varchar(40),
  locks varchar(40),
  locator varchar(40),
  seal_gap_in double precision,
  pocket_in double precision,
  hand varchar(12),
  why varchar(400),
  primary key (id, rev)
);
create index spring_fitting_by_spring on spring_fitting (spring_id);
create index spring_fitting_by_engine on spring_fitting (engine_id);

create table spring_rules (
  id uuid primary key,
  engine_id uuid not null unique references engine (id),
  sheet clob not null,
  version integer not null
);
create table spring_rules_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  sheet clob,
  primary key (id, rev)
);

create table spring_test (
  id uuid primary key,
  engine_id uuid not null references engine (id),
  round_id uuid,
  started_at timestamp(3) with time zone not null,
  engine_hours double precision not null,
  place varchar(8) not null,
  state varchar(8) not null,
  working_order varchar(12) not null,
  tester varchar(40) not null,
  repeats integer not null,
  hand varchar(12) not null,
  note varchar(2000),
  ended_at timestamp(3) with time zone,
  version integer not null
);
create table spring_test_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  round_id uuid,
  started_at timestamp(3) with time zone,
  engine_hours double precision,
  place varchar(8),
  state varchar(8),
  working_order varchar(12),
  tester varchar(40),
  repeats integer,
  hand varchar(12),
  note varchar(2000),
  ended_at timestamp(3) with time zone,
  primary key (id, rev)
);
create index spring_test_by_engine on spring_test (engine_id);

create table spring_reading (
  id uuid primary key,
  test_id uuid not null references spring_test (id),
  spring_id uuid not null references spring (id),
  valve varchar(6),
  height_in double precision not null,
  load_lbf double precision not null,
  member varchar(8) not null,
  typed varchar(40),
  again boolean not null,
  hand varchar(12) not null,
  note varchar(400),
  taken_at timestamp(3) with time zone not null,
  version integer not null
);
create table spring_reading_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  test_id uuid,
  spring_id uuid,
  valve varchar(6),
  height_in double precision,
  load_lbf double precision,
  member varchar(8),
  typed varchar(40),
  again boolean,
  hand varchar(12),
  note varchar(400),
  taken_at timestamp(3) with time zone,
  primary key (id, rev)
);
create index spring_reading_by_test on spring_reading (test_id);
create index spring_reading_by_spring on spring_reading (spring_id);

create table check_reading (
  id uuid primary key,
  test_id uuid not null references spring_test (id),
  name varchar(40) not null,
  known_lbf double precision not null,
  load_lbf double precision not null,
  side varchar(8) not null,
  typed varchar(40),
  hand varchar(12) not null,
  taken_at timestamp(3) with time zone not null,
  version integer not null
);
create table check_reading_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  test_id uuid,
  name varchar(40),
  known_lbf double precision,
  load_lbf double precision,
  side varchar(8),
  typed varchar(40),
  hand varchar(12),
  taken_at timestamp(3) with time zone,
  primary key (id, rev)
);
create index check_reading_by_test on check_reading (test_id);
