-- The turnaround: tasks, hands, the truck, the plan people work to and parts ordered, each a document.
create table turnaround_sheet (
  id varchar(120) primary key,
  kind varchar(20) not null,
  engine_id uuid references engine (id),
  sheet clob not null,
  version integer not null
);
create table turnaround_sheet_history (
  id varchar(120) not null,
  rev integer not null references revision (id),
  revtype tinyint,
  kind varchar(20),
  engine_id uuid,
  sheet clob,
  primary key (id, rev)
);
