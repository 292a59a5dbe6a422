-- A job is a walk of some kind: on an engine, or on a head that lies on the rack.
alter table job add column kind varchar(20) default 'SPRINGS' not null;
alter table job add column head_id uuid;
alter table job alter column engine_id set null;
alter table job_history add column kind varchar(20);
alter table job_history add column head_id uuid;
create index job_by_head on job (head_id, started_at);
