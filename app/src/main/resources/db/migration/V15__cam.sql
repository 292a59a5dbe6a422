-- What was read at the cam bench; the sittings, lobes and other cams are documents.
create table cam_reading (
  id uuid primary key,
  sitting_id uuid not null,
  what varchar(20) not null,
  valve varchar(8),
  at_figure double precision not null,
  figure double precision not null,
  touched boolean not null,
  hand varchar(12) not null,
  taken_at timestamp(3) with time zone not null,
  place bigint not null,
  taken_back boolean not null,
  version integer not null
);
create table cam_reading_history (
  id uuid not null,
  rev integer not null references revision (id),
  revtype tinyint,
  sitting_id uuid,
  what varchar(20),
  valve varchar(8),
  at_figure double precision,
  figure double precision,
  touched boolean,
  hand varchar(12),
  taken_at timestamp(3) with time zone,
  place bigint,
  taken_back boolean,
  primary key (id, rev)
);
create index cam_reading_by_sitting on cam_reading (sitting_id, place);
