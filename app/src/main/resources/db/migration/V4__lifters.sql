-- Lifters as individuals, what was seen of a valve's chain, lift at the valves.
-- Every table has a _history twin kept by Envers: nothing is overwritten.

create table lifter (
  id uuid primary key,
  kind varchar(20) not null,
  mark varchar(20) not null,
  set_name varchar(40),
  partner_id uuid references lifter (id),
  hours_before double precision not null,
  scrapped boolean not null,
  note varchar(400),
  version integer not null
);
create table lifter_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  kind varchar(20),
  mark varchar(20),
  set_name varchar(40),
  partner_id uuid,
  hours_before double precision,
  scrapped boolean,
  note varchar(400),
  primary key (id, rev)
);

create table lifter_fitting (
  id uuid primary key,
  lifter_id uuid not null references lifter (id),
  engine_id uuid not null references engine (id),
  valve varchar(6) not null,
  from_hours double precision not null,
  fitted_at timestamp(3) with time zone not null,
  to_hours double precision,
  removed_at timestamp(3) with time zone,
  hand varchar(12) not null,
  why varchar(400),
  version integer not null
);
create table lifter_fitting_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  lifter_id uuid,
  engine_id uuid,
  valve varchar(6),
  from_hours double precision,
  fitted_at timestamp(3) with time zone,
  to_hours double precision,
  removed_at timestamp(3) with time zone,
  hand varchar(12),
  why varchar(400),
  primary key (id, rev)
);
create index lifter_fitting_by_engine on lifter_fitting (engine_id);
create index lifter_fitting_by_lifter on lifter_fitting (lifter_id);

create table lifter_rebuild (
  id uuid primary key,
  lifter_id uuid not null references lifter (id),
  own_hours double precision not null,
  what varchar(400) not null,
  hand varchar(12) not null,
  rebuilt_at timestamp(3) with time zone not null,
  version integer not null
);
create table lifter_rebuild_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  lifter_id uuid,
  own_hours double precision,
  what varchar(400),
  hand varchar(12),
  rebuilt_at timestamp(3) with time zone,
  primary key (id, rev)
);

create table lifter_rules (
  id uuid primary key,
  engine_id uuid not null unique references engine (id),
  sheet clob not null,
  version integer not null
);
create table lifter_rules_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  sheet clob,
  primary key (id, rev)
);

create table inspection (
  id uuid primary key,
  engine_id uuid not null references engine (id),
  valve varchar(6),
  cylinder integer,
  look varchar(20) not null,
  grade varchar(40) not null,
  figure double precision,
  other_side double precision,
  lift_in double precision,
  note varchar(400),
  photo_type varchar(20),
  engine_hours double precision not null,
  hand varchar(12) not null,
  seen_at timestamp(3) with time zone not null,
  version integer not null
);
create table inspection_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  engine_id uuid,
  valve varchar(6),
  cylinder integer,
  look varchar(20),
  grade varchar(40),
  figure double precision,
  other_side double precision,
  lift_in double precision,
  note varchar(400),
  photo_type varchar(20),
  engine_hours double precision,
  hand varchar(12),
  seen_at timestamp(3) with time zone,
  primary key (id, rev)
);
create index inspection_by_engine on inspection (engine_id, seen_at);
