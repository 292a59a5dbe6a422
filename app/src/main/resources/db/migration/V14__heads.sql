-- Heads with a record of their own: what was measured, where they sat, which springs are on them
-- while they lie on the rack.
create table head_reading (
  id uuid primary key,
  head_id uuid not null,
  what varchar(20) not null,
  valve varchar(8),
  cylinder integer,
  bank integer,
  figure double precision not null,
  hand varchar(12) not null,
  taken_at timestamp(3) with time zone not null,
  place bigint not null,
  taken_back boolean not null,
  version integer not null
);
create table head_reading_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  head_id uuid,
  what varchar(20),
  valve varchar(8),
  cylinder integer,
  bank integer,
  figure double precision,
  hand varchar(12),
  taken_at timestamp(3) with time zone,
  place bigint,
  taken_back boolean,
  primary key (id, rev)
);
create index head_reading_by_head on head_reading (head_id, place);

create table head_stay (
  id uuid primary key,
  head_id uuid not null,
  engine_id uuid not null references engine (id),
  from_hours double precision not null,
  from_at timestamp(3) with time zone not null,
  to_hours double precision,
  to_at timestamp(3) with time zone,
  hand varchar(12) not null,
  version integer not null
);
create table head_stay_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  head_id uuid,
  engine_id uuid,
  from_hours double precision,
  from_at timestamp(3) with time zone,
  to_hours double precision,
  to_at timestamp(3) with time zone,
  hand varchar(12),
  primary key (id, rev)
);
create index head_stay_by_head on head_stay (head_id, from_at);

create table head_spring (
  id uuid primary key,
  head_id uuid not null,
  spring_id uuid not null references spring (id),
  valve varchar(8) not null,
  height_in double precision,
  shims varchar(80),
  retainer varchar(40),
  locks varchar(40),
  locator varchar(40),
  seal_gap_in double precision,
  pocket_in double precision,
  coil_gap_in double precision,
  put_at timestamp(3) with time zone not null,
  taken_at timestamp(3) with time zone,
  hand varchar(12) not null,
  version integer not null
);
create table head_spring_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  head_id uuid,
  spring_id uuid,
  valve varchar(8),
  height_in double precision,
  shims varchar(80),
  retainer varchar(40),
  locks varchar(40),
  locator varchar(40),
  seal_gap_in double precision,
  pocket_in double precision,
  coil_gap_in double precision,
  put_at timestamp(3) with time zone,
  taken_at timestamp(3) with time zone,
  hand varchar(12),
  primary key (id, rev)
);
create index head_spring_by_head on head_spring (head_id);
